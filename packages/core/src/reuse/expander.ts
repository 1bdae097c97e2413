/** Instances of one screen, or of a component shown alone, as the controls that they stand for. */
import { parameterGiven } from '../cascade/attributes.ts';
import { repetitionAround } from '../cascade/repetition.ts';
import { effectiveNames } from '../document/names.ts';
import { walk } from '../document/tree.ts';
import { type Control, inForce, type StateVariable } from '../document/types.ts';
import { escapeBraces } from '../expression/template.ts';
import { kindOf, screenKind } from '../kinds/catalogue.ts';
import { declaredName } from '../kinds/component.ts';
import { slotOf } from '../kinds/properties.ts';
import { surroundOf } from '../kinds/screen.ts';
import { entryOf } from '../sure.ts';
import { type Definition, definitionOf } from './definition.ts';
import type { Environment } from './environment.ts';
import { environmentOf, type Given } from './given.ts';
import { isOfEveryInstance } from './instance-attributes.ts';
import { isInstance } from './instance-kinds.ts';
import { itemNameIn, propsIn, withSaid } from './instance-values.ts';
import type { MotionHere } from './motions-here.ts';

/** Most controls of a screen when all its instances are expanded. */
export const mostExpanded = 20_000;
/** Deepest nesting of a screen when all its instances are expanded. */
export const deepestExpanded = 100;

/** Where a control of some tree is being expanded. */
interface Place {
  /** Names of the controls of its tree, by id. */
  readonly names: ReadonlyMap<string, string>;
  /** What the names in its tree stand for; undefined: it is the screen's own. */
  readonly around: Environment | undefined;
  /** In front of ids and names of its tree: `c4/`, `first.`, of an instance in a repeat `first[].`. */
  readonly ids: string;
  readonly prefix: string;
  /** Names that are no more than in its tree: those of a surround. */
  readonly isPlain: boolean;
  /** A component is shown by itself: its slots are boxes, to be seen and filled. */
  readonly isAlone: boolean;
  /** What goes into the slots of its tree. */
  readonly slots: ReadonlyMap<string, readonly Control[]>;
  /** What the items of the repeats around it are called, on the screen and in its tree. */
  readonly items: readonly string[];
  /** How many of these repeats are in its own tree. */
  readonly ownItems: number;
  /** Components that it is in, outermost first. */
  readonly within: readonly string[];
  readonly depth: number;
}

/** What an instance became, and what that followed from. */
interface Known {
  readonly spot: string;
  readonly used: readonly Definition[];
  readonly controls: readonly Control[];
  readonly variables: readonly StateVariable[];
  readonly motions: readonly MotionHere[];
  readonly count: number;
}

const expandedInstances = new WeakMap<Control, Known>();
const rebuilt = new WeakMap<Control, { readonly children: readonly Control[]; readonly control: Control }>();
const holding = new WeakMap<Control, boolean>();

/** Whether instances are in a control, itself included, or a surround is around it. */
export function holdsInstances(control: Control): boolean {
  let holds = holding.get(control);
  if (holds === undefined) {
    holds =
      isInstance(control) ||
      kindOf(control).declares === 'motion' ||
      control.props[surroundOf.name] !== undefined ||
      control.children.some(holdsInstances);
    holding.set(control, holds);
  }
  return holds;
}

const isSameList = <T>(one: readonly T[], other: readonly T[]): boolean =>
  one.length === other.length && one.every((each, index) => each === other[index]);

/** A control with other children; the same as last time where these are. */
function withChildren(control: Control, children: readonly Control[]): Control {
  if (isSameList(children, control.children)) return control;
  const known = rebuilt.get(control);
  if (known && isSameList(known.children, children)) return known.control;
  const made = { ...control, children };
  rebuilt.set(control, { children, control: made });
  return made;
}

/** Expands one tree. */
export class Expander {
  variables: StateVariable[] = [];
  motions: MotionHere[] = [];
  problem: string | undefined;
  private used: Definition[] = [];
  private count = 0;

  constructor(
    private readonly components: ReadonlyMap<string, Definition>,
    private readonly screen: Control,
  ) {}

  /** The screen's own controls. */
  private screenPlace(): Place {
    return {
      names: effectiveNames(this.screen),
      around: undefined,
      ids: '',
      prefix: '',
      isPlain: false,
      isAlone: false,
      slots: new Map(),
      items: [],
      ownItems: 0,
      within: [],
      depth: 1,
    };
  }

  whole(): Control {
    const { screen } = this;
    const place = this.screenPlace();
    const children = this.children(screen, place);
    const named = inForce(screen.props[surroundOf.name]);
    const definition = named === undefined ? undefined : this.components.get(named);
    const around = definition ? this.surrounded(definition, children, place) : children;
    const surrounds = Object.keys(screen.props).filter((name) => isOfSurround(name));
    return surrounds.length === 0
      ? withChildren(screen, around)
      : withoutSurround(withChildren(screen, around));
  }

