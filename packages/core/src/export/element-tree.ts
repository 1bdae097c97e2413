/**
 * A screen as a tree of elements: which tags with which attributes, in which order. It knows nothing of how it is written;
 * `html.ts` prints it, and whatever prints it otherwise gets the same elements.
 */

import { propertiesOf } from '../cascade/cascade.ts';
import { ownStatesNow } from '../cascade/own-states.ts';
import { repetitionOf } from '../cascade/repetition.ts';
import type { Circumstances } from '../cascade/values.ts';
import { stylesNow, type Values, valuesOf } from '../cascade/values.ts';
import { effectiveNames } from '../document/names.ts';
import { stylesNamed } from '../document/style-set.ts';
import { type Asset, type Control, inForce } from '../document/types.ts';
import type { Scope } from '../expression/evaluate.ts';
import { asText } from '../expression/evaluate.ts';
import { itemScope } from '../expression/item-scope.ts';
import { ownStatesIn } from '../expression/own-states.ts';
import { unescapeBraces } from '../expression/template.ts';
import { iconShapes } from '../icons/icon-set.ts';
import { symbolId } from '../icons/symbol-id.ts';
import { kindOf } from '../kinds/catalogue.ts';
import type { Kind, PageElement } from '../kinds/kind.ts';
import { longList, mostItems, writtenOfLong } from '../kinds/list-lengths.ts';
import { tabindex, withTurn } from '../kinds/tabindex.ts';
import { itemName } from '../layout/screen-layout.ts';
import { entryOf, itemAt } from '../sure.ts';
import { screenClass } from './class-names.ts';
import { withoutEmptyParts } from './empty-parts.ts';
import { asPairs, asSection, asTag } from './meant.ts';
import { pictureAddress } from './picture-address.ts';
import { styleClass } from './style-class.ts';

/** An element of a page. */
export interface TreeElement {
  readonly tag: string;
  /** In the order in which they are written; a flag is `true`. What is not set is not in it. */
  readonly attributes: readonly (readonly [name: string, value: string | true])[];
  /** Words, or the elements inside. */
  readonly inside: string | readonly TreeElement[];
  /** Whether the elements inside stand on its own line: shapes of a drawing. */
  readonly oneLine?: boolean;
}

/** Attributes that say something even when they are empty. */
const mayBeEmpty = new Set([
  'alt',
  'value',
  'data-press',
  'data-sort',
  'data-cargo',
  'data-carries',
  'data-takes',
  'data-scrolls',
  'data-end',
]);

/** What the elements of a screen are made with. */
export interface Elements {
  readonly circumstances: Circumstances;
  readonly assets: readonly Asset[];
  /** Inline style of a control whose look is bound, for the values that a scope has. */
  readonly styleOf: (control: Control, parent: Control | undefined, scope: Scope) => string;
  /** The class that a part of an instance has in all instances. */
  readonly partClass?: (control: Control) => string | undefined;
}

/** Where an element stands: inside which items of repeats, and what their names mean there. */
interface Spot {
  readonly items: readonly number[];
  readonly scope: Scope;
  /** Own states that hold there. */
  readonly states: readonly string[];
  /** Inside a form; HTML knows no form in a form. */
  readonly inForm?: boolean;
}

/** Whether something below a control takes the focus itself. */
const holdsFocus = (control: Control): boolean =>
  control.children.some((child) => propertiesOf(kindOf(child)).has(tabindex.name) || holdsFocus(child));

/** What makes something pressable that no element of HTML is: by keys too, and told where it is read out. */
function pressing(control: Control, kind: Kind): Record<string, string> {
  const pressed = inForce(control.props['on.press']) ?? inForce(control.props['on.doublepress']);
  if (pressed === undefined || kind.group === 'act') return {};
  return { tabindex: '0', 'data-press': '', ...(holdsFocus(control) ? {} : { role: 'button' }) };
}

/** Attributes of controls that can be dragged, and of containers that take them. */
function carrying({ props }: Control): Record<string, string> {
  const isCarried = inForce(props.carries) !== undefined;
  const takes = inForce(props['on.drop']) !== undefined;
  if (!isCarried && !takes) return {};
  return {
    'data-cargo': unescapeBraces(inForce(props.cargo) ?? ''),
    ...(isCarried ? { 'data-carries': '', tabindex: '0' } : {}),
    ...(takes ? { 'data-takes': '' } : {}),
  };
}

