/** A control's values as CSS. Only what the control says itself is said; kinds' defaults stand in their own rules. */

import { themeColours } from '../document/theme.ts';
import type { Control } from '../document/types.ts';
import { textInForce } from '../document/values.ts';
import { hasExpression, unescapeBraces } from '../expression/template.ts';
import type { Kind } from '../kinds/kind.ts';
import type { Align, Justify, Limit, Sides, Size } from '../layout/box.ts';

/** CSS property to value, in the order in which they are written. */
export type Declarations = ReadonlyMap<string, string>;

/** Typed values by property name, of those that a control sets. */
export type OwnValues = ReadonlyMap<string, unknown>;

/** The main axis of the container that a control stands in. */
export type Axis = 'row' | 'column';

export const axisOf = (parent: Control | undefined): Axis => (parent?.kind === 'row' ? 'row' : 'column');

/**
 * The values that a control sets without expressions, under some prefixes.
 */
export function ownValues(control: Control, kind: Kind, prefixes: readonly string[]): Map<string, unknown> {
  const own = new Map<string, unknown>();
  for (const property of kind.properties) {
    const text = textInForce(control, property, prefixes);
    if (text === undefined || hasExpression(text)) continue;
    const reading = property.type.read(unescapeBraces(text));
    if (reading.ok) own.set(property.name, reading.value);
  }
  return own;
}

const px = (value: number): string => (value === 0 ? '0' : `${Number(value.toFixed(4))}px`);
const percent = (fraction: number): string => `${Number((fraction * 100).toFixed(4))}%`;
const rem = (value: number): string => `${Number((value / 16).toFixed(6))}rem`;
const limit = (value: Limit): string =>
  typeof value === 'object' ? percent(value.fraction) : px(value ?? 0);
const colour = (value: string): string =>
  value in themeColours ? `var(--${value})` : value === 'none' ? 'transparent' : value;

const justifyWords: Record<Justify, string> = {
  start: 'start',
  center: 'center',
  end: 'end',
  between: 'space-between',
  around: 'space-around',
  evenly: 'space-evenly',
};

/**
 * @param own what the control sets.
 * @param axis the main axis of the container around it.
 */
export function declarations(own: OwnValues, axis: Axis): Declarations {
  const css = new Map<string, string>();
  const when = <T>(name: string, write: (value: T) => void) => {
    if (own.has(name)) write(own.get(name) as T);
  };
  when<boolean>('hidden', (hidden) => hidden && css.set('display', 'none'));
  if (own.has('align-self')) css.set('align-self', own.get('align-self') as Align);
  size(css, own.get('width') as Size, 'width', axis === 'row');
  size(css, own.get('height') as Size, 'height', axis === 'column');
  for (const name of ['min-width', 'max-width', 'min-height', 'max-height'])
    when<Limit>(name, (value) => css.set(name, limit(value)));
  when<Sides>('margin', (value) => sides(css, 'margin', '', value));
  when<Sides>('padding', (value) => sides(css, 'padding', '', value));
  const gaps = ['row-gap', 'column-gap'].map(
    (name) => (own.get(name) ?? own.get('gap')) as number | undefined,
  );
  if (gaps.some((gap) => gap !== undefined))
    css.set('gap', [...new Set(gaps.map((gap) => px(gap ?? 0)))].join(' '));
  when<Align>('align', (value) => css.set('align-items', value));
  when<Justify>('justify', (value) => css.set('justify-content', justifyWords[value]));
  when<boolean>('wrap', (value) => css.set('flex-wrap', value ? 'wrap' : 'nowrap'));
  when<string>('background', (value) => css.set('background', colour(value)));
  when<number>('corner', (value) => css.set('border-radius', px(value)));
  when<Sides>('border-width', (value) => {
    css.set('border-style', 'solid');
    sides(css, 'border', '-width', value);
    css.set('border-color', colour((own.get('border-color') as string | undefined) ?? 'line'));
  });
  when<string>('font', (value) => css.set('font-family', `"${value}"`));
  when<number>('size', (value) => css.set('font-size', rem(value)));
  when<number>('weight', (value) => css.set('font-weight', String(value)));
  when<number>('line-height', (value) => css.set('line-height', String(value)));
  when<string>('text-align', (value) => css.set('text-align', value));
  when<boolean>('nowrap', (value) => css.set('text-wrap-mode', value ? 'nowrap' : 'wrap'));
  return css;
}

/** The property that carries a control's `color`: the words', except on a control that is nothing but its colour. */
export function colourDeclaration(kind: Kind, own: OwnValues): [string, string] | undefined {
  if (!own.has('color')) return undefined;
  return [kind.name === 'divider' ? 'background' : 'color', colour(own.get('color') as string)];
}

function size(css: Map<string, string>, value: Size, side: 'width' | 'height', main: boolean): void {
  if (value === undefined) return;
  if (typeof value === 'number' || (typeof value === 'object' && 'fraction' in value)) {
    css.set(side, limit(value as Limit));
    if (main) css.set('flex', 'none');
  } else if (value === 'fit') {
    // Along the main axis that is what happens anyway; across it keeps from stretching.
    if (!main) css.set(side, 'fit-content');
  } else if (main) {
    css.set('flex', `${value.share} 1 0px`);
    css.set(`min-${side}`, '0');
  } else css.set('align-self', 'stretch');
}

/** Four sides; where start and end differ, flow-relative properties let them swap in right-to-left. */
function sides(css: Map<string, string>, name: string, suffix: string, value: Sides): void {
  const { top, end, bottom, start } = value;
  if (start === end) {
    const list = top === bottom ? (top === end ? [top] : [top, end]) : [top, end, bottom];
    css.set(`${name}${suffix}`, list.map(px).join(' '));
    return;
  }
  css.set(`${name}-block${suffix}`, `${px(top)} ${px(bottom)}`);
  css.set(`${name}-inline${suffix}`, `${px(start)} ${px(end)}`);
}