  /**
   * A component by itself, on a screen, with what its parameters begin with; its controls keep their ids.
   *
   * @param samples what names in it hold, by name.
   */
  alone(samples: ReadonlyMap<string, unknown>): Control {
    const { screen: component } = this;
    const definition = definitionOf(component);
    const place = { ...this.screenPlace(), isPlain: true, isAlone: true };
    const props = Object.fromEntries(
      [...samples].flatMap(([name, value]) => {
        const text = definition.parameters.get(name)?.initial === undefined ? literalText(value) : undefined;
        return text === undefined ? [] : [[name, text]];
      }),
    );
    const inner = this.inside(definition, { ...component, props, children: [] }, [], place);
    const { root, isSurround } = definition;
    const shown = { ...inner, ids: '' };
    for (const line of definition.motions.values()) this.moves(component, line, shown);
    const { id, name } = component;
    return {
      id,
      kind: screenKind,
      ...(name === undefined ? {} : { name }),
      props: isSurround ? {} : { padding: '24' },
      children: !root ? [] : isSurround ? this.children(root, shown) : [...this.one(root, shown)],
    };
  }

  /** What a surround has, with what is on the screen in its slots. */
  private surrounded(definition: Definition, content: readonly Control[], place: Place): Control[] {
    this.used.push(definition);
    const kind = kindOf(this.screen);
    const props = Object.fromEntries(
      Object.entries(this.screen.props).flatMap(([name, value]) => {
        const given = parameterGiven(kind, name);
        return given === undefined ? [] : [[given, value]];
      }),
    );
    const instance = { ...this.screen, props };
    const inner = this.inside(definition, instance, content, { ...place, isPlain: true });
    for (const line of definition.motions.values()) this.moves(definition.control, line, inner);
    return definition.root ? this.children(definition.root, inner) : [...content];
  }

  /** What a control's children become. */
  private children(control: Control, place: Place): Control[] {
    const below = this.below(control, place);
    return control.children.flatMap((child) => this.one(child, below));
  }

  /** The place of what is in a control: in a repeat there is an item more. */
  private below(control: Control, place: Place): Place {
    const deeper = { ...place, depth: place.depth + 1 };
    const repetition = repetitionAround(control);
    if (!repetition) return deeper;
    const { around } = place;
    const as = around ? itemNameIn(repetition.as, around) : repetition.as;
    return {
      ...deeper,
      items: [...place.items, as],
      ownItems: place.ownItems + 1,
      around: around && {
        ...around,
        names:
          as === repetition.as
            ? without(around.names, as)
            : new Map([...around.names, [repetition.as, { reads: as }]]),
      },
    };
  }

  /** What one control becomes: as a rule one; a slot what goes into it; an instance its component's root. */
  private one(control: Control, place: Place): readonly Control[] {
    if (place.depth > deepestExpanded) {
      this.problem ??= `With all its instances it is nested more than ${deepestExpanded} deep.`;
      return [];
    }
    const kind = kindOf(control);
    if (kind.open) return this.instance(control, place);
    if (kind.declares === 'motion') {
      this.moves(this.screen, control, place);
      return [];
    }
    if (kind.inComponents && place.isAlone)
      return [
        { ...this.named(control, place), kind: 'column', props: {}, children: this.children(control, place) },
      ];
    if (kind.inComponents) {
      const put = place.slots.get(inForce(control.props[declaredName.name]) ?? '');
      return put && put.length > 0 ? put : this.children(control, { ...place, depth: place.depth - 1 });
    }
    if (++this.count > mostExpanded) {
      this.problem ??= `With all its instances it has more than ${mostExpanded} controls.`;
      return [];
    }
    const { around } = place;
    if (!around) {
      if (!holdsInstances(control)) return [control];
      return [withChildren(control, this.children(control, place))];
    }
    return [
      {
        ...this.named(control, place),
        kind: control.kind,
        props: propsIn(control, around),
        children: control.children.length > 0 ? this.children(control, place) : control.children,
      },
    ];
  }

  /** Keeps a motion for where it is played. @param tree the screen or component that declares it. */
  private moves(tree: Control, line: Control, { names, ids, prefix, isPlain, around }: Place): void {
    const declared = inForce(line.props[declaredName.name]) ?? '';
    const controls = [...walk(tree)].map(
      (control) => [entryOf(names, control.id), `${ids}${control.id}${this.rootBelow(control)}`] as const,
    );
    this.motions.push({
      name: isPlain ? declared : `${prefix}${declared}`,
      line: around ? { ...line, props: propsIn(line, around) } : line,
      controls: new Map(controls),
    });
  }

  /** What stands behind an instance's id in the id of the control that it becomes; empty for what stays itself. */
  private rootBelow({ kind }: Control, depth = 0): string {
    const root = this.components.get(kind)?.root;
    return root && depth < deepestExpanded ? `/${root.id}${this.rootBelow(root, depth + 1)}` : '';
  }

