/** Looks as declarations. */
import type { Values } from '../cascade/values.ts';
import type { Property } from '../kinds/kind.ts';
import {
  background,
  blur,
  blurBehind,
  borderColour,
  borderStyle,
  borderWidth,
  clip,
  corner,
  cursor,
  opacity,
  rotate,
  scale,
  shadow,
  shift,
  strike,
  textShadow,
  underline,
  uppercase,
  z,
} from '../kinds/properties.ts';
import { backgroundCss, isPainted, lookCss } from '../values/look-css.ts';
import { colourCss } from '../values/theme.ts';
import { lengthCss, px, sides, sideWords } from './lengths.ts';

type Css = Map<string, string>;

/** The sides of a border; the lines are solid, and in the colour of lines, where nothing else is said. */
function border(css: Css, values: Values): void {
  const widths = values.own(borderWidth);
  const lines = values.own(borderStyle);
  const colours = values.own(borderColour);
  if (widths || lines !== undefined) sideWords(css, 'border', '-style', (lines ?? 'solid').split(' '));
  if (widths) sides(css, 'border', '-width', widths);
  if (widths || colours !== undefined)
    sideWords(css, 'border', '-color', (colours ?? 'line').split(/\s+(?![^(]*\))/).map(colourCss));
}

/** What a box looks like. */
export function lookDeclarations(css: Css, values: Values): void {
  const say = <T>(key: Property<T>, name: string, text: (value: T) => string) => {
    const value = values.own(key);
    if (value !== undefined) css.set(name, text(value));
  };
  say(background, 'background', (text) => backgroundCss(text));
  say(corner, 'border-radius', (value) =>
    typeof value === 'number' ? px(value) : value.radii.map(lengthCss).join(' '),
  );
  border(css, values);
  say(shadow, 'box-shadow', (text) => lookCss(text));
  say(opacity, 'opacity', String);
  say(blur, 'filter', (value) => (value > 0 ? `blur(${px(value)})` : 'none'));
  const behind = values.own(blurBehind);
  if (behind !== undefined)
    for (const name of ['-webkit-backdrop-filter', 'backdrop-filter'])
      css.set(name, behind > 0 ? `blur(${px(behind)})` : 'none');
  say(rotate, 'rotate', (value) => `${value}deg`);
  say(scale, 'scale', String);
  say(shift, 'translate', (value) => value.map(lengthCss).join(' '));
  say(clip, 'overflow', (value) => (value ? 'clip' : 'visible'));
  say(cursor, 'cursor', String);
  say(z, 'z-index', String);
  say(textShadow, 'text-shadow', (text) => lookCss(text));
  say(uppercase, 'text-transform', (value) => (value ? 'uppercase' : 'none'));
  const lines = [values.own(underline) && 'underline', values.own(strike) && 'line-through'].filter(Boolean);
  if (values.own(underline) !== undefined || values.own(strike) !== undefined)
    css.set('text-decoration', lines.length > 0 ? lines.join(' ') : 'none');
}

/** What the colour of words says: a gradient is a ground that is cut out by the words (CSS Backgrounds 4 §2.5). */
export function inkDeclarations(
  ink: string,
  ground: string | undefined,
): readonly (readonly [string, string])[] {
  if (!isPainted(ink)) return [['color', colourCss(ink)]];
  const below = ground === undefined || ground === 'none' ? [] : [backgroundCss(ground)];
  const clips = ['text', ...(below.length > 0 ? ['border-box'] : [])].join(', ');
  return [
    ['background', [backgroundCss(ink), ...below].join(', ')],
    ['-webkit-background-clip', clips],
    ['background-clip', clips],
    ['color', 'transparent'],
  ];
}
