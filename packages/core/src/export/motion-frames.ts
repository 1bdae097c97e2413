/**
 * Motions as a page plays them, by Web Animations: for each property of each control the keyframes of its CSS. A value that does
 * not blend with the next one changes when half of the way is done, also where a browser would find something in between.
 */
import type { Conditions } from '../cascade/cascade.ts';
import { plainValues } from '../cascade/plain-values.ts';
import { Values } from '../cascade/values.ts';
import { type Around, aroundOf, colourDeclarations, declarations } from '../css/declarations.ts';
import { px } from '../css/lengths.ts';
import type { Control, Project } from '../document/types.ts';
import { kindOf } from '../kinds/catalogue.ts';
import type { CarryingPart } from '../kinds/kind.ts';
import { arrangementOf, mannerOf } from '../kinds/manner.ts';
import { blended } from '../motion/blend.ts';
import type { Key, Motion, Track } from '../motion/timeline.ts';
import type { MotionFrame, MotionFrames, MotionTarget } from '../runtime/program.ts';
import type { Gaps, Sides } from '../values/css.ts';
import { easingCss, easingOf } from '../values/easing.ts';
import type { Theme } from '../values/theme.ts';
import { stagesOf } from './control-rules.ts';

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

/** What is said of a control's border beside what a key says of it. */
const borderParts: Readonly<Record<string, RegExp>> = {
  'border-color': /-color$|^border-color$/,
  'border-style': /-style$|^border-style$/,
};

/** What a property of a control comes to in CSS. */
function cssOf(
  { property }: Pick<Track, 'property'>,
  value: unknown,
  {
    control,
    around,
    arrangement,
  }: { control: Control; around: Around; arrangement: Parameters<typeof declarations>[3] },
): Css {
  const { name } = property;
  const sides = bySides[name];
  if (sides) return Object.fromEntries(sides.map(([side, css]) => [css, px((value as Sides)[side])]));
  if (name === 'gap') {
    const { row, column } = value as Gaps;
    return { 'row-gap': px(row), 'column-gap': px(column) };
  }
  if (name === 'row-gap' || name === 'column-gap') return { [name]: px(value as number) };
  const manner = mannerOf(kindOf(control));
  const said = new Values(new Map([[name, value]]));
  const { css: _, ...plain } = manner;
  const found = new Map(declarations(said, plain, around, arrangement));
  for (const each of colourDeclarations(manner, said)) found.set(...each);
  const isMeant = borderParts[name] ?? /./;
  return Object.fromEntries(
    [...found].flatMap(([css, text]) =>
      !isMeant.test(css) ? [] : css === 'flex' ? Object.entries(flexParts(text)) : [[css, text] as const],
    ),
  );
}

/** What holds where a key does not say a part of it that another one does: as without the motion, where nothing says it. */
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
};

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

const hold = 'steps(1)';

/** The frames from one key up to the next one. */
function segment(track: Track, from: Key, to: Key, css: (key: Key) => Css, theme: Theme): MotionFrame[] {
  if (to.at <= from.at) return [{ at: from.at, css: css(from) }];
  if (blended(track.property, from.value, to.value, 0.5, theme) !== undefined)
    return [{ at: from.at, css: css(from), ...easing(to.ease) }];
  const length = to.at - from.at;
  const first = (easingOf(to.ease)?.(0) ?? 0) >= 0.5 ? to : from;
  return [
    { at: from.at, css: css(first), ease: hold },
    ...turns(to.ease).map(({ at, isPast }) => ({
      at: from.at + at * length,
      css: css(isPast ? to : from),
      ease: hold,
    })),
  ];
}

const easing = (ease: string): Pick<MotionFrame, 'ease'> =>
  ease === 'linear' ? {} : { ease: easingCss(ease) };

/** The frames of a track. What holds without the motion is asked of the page where the first or last key does not say it. */
function framesOf(track: Track, css: (value: unknown) => Css, theme: Theme): MotionFrame[] {
  const { keys } = track;
  const names = [...new Set(keys.flatMap((key) => Object.keys(css(key.value))))];
  const full = ({ value }: Key): Css => {
    const own = css(value);
    return Object.fromEntries(names.map((name) => [name, own[name] ?? unsaid[name] ?? '']));
  };
  const [first, last] = [keys[0]!, keys.at(-1)!];
  const frames: MotionFrame[] = first.at > 0 ? [{ at: 0, under: names, ...easing(first.ease) }] : [];
  keys.forEach((key, index) => {
    const next = keys[index + 1];
    frames.push(...(next ? segment(track, key, next, full, theme) : [{ at: key.at, css: full(key) }]));
  });
  if (last.at < 1) frames.push({ at: 1, under: names });
  return frames;
}

const partOf = (parts: readonly CarryingPart[], property: string): CarryingPart | undefined =>
  parts.find(({ properties }) => properties.includes(property));

/** The frames of a track on a control for each width from which they differ. */
function byWidth(
  project: Project,
  track: Track,
  { control, parent }: Standing,
  theme: Theme,
  part: boolean,
): MotionFrames[] {
  const found: MotionFrames[] = [];
  for (const { from, prefixes } of stagesOf(project.bands)) {
    const conditions: Conditions = { prefixes, theme };
    const around: Around = part ? { type: 'column' } : aroundOf(parent, control, conditions);
    const arrangement = arrangementOf(mannerOf(kindOf(control)), plainValues(control, conditions));
    const frames = framesOf(track, (value) => cssOf(track, value, { control, around, arrangement }), theme);
    if (JSON.stringify(frames) !== JSON.stringify(found.at(-1)?.frames)) found.push({ from, frames });
  }
  return found;
}

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
    return [
      {
        control: name,
        ...(part ? { part: part.selector } : {}),
        widths: byWidth(project, track, standing, theme, part !== undefined),
      },
    ];
  });
