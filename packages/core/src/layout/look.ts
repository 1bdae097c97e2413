/** The look of a box, from a control's values and what its kind adds; colours are worked out, so that painters need no theme. */
import type { Values } from '../cascade/values.ts';
import type { Kind, Look } from '../kinds/kind.ts';
import { saidOfPart } from '../kinds/look-parts.ts';
import {
  background,
  blur,
  blurBehind,
  borderColour,
  borderStyle,
  clip,
  colour,
  corner,
  opacity,
  rotate,
  scale,
  shadow,
  shift,
  strike,
  textShadow,
  underline,
  z,
} from '../kinds/properties.ts';
import { isPainted, withColours } from '../values/look-css.ts';
import { colourIn, type Theme } from '../values/theme.ts';
import type { Box } from './box.ts';

type Written = { -readonly [K in keyof Look]: Look[K] };

const coloursIn = (text: string, theme: Theme): string => withColours(text, (name) => colourIn(theme, name));

/** What stands for each side where one, two or three are said (CSS Backgrounds 3 §3.1): top, end, bottom, start. */
function fourSides(text: string): readonly string[] {
  const [top = '', end = top, bottom = top, start = end] = text.split(' ');
  return [top, end, bottom, start];
}

function grounds(look: Written, values: Values, theme: Theme): void {
  const ground = values.get(background);
  if (ground && ground !== 'none') {
    if (isPainted(ground)) look.fill = coloursIn(ground, theme);
    else look.background = colourIn(theme, ground);
  }
  const border = values.get(borderColour);
  if (border && border !== 'none')
    look.borderColour =
      border.includes(' ') && !border.includes('(')
        ? fourSides(border).map((side) => (side === 'none' ? 'transparent' : colourIn(theme, side)))
        : colourIn(theme, border);
  const lines = values.get(borderStyle);
  if (lines && lines !== 'solid') look.borderStyle = fourSides(lines);
  const round = values.get(corner);
  if (round) look.corner = round;
}

/** What is seen of it and no part of the layout, and wins over what its kind adds. */
function effects(look: Written, values: Values, theme: Theme): void {
  const cast = values.get(shadow);
  if (cast !== undefined) {
    // A line inside the edge is a shadow on the page: one of its own takes its place.
    delete look.ring;
    if (cast !== 'none') look.shadow = coloursIn(cast, theme);
  }
  const through = values.get(opacity);
  if (through !== undefined) look.opacity = through;
  for (const [key, property] of [
    ['blur', blur],
    ['blurBehind', blurBehind],
    ['z', z],
  ] as const) {
    const value = values.get(property);
    if (value) look[key] = value;
  }
  if (values.flag(clip)) look.clips = true;
  const [degrees = 0, factor = 1, moved = [0, 0]] = [
    values.get(rotate),
    values.get(scale),
    values.get(shift),
  ];
  if (degrees !== 0 || factor !== 1 || moved.some((each) => each !== 0))
    look.turned = { degrees, scale: factor, shift: moved };
}

/** @param added what its kind adds. */
export function lookOf(values: Values, theme: Theme, added: Look | undefined): Look {
  const look: Written = {};
  grounds(look, values, theme);
  if (added) Object.assign(look, added);
  effects(look, values, theme);
  return look;
}

/** How all words of a control are drawn, those of its parts included; undefined where nothing is said. */
export function letteringOf(values: Values, theme: Theme): Look | undefined {
  const look: Written = {};
  if (values.get(underline) !== undefined) look.underline = values.flag(underline);
  if (values.flag(strike)) look.strike = true;
  const cast = values.get(textShadow);
  if (cast && cast !== 'none') look.textShadow = coloursIn(cast, theme);
  const ink = values.get(colour);
  if (ink && isPainted(ink)) look.textFill = coloursIn(ink, theme);
  return Object.keys(look).length > 0 ? look : undefined;
}

/** A part of a control with the lettering of its words. */
export const withLettering = (box: Box, lettering: Look): Box =>
  box.control === undefined
    ? {
        ...box,
        look: (box.look as Look).text ? { ...(box.look as Look), ...lettering } : box.look,
        children: box.children.map((child) => withLettering(child, lettering)),
      }
    : box;

/** The looks of a control's parts by name; undefined where nothing is said of them. */
export function partLooksOf(
  { lookParts }: Kind,
  values: Values,
  theme: Theme,
): ReadonlyMap<string, Look> | undefined {
  if (!lookParts) return undefined;
  const found = new Map<string, Look>();
  for (const part of lookParts) {
    const said = saidOfPart(values, part);
    if (said.size === 0) continue;
    const look: Written = {};
    grounds(look, said, theme);
    effects(look, said, theme);
    const ink = said.get(colour);
    if (ink) look.colour = colourIn(theme, ink);
    // Without a ground it is not seen, whatever the kind gives it.
    if (said.get(background) === 'none') look.background = 'none';
    found.set(part.name, look);
  }
  return found.size > 0 ? found : undefined;
}

/** Parts that take the focus in place of the control that they belong to. */
const focused = new Set(['box', 'track']);
const takesFocus = ({ control, look, children }: Box): boolean =>
  control === undefined && (focused.has((look as Look).part ?? '') || children.some(takesFocus));

/** What is in a control that has the focus: a part with a ring around it, where one takes it in its place. */
export const withFocusRing = (box: Box, ring: string): Box =>
  takesFocus(box)
    ? {
        ...box,
        look: focused.has((box.look as Look).part ?? '')
          ? { ...(box.look as Look), focusRing: ring }
          : box.look,
        children: box.children.map((child) => withFocusRing(child, ring)),
      }
    : box;

/** Whether a part takes the focus in place of the control. */
export const partTakesFocus = (parts: readonly Box[]): boolean => parts.some(takesFocus);

/** A part of a control with what is said of it in place of what its kind gives it. */
export function withPartLooks(box: Box, looks: ReadonlyMap<string, Look>): Box {
  if (box.control !== undefined) return box;
  const look = box.look as Look;
  const said = look.part === undefined ? undefined : looks.get(look.part);
  return {
    ...box,
    look: said ? { ...look, ...said } : look,
    children: box.children.map((child) => withPartLooks(child, looks)),
  };
}
