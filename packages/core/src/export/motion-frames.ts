/**
 * Motions as a page plays them, by Web Animations: for each property of each control the keyframes of its CSS. A value that does
 * not blend with the next one changes when half of the way is done, also where a browser would find something in between.
 */
import { orientations } from '../cascade/attributes.ts';
import { type Conditions, saidOf } from '../cascade/cascade.ts';
import { plainValues } from '../cascade/plain-values.ts';
import type { Values } from '../cascade/values.ts';
import {
  type Around,
  aroundOf,
  colourDeclarations,
  declarations,
  withoutParts,
} from '../css/declarations.ts';
import { px } from '../css/lengths.ts';
import type { Control, Project } from '../document/types.ts';
import { hasExpression } from '../expression/template.ts';
import { kindOf } from '../kinds/catalogue.ts';
import type { CarryingPart } from '../kinds/kind.ts';
import { arrangementOf, mannerOf } from '../kinds/manner.ts';
import { blended, underneath } from '../motion/blend.ts';
import type { Key, Motion, Track } from '../motion/timeline.ts';
import type { MotionFrame, MotionFrames, MotionTarget } from '../runtime/program.ts';
import type { Gaps, Sides } from '../values/css.ts';
import { easingCss, easingOf } from '../values/easing.ts';
import { colourCss, type Theme } from '../values/theme.ts';
import { stagesOf } from './control-rules.ts';
import { pictureSizes } from './picture-sizes.ts';

/** A control where it stands. */
interface Standing {
  readonly control: Control;
  readonly parent: Control | undefined;
}

type Css = Readonly<Record<string, string>>;

const sideNames = (front: string, back: string): readonly (readonly [keyof Sides, string])[] => [
  ['top', `${front}-top${back}`],
  ['end', `${front}-inline-end${back}`],
  ['bottom', `${front}-bottom${back}`],
  ['start', `${front}-inline-start${back}`],
];

/** Properties whose CSS is written side by side, so that each side blends by itself. */
const bySides: Readonly<Record<string, readonly (readonly [keyof Sides, string])[]>> = {
  margin: sideNames('margin', ''),
  padding: sideNames('padding', ''),
  'border-width': sideNames('border', '-width'),
};

/** What `flex` is made of (CSS Flexbox 1 §7.1). */
function flexParts(value: string): Css {
  const [grow = '1', shrink = '1', basis = '0px'] = value === 'none' ? ['0', '0', 'auto'] : value.split(' ');
  return { 'flex-grow': grow, 'flex-shrink': shrink, 'flex-basis': basis };
}

/** A control under some conditions, and how it stands. */
interface Under {
  readonly standing: Standing;
  /** The part inside its element that has the property. */
  readonly part: CarryingPart | undefined;
  readonly parts: readonly CarryingPart[];
  readonly conditions: Conditions;
  readonly values: Values;
  readonly around: Around;
}

/** Lengths that are written side by side, or axis by axis, so that each blends by itself. */
function longhands(name: string, value: unknown): Css | undefined {
  const sides = bySides[name];
  if (sides) return Object.fromEntries(sides.map(([side, css]) => [css, px((value as Sides)[side])]));
  if (name === 'row-gap' || name === 'column-gap') return { [name]: px(value as number) };
  if (name !== 'gap') return undefined;
  const { row, column } = value as Gaps;
  return { 'row-gap': px(row), 'column-gap': px(column) };
}

/** All that a control declares with a value of a property. */
function allCss(
  name: string,
  value: unknown,
  { standing, part, parts, conditions, values, around }: Under,
): Css {
  const { control, parent } = standing;
  const manner = mannerOf(kindOf(control));
  const whole = values.with(name, value);
  const said = part ? whole.only((each) => part.properties.includes(each)) : withoutParts(whole, parts);
  const found = new Map(declarations(said, manner, around, arrangementOf(manner, values)));
  if (!part && parent) pictureSizes(found, { control, parent, values: said, conditions, around });
  for (const each of colourDeclarations(manner, said)) found.set(...each);
  const own = longhands(name, value ?? underneath({ name }, (each) => values.get({ name: each } as never)));
  // The shorthand stands for what its longhands say.
  if (own) for (const css of [...found.keys()]) if (css.startsWith(shorthandOf(name))) found.delete(css);
  return Object.fromEntries([
    ...[...found].flatMap(([css, text]) =>
      css === 'flex' ? Object.entries(flexParts(text)) : [[css, text] as const],
    ),
    ...Object.entries(own ?? {}),
  ]);
}

const shorthandOf = (name: string): string =>
  name === 'border-width' ? 'border' : name.endsWith('gap') ? 'gap' : name;