type Attributes = NonNullable<PageElement['attributes']>;
/** The element around each copy of a repeat's children. */
type Around = NonNullable<PageElement['copies']>['around'];

/** Attributes that are set: no flag that is off, nothing empty that says nothing then. */
export const setAttributes = (attributes: Attributes): TreeElement['attributes'] =>
  Object.entries(attributes).flatMap(([name, value]) => {
    if (value === false || (value === '' && !mayBeEmpty.has(name))) return [];
    return [[name, value === true ? true : String(value)] as const];
  });

/** The attributes that a kind gives an element, its classes first. */
const ownAttributes = ({ classes, attributes }: PageElement): TreeElement['attributes'] =>
  setAttributes({ ...(classes ? { class: classes.join(' ') } : {}), ...attributes });

/** What an `svg` of an icon shows: the page's symbol of it (SVG 2 §5.6, `use`). Nothing where there is no such icon. */
const symbolUsed = (icon: string): TreeElement[] =>
  iconShapes(icon).length === 0
    ? []
    : [{ tag: 'use', attributes: setAttributes({ href: `#${symbolId(icon)}` }), inside: [] }];

/** The element of a screen, with all that is in it. */
export function elementTree(screen: Control, elements: Elements): TreeElement {
  return new ScreenElements(screen, elements).control(screen, undefined, {
    items: [],
    scope: elements.circumstances.scope,
    states: [],
  });
}

/** One item of a list (HTML §4.4.8, the `li` element). */
const asListItem = (made: TreeElement): TreeElement => asTag(made, 'li');

/** Whether what a control repeats are items of a list, by the pattern that stands in front of them. */
function holdsListItems(inside: TreeElement['inside']): boolean {
  const [pattern] = typeof inside === 'string' ? [] : inside;
  const [item] = pattern?.tag === 'template' && typeof pattern.inside !== 'string' ? pattern.inside : [];
  return item?.tag === 'li';
}

/** Words in place of all items, read out as they come. */
const saidElement = (words: string, tag: 'li' | 'div'): TreeElement => ({
  tag,
  attributes: setAttributes({ class: 'part-said' }),
  inside: [{ tag: 'span', attributes: setAttributes({ role: 'status' }), inside: words }],
});

/** Makes the elements of one screen. */
class ScreenElements {
  private readonly names: ReadonlyMap<string, string>;

  constructor(
    private readonly screen: Control,
    private readonly elements: Elements,
  ) {
    this.names = effectiveNames(screen);
  }

  control(at: Control, parent: Control | undefined, spot: Spot): TreeElement {
    const kind = kindOf(at);
    const name = entryOf(this.names, at.id);
    const circumstances = { ...this.elements.circumstances, scope: spot.scope };
    const states = ownStatesNow(at, kind, circumstances, spot.states, undefined);
    const values = valuesOf(at, kind, { ...circumstances, states: { own: states } });
    const fullName = itemName(name, spot.items);
    const written = kind.element(values, at.children, `${this.screen.name ?? ''}-${fullName}`);
    const element = withTurn(withoutEmptyParts(written, at, kind), values.get(tabindex));
    const style = this.elements.styleOf(at, parent, spot.scope);
    const tag = spot.inForm && element.tag === 'form' ? 'div' : element.tag;
    const within = { ...spot, states, inForm: spot.inForm === true || tag === 'form' };
    const inside = this.inside(
      { ...element, children: element.children ?? (kind.container ? [...at.children.keys()] : []) },
      {
        child: (index) => this.control(itemAt(at.children, index), at, within),
        copies: (around) => this.repeated(at, values, around, within),
      },
    );
    const isList = tag === 'div' && holdsListItems(inside.inside);
    const pairs = tag === 'dl' ? asPairs(inside.inside) : undefined;
    const made: TreeElement = {
      tag: isList ? 'ul' : tag === 'dl' && !pairs ? 'div' : tag,
      attributes: setAttributes({
        class: [
          `k-${kind.name}`,
          ...(element.classes ?? []),
          ...this.styles(at, spot.scope),
          this.elements.partClass?.(at),
          this.classOf(at, name),
        ]
          .filter((each) => each !== undefined)
          .join(' '),
        'data-name': fullName,
        ...this.states(at, states),
        // A list without marks is none for some screen readers, unless it says so.
        ...(isList ? { role: 'list' } : {}),
        ...element.attributes,
        ...pressing(at, kind),
        ...carrying(at),
        ...(style ? { style } : {}),
        ...this.pictures(kind, values),
      }),
      ...inside,
      ...(pairs ? { inside: pairs } : {}),
    };
    return kind.container && !kind.root ? asSection(made) : made;
  }

