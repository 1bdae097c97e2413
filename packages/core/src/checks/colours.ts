/** What does not stand out enough on a screen, in every mode and every state that the project speaks of. */
import { propertiesOf } from '../cascade/cascade.ts';
import { themeOf } from '../cascade/project-theme.ts';
import { statesAsked } from '../cascade/states-asked.ts';
import { effectiveNames } from '../document/names.ts';
import { type Mode, modes } from '../document/token.ts';
import { locationsIn } from '../document/tree.ts';
import { type Control, inForce, type Project } from '../document/types.ts';
import { focusOrder } from '../focus/focus-order.ts';
import { kindOf } from '../kinds/catalogue.ts';
import { partPrefix } from '../kinds/look-parts.ts';
import { background, borderColour, colour } from '../kinds/properties.ts';
import type { ScreenView } from '../layout/screen-layout.ts';
import { applySteps, type Step } from '../steps/step.ts';
import { reaching } from '../tokens/srgb.ts';
import { colourIn } from '../values/theme.ts';
import type { Fix } from '../why/explanation.ts';
import type { CheckOptions } from './check.ts';
import { allOnGrounds, type Known, type OnGround } from './contrast.ts';
import type { Finding } from './finding.ts';
import { uprightHeight } from './heights.ts';

/** Widths at which colours are looked at: of a hand and of a desk. */
const widths = [390, 1280];

const modeWords: Readonly<Record<Mode, string>> = {
  light: '',
  dark: ' in the dark',
  contrast: ' with more contrast',
};

const checkNames = { words: 'low-contrast', part: 'faint-part', focus: 'faint-focus' } as const;

/** Ratios are told with one digit, so less than half of one is no difference. */
const slack = 0.005;

type Found = Omit<Finding, 'attribute'>;

const known = new WeakMap<Control, { readonly key: readonly unknown[]; readonly found: readonly Found[] }>();

/** What somebody said about the screens that colours depend on. */
const dependsOn = (
  { bands, state, assets, tokens, styles }: Project,
  { from, to }: CheckOptions,
): readonly unknown[] => [...[bands, state, assets, tokens, styles], ...[from, to]];

/** What does not stand out enough, one finding a control and check: that of the mode and state in which it does least. */
export function faintColours(
  view: ScreenView,
  project: Project,
  screen: Control,
  options: CheckOptions,
): readonly Found[] {
  const key = dependsOn(project, options);
  const before = known.get(screen);
  if (before?.key.every((each, index) => each === key[index])) return before.found;
  const found = sought(view, project, screen, options);
  known.set(screen, { key, found });
  return found;
}

/** Something on its ground, and where it was seen. */
export interface SeenOnGround extends OnGround {
  readonly mode: Mode;
  /** The state that all controls were in; undefined: none. */
  readonly state: string | undefined;
  /** Width of the screen, CSS px. */
  readonly width: number;
}

/** All that has to stand out on a screen, in each mode, width and state that is looked at. */
export function* seenOnGrounds(
  view: ScreenView,
  project: Project,
  screen: Control,
  { from, to }: Pick<CheckOptions, 'from' | 'to'>,
): Generator<SeenOnGround> {
  const states = [
    undefined,
    ...statesAsked(project, themeOf(project).styles).filter((state) => state !== 'disabled'),
  ];
  const [first = from, ...others] = widths.filter((width) => width >= from && width <= to);
  const asked = askedOf(screen);
  // What a state changes of colours it changes at all widths.
  for (const width of [first, ...others])
    for (const mode of modes)
      for (const state of width === first ? states : [undefined]) {
        const layout = view.layOut(project, screen, {
          width,
          height: uprightHeight,
          mode,
          ...(state === undefined ? {} : { states: new Map([['', [state]]]) }),
        });
        const wantsMore = mode === 'contrast' && state === undefined;
        const about = { ...asked, wantsMore, ring: colourIn(themeOf(project, mode), 'accent') };
        for (const each of allOnGrounds(layout, about)) yield { ...each, mode, state, width };
      }
}