/** Values of properties that a key changes and the control leaves open. */
const unsaid: Readonly<Record<string, string>> = {
  width: 'auto',
  height: 'auto',
  'min-width': 'auto',
  'min-height': 'auto',
  'flex-grow': '0',
  'flex-shrink': '1',
  'flex-basis': 'auto',
  'align-self': 'auto',
  'justify-self': 'auto',
  left: 'auto',
  right: 'auto',
  top: 'auto',
  bottom: 'auto',
};

/** The CSS of the values of a track: of all that differs between any two of them, each time as a whole. */
function cssOfTrack({ property: { name }, keys }: Track, under: Under): (value: unknown) => Css {
  const made = new Map<unknown, Css>();
  const all = (value: unknown): Css => {
    const css = made.get(value) ?? allCss(name, value, under);
    made.set(value, css);
    return css;
  };
  // What differs from saying nothing counts, too: all keys may say the same.
  const each = [...keys.map(({ value }) => value), under.values.get({ name } as never), undefined].map(all);
  const sides = Object.keys(longhands(name, keys[0]!.value) ?? {});
  const names = [...new Set(each.flatMap((css) => Object.keys(css)))].filter(
    (css) => sides.includes(css) || each.some((one) => one[css] !== each[0]![css]),
  );
  return (value) => Object.fromEntries(names.map((css) => [css, all(value)[css] ?? unsaid[css] ?? '']));
}

/** Parts of a segment at which its easing comes to the middle of the way, each with the side that it is on then. */
function turns(ease: string): readonly { readonly at: number; readonly isPast: boolean }[] {
  const easing = easingOf(ease) ?? ((part: number) => part);
  const found: { at: number; isPast: boolean }[] = [];
  const count = 400;
  let isPast = easing(0) >= 0.5;
  for (let step = 1; step <= count; step++) {
    const now = easing(step / count) >= 0.5;
    if (now === isPast) continue;
    let [low, high] = [(step - 1) / count, step / count];
    for (let round = 0; round < 40; round++) {
      const middle = (low + high) / 2;
      if (easing(middle) >= 0.5 === now) high = middle;
      else low = middle;
    }
    found.push({ at: high, isPast: now });
    isPast = now;
  }
  return found;
}

/** A key, or an end of the track without one: there the control is what it is without the motion. */
type Point = Pick<Key, 'at' | 'value' | 'ease'> & { readonly isEnd?: true };

/** A frame: CSS, or names of properties that the page asks the element for. */
type At = (point: Point) => Pick<MotionFrame, 'css' | 'under'>;

const easing = (ease: string): Pick<MotionFrame, 'ease'> =>
  ease === 'linear' ? {} : { ease: easingCss(ease) };

/** The frames from one point up to the next one. @param isOpen what the control is at an end follows an expression. */
function segment(
  track: Track,
  from: Point,
  to: Point,
  { what, isOpen, theme }: { readonly what: At; readonly isOpen: boolean; readonly theme: Theme },
): MotionFrame[] {
  if (to.at <= from.at) return [{ at: from.at, ...what(from) }];
  const isUnknown = isOpen && (from.isEnd === true || to.isEnd === true);
  if (isUnknown || blended(track.property, from.value, to.value, 0.5, theme) !== undefined)
    return [{ at: from.at, ...what(from), ...easing(to.ease) }];
  // Each value stands at both ends of the time that it holds: between a length and a part of something a browser would mix both.
  const length = to.at - from.at;
  const side = (isPast: boolean): ReturnType<At> => what(isPast ? to : from);
  const all = turns(to.ease);
  const first = (easingOf(to.ease)?.(0) ?? 0) >= 0.5;
  return [
    { at: from.at, ...side(first) },
    ...all.flatMap(({ at, isPast }): MotionFrame[] => {
      const moment = from.at + at * length;
      return [
        { at: moment, ...side(!isPast) },
        { at: moment, ...side(isPast) },
      ];
    }),
    // An easing may end before its middle.
    ...((all.at(-1)?.isPast ?? first) ? [] : [{ at: to.at, ...side(false) }]),
  ];
}

/** The value without a key: at the ends of a track, and all the while. */
interface Beside {
  /** CSS that holds all the while. */
  readonly always: Css;
  /** What is at an end without a key, as a value; and in CSS, where the page need not ask the element. */
  readonly under: unknown;
  readonly underCss: Css | undefined;
  /** It follows an expression. */
  readonly isOpen: boolean;
}