  /** The classes of the styles that a control has. */
  private styles(at: Control, scope: Scope): string[] {
    const { styles } = this.elements.circumstances.theme;
    if (styles.all.length === 0) return [];
    return stylesNamed(styles, stylesNow(at, scope), at.kind)
      .toReversed()
      .map(({ name = '' }) => styleClass(name));
  }

  /** The mark of the states that a control declares, as far as they hold; those that follow a built-in one have none. */
  private states({ props }: Control, now: readonly string[]): Attributes {
    const marked = ownStatesIn(inForce(props.states)).filter(
      ({ name, when }) => typeof when !== 'string' && now.includes(name),
    );
    return marked.length === 0 ? {} : { 'data-states': marked.map(({ name }) => name).join(' ') };
  }

  /** The class that a control's own rules go by. */
  private classOf(control: Control, name: string): string {
    return control.id === this.screen.id ? screenClass(name) : name;
  }

  /** Addresses of the pictures that a control shows, as the attributes that say them. */
  private pictures(kind: Kind, values: Values): Attributes {
    const { assets, circumstances } = this.elements;
    return Object.fromEntries(
      kind.properties.flatMap((property) =>
        property.type.refers?.to === 'picture' && property.page?.as === 'attribute'
          ? [
              [
                property.page.name ?? property.name,
                pictureAddress(asText(values.get(property)), assets, circumstances.theme),
              ],
            ]
          : [],
      ),
    );
  }

  /** The content of an element, as its kind describes it. */
  private inside(
    element: PageElement,
    of: { child: (index: number) => TreeElement; copies: (around: Around) => TreeElement[] },
  ): Pick<TreeElement, 'inside' | 'oneLine'> {
    if (element.text !== undefined) return { inside: element.text };
    if (element.icon !== undefined) return { inside: symbolUsed(element.icon), oneLine: true };
    const children = (element.children ?? []).map((entry) => {
      if (typeof entry === 'number') return of.child(entry);
      if ('child' in entry) return asTag(of.child(entry.child), entry.tag);
      return { tag: entry.tag, attributes: ownAttributes(entry), ...this.inside(entry, of) };
    });
    return { inside: element.copies ? [...children, ...of.copies(element.copies.around)] : children };
  }

  /** What is repeated: what an item looks like, for the script; and the items that are there at first. */
  private repeated(at: Control, values: Values, around: Around, spot: Spot): TreeElement[] {
    const name = repetitionOf(at)?.as;
    const item = (value: unknown, path: readonly number[]): TreeElement[] => {
      const scope = name === undefined ? spot.scope : itemScope(spot.scope, name, value, path.at(-1) ?? 0);
      const made = at.children.map((child) => this.control(child, at, { ...spot, items: path, scope }));
      if (!around && made.length === 1) return made.map(asListItem);
      return around ? [{ tag: around.tag, attributes: ownAttributes(around), inside: made }] : made;
    };
    const said = kindOf(at).said?.(values) ?? '';
    const all = said ? [] : (kindOf(at).items?.(values) ?? []);
    const list = all.slice(0, all.length > longList ? writtenOfLong : mostItems);
    const pattern = { tag: 'template', attributes: [], inside: item(list[0], []) };
    return [
      pattern,
      ...(said ? [saidElement(said, holdsListItems([pattern]) ? 'li' : 'div')] : []),
      ...list.flatMap((value, index) => item(value, [...spot.items, index])),
    ];
  }
}