  /** The id and name of a control of a component. */
  private named(
    control: Control,
    { ids, prefix, names, isPlain, around }: Place,
  ): Pick<Control, 'id' | 'name'> {
    const name = isPlain ? control.name : around ? `${prefix}${entryOf(names, control.id)}` : control.name;
    return { id: `${ids}${control.id}`, ...(name === undefined ? {} : { name }) };
  }

  private instance(control: Control, place: Place): readonly Control[] {
    const definition = this.components.get(control.kind);
    if (!definition) return [];
    if (place.around) return this.anew(definition, control, place);
    // Of an instance of the screen itself all that it became is kept.
    const spot = [this.screen.name, entryOf(place.names, control.id), place.depth, ...place.items].join(' ');
    const known = expandedInstances.get(control);
    const isUsed = (each: Definition) => this.components.get(each.name) === each;
    if (known?.spot === spot && known.used.every(isUsed) && this.count + known.count <= mostExpanded) {
      this.count += known.count;
      this.variables.push(...known.variables);
      this.motions.push(...known.motions);
      this.used.push(...known.used);
      return known.controls;
    }
    const [used, variables, motions, count] = [this.used, this.variables, this.motions, this.count];
    this.used = [];
    this.variables = [];
    this.motions = [];
    const controls = this.anew(definition, control, place);
    if (this.problem === undefined)
      expandedInstances.set(control, {
        spot,
        used: this.used,
        controls,
        variables: this.variables,
        motions: this.motions,
        count: this.count - count,
      });
    this.used = [...used, ...this.used];
    this.variables = [...variables, ...this.variables];
    this.motions = [...motions, ...this.motions];
    return controls;
  }

  private anew(definition: Definition, control: Control, place: Place): readonly Control[] {
    this.used.push(definition);
    const { root, name } = definition;
    if (!root) return [];
    if (place.within.includes(name)) {
      this.problem ??= `\`${name}\` holds itself: ${[...place.within.slice(place.within.indexOf(name)), name].join(' → ')}.`;
      return [];
    }
    const content = this.children(control, { ...place, depth: place.depth + 1 });
    const inner = this.inside(definition, control, content, place);
    for (const line of definition.motions.values()) this.moves(definition.control, line, inner);
    const said = Object.fromEntries(
      Object.entries(place.around ? propsIn(control, place.around) : control.props).filter(([attribute]) =>
        isOfEveryInstance(attribute),
      ),
    );
    return this.one(root, inner).map((made, index) =>
      index === 0 ? { ...made, props: withSaid(made.props, said) } : made,
    );
  }

  /** The place of what is in a component, for one of its instances. */
  private inside(
    definition: Definition,
    instance: Control,
    content: readonly Control[],
    place: Place,
  ): Place {
    const own = entryOf(place.names, instance.id);
    const prefix = place.isPlain ? '' : `${place.prefix}${own}${'[]'.repeat(place.ownItems)}.`;
    const slots = new Map<string, Control[]>();
    for (const each of content) {
      const slot = inForce(each.props[slotOf.name]) ?? '';
      slots.set(slot, [...(slots.get(slot) ?? []), each]);
    }
    const given: Given = {
      definition,
      props: instance.props,
      around: place.around,
      content: instance.children,
      items: place.items,
      screen: this.screen.name ?? '',
      stem: `${this.screen.name ?? ''}.${place.prefix}${own}`,
      prefix,
    };
    const { environment, variables } = environmentOf(given);
    this.variables.push(...variables);
    return {
      names: effectiveNames(definition.control),
      around: environment,
      ids: `${place.ids}${instance.id}/`,
      prefix,
      isPlain: place.isPlain,
      isAlone: place.isAlone,
      slots,
      items: place.items,
      ownItems: 0,
      within: [...place.within, definition.name],
      depth: place.depth,
    };
  }
}

const isOfSurround = (attribute: string): boolean =>
  attribute === surroundOf.name || attribute.startsWith(`${surroundOf.name}.`);

const bared = new WeakMap<Control, Control>();

function withoutSurround(screen: Control): Control {
  const known = bared.get(screen);
  if (known) return known;
  const props = Object.fromEntries(Object.entries(screen.props).filter(([name]) => !isOfSurround(name)));
  const made = { ...screen, props };
  bared.set(screen, made);
  return made;
}

const without = <T>(map: ReadonlyMap<string, T>, key: string): ReadonlyMap<string, T> =>
  map.has(key) ? new Map([...map].filter(([name]) => name !== key)) : map;

/** Longest value of a sample that a component is shown with, in UTF-16 units of JSON. */
const longestSample = 20_000;

/** A value as the text of an attribute; undefined where it is too long for that, or none. */
function literalText(value: unknown): string | undefined {
  if (typeof value === 'string') return escapeBraces(value);
  const text = JSON.stringify(value);
  return text === undefined || text.length > longestSample ? undefined : `{ ${text} }`;
}