/** The frames of a track. */
function framesOf(
  track: Track,
  css: (value: unknown) => Css,
  { always, under, underCss, isOpen }: Beside,
  theme: Theme,
): MotionFrame[] {
  const { keys } = track;
  const names = Object.keys(css(keys[0]!.value));
  const what: At = ({ value, isEnd }) => {
    if (isEnd) return underCss ? { css: { ...underCss, ...always } } : { under: names };
    return { css: { ...css(value), ...always } };
  };
  const end = (at: number): Point => ({ at, value: under, ease: 'linear', isEnd: true });
  const points: Point[] = [
    ...(keys[0]!.at > 0 ? [end(0)] : []),
    ...keys,
    ...(keys.at(-1)!.at < 1 ? [end(1)] : []),
  ];
  return points.flatMap((point, index) => {
    const next = points[index + 1];
    return next ? segment(track, point, next, { what, isOpen, theme }) : [{ at: point.at, ...what(point) }];
  });
}

/** A control without the motion. A border has a line and a colour where the control has none of its own, and grows from nothing. */
function besideOf({ property }: Track, control: Control, conditions: Conditions, values: Values): Beside {
  const held = values.get(property);
  const isBare = property.name === 'border-width' && held === undefined;
  return {
    always: isBare ? { 'border-style': 'solid', 'border-color': colourCss('line') } : {},
    under: underneath(property, (name) => values.get({ name } as never)),
    underCss: isBare ? Object.fromEntries(bySides['border-width']!.map(([, css]) => [css, '0'])) : undefined,
    isOpen: hasExpression(saidOf(control, property, conditions)?.text ?? ''),
  };
}

const partOf = (parts: readonly CarryingPart[], property: string): CarryingPart | undefined =>
  parts.find(({ properties }) => properties.includes(property));

/** The frames of a track on a control for each width from which they differ. */
function byWidth(
  project: Project,
  track: Track,
  standing: Standing,
  part: CarryingPart | undefined,
  others: readonly Track[],
  theme: Theme,
): MotionFrames[] {
  const { control, parent } = standing;
  const parts = kindOf(control).parts?.(control.children) ?? [];
  const framesUnder = (prefixes: readonly string[]): MotionFrame[] => {
    const conditions: Conditions = { prefixes, theme };
    const values = plainValues(control, conditions);
    const around: Around = part ? { type: 'column' } : aroundOf(parent, control, conditions);
    // A size may follow from another one that moves, too.
    const beside = others.reduce(
      (all, { property, keys }) => all.with(property.name, keys[0]?.value),
      values,
    );
    const css = cssOfTrack(track, { standing, part, parts, conditions, values: beside, around });
    return framesOf(track, css, besideOf(track, control, conditions, values), theme);
  };
  const isSame = (one: readonly MotionFrame[] | undefined, other: readonly MotionFrame[]) =>
    JSON.stringify(one) === JSON.stringify(other);
  const found: MotionFrames[] = [];
  for (const { from, prefixes } of stagesOf(project.bands)) {
    const [one, other] = orientations.map((turned) => ({
      turned,
      frames: framesUnder([...prefixes, `${turned}.`]),
    }));
    if (!one || !other) continue;
    if (!isSame(one.frames, other.frames)) found.push({ from, ...one }, { from, ...other });
    else if (found.at(-1)?.turned !== undefined || !isSame(found.at(-1)?.frames, one.frames))
      found.push({ from, frames: one.frames });
  }
  return found;
}

const isEmpty = ({ css = {}, under = [] }: MotionFrame): boolean =>
  under.length === 0 && Object.keys(css).length === 0;

/**
 * What a motion does on a page.
 *
 * @param places the screen's controls by their ids. @param names what the page calls them.
 */
export const motionTargets = (
  project: Project,
  { tracks }: Motion,
  places: ReadonlyMap<string, Standing>,
  names: ReadonlyMap<string, string>,
  theme: Theme,
): MotionTarget[] =>
  tracks.flatMap((track): MotionTarget[] => {
    const standing = places.get(track.control);
    const name = names.get(track.control);
    const kind = standing && kindOf(standing.control);
    if (
      !standing ||
      name === undefined ||
      !kind?.properties.some((each) => each.name === track.property.name)
    )
      return [];
    const part = partOf(kind.parts?.(standing.control.children) ?? [], track.property.name);
    const others = tracks.filter((each) => each.control === track.control && each !== track);
    const widths = byWidth(project, track, standing, part, others, theme);
    // Where it stands, the property may mean nothing.
    if (widths.every(({ frames }) => frames.every(isEmpty))) return [];
    return [
      {
        control: name,
        ...(part ? { part: part.selector } : {}),
        widths,
      },
    ];
  });