/** What a screen says of its controls. */
function askedOf(screen: Control): Omit<Known, 'wantsMore' | 'ring'> {
  const places = locationsIn(screen);
  const said = (id: string, name: string) => inForce(places.get(id)?.control.props[name]);
  const takers = new Set(focusOrder(screen).flatMap((stop) => stop.takers.map(({ id }) => id)));
  return {
    isOff: (id) => said(id, 'disabled') === 'true',
    takesFocus: (id) => takers.has(id),
    isNamed: (id) =>
      [said(id, 'label'), said(id, 'text')].some((words) => words !== undefined && words !== ''),
  };
}

function sought(view: ScreenView, project: Project, screen: Control, options: CheckOptions): Found[] {
  const worst = new Map<string, SeenOnGround>();
  for (const each of seenOnGrounds(view, project, screen, options)) {
    if (each.ratio >= each.wanted - slack) continue;
    const key = `${each.what} ${each.control}`;
    const held = worst.get(key);
    if (!held || lacking(each) > lacking(held)) worst.set(key, each);
  }
  const places = locationsIn(screen);
  const names = effectiveNames(screen);
  return [...worst.values()].map((each) =>
    findingOf(each, places.get(each.control)?.control, names.get(each.control) ?? '', {
      view,
      project,
      screen,
    }),
  );
}

/** Where something was seen. */
interface Place {
  readonly view: ScreenView;
  readonly project: Project;
  readonly screen: Control;
}

/** How much is missing; what must be reached counts before what would be kinder. */
const lacking = ({ ratio, needed, wanted }: OnGround): number =>
  ratio < needed - slack ? 100 + needed - ratio : wanted - ratio;

function subjectOf({ what, part }: OnGround, name: string): string {
  if (what === 'words') return `The words of \`${name}\` stand out`;
  if (what === 'focus') return `The ring around \`${name}\`, when it has the focus, stands out`;
  return part === undefined ? `The icon of \`${name}\` stands out` : `The edge of \`${name}\` stands out`;
}

/** The attribute that a better colour goes into; undefined where the control has none. */
function attributeFor({ what, part, by }: OnGround, control: Control): string | undefined {
  if (what === 'focus') return undefined;
  const { name: painted } = by === 'ground' ? background : borderColour;
  const name = part === undefined ? colour.name : `${partPrefix(part)}${painted}`;
  return propertiesOf(kindOf(control)).has(name) ? name : undefined;
}

/** What would mend it, as far as it does: it is tried where it was seen. */
function mendingOf(seen: SeenOnGround, control: Control, { view, project, screen }: Place): Fix[] {
  const { ink, ground, wanted, what, width } = seen;
  const attribute = attributeFor(seen, control);
  const better = attribute && reaching(ink, ground, wanted);
  if (!better) return [];
  const steps: Step[] = [{ type: 'set', control: control.id, property: attribute, value: better }];
  const applied = applySteps(project, steps);
  const now = applied.ok ? applied.project.screens.find(({ id }) => id === screen.id) : undefined;
  if (!applied.ok || !now) return [];
  const layout = view.layOut(applied.project, now, { width, height: uprightHeight });
  const ring = colourIn(themeOf(project), 'accent');
  const left = allOnGrounds(layout, { ...askedOf(now), wantsMore: false, ring }).some(
    (each) => each.control === control.id && each.what === what && each.ratio < each.needed - slack,
  );
  return left ? [] : [{ label: `Use ${better}, the nearest colour that stands out enough`, steps }];
}

function findingOf(seen: SeenOnGround, control: Control | undefined, name: string, place: Place): Found {
  const { ratio, needed, wanted, mode, state, width } = seen;
  // What a control says itself about a colour holds in all modes and states: it is mended where neither counts.
  const isPlain = mode === 'light' && state === undefined;
  const fails = ratio < needed - slack;
  const asked = fails ? needed : wanted;
  const conditions = `${modeWords[mode]}${state === undefined ? '' : `, ${state}`}`;
  return {
    check: checkNames[seen.what],
    severity: fails ? 'warning' : 'advice',
    control: seen.control,
    other: undefined,
    where: [{ from: width, to: width, textScale: 1, orientation: 'portrait' }],
    worst: Number((asked - ratio).toFixed(2)),
    sentence: `${subjectOf(seen, name)} ${ratio.toFixed(1)} to 1${conditions}; ${asked} to 1 is asked for.`,
    fixes: isPlain && control ? mendingOf(seen, control, place) : [],
  };
}
