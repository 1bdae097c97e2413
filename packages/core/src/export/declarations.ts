/** A control's values as CSS. Only what the control says itself is said; kinds' defaults stand in their own rules. */

import type { ClampedSize } from '../document/text-size.ts';
import { colourCss as colour } from '../document/theme.ts';
import { trackListCss } from '../document/track-list.ts';
import type { Control } from '../document/types.ts';
import { textInForce } from '../document/values.ts';
import { hasExpression, unescapeBraces } from '../expression/template.ts';
import { type Arrangement, arrangementOf, hasLike } from '../kinds/arrangement.ts';
import { kindOf } from '../kinds/catalogue.ts';
import { declaredBy, ownSized } from '../kinds/declared.ts';
import type { CarryingPart, Kind } from '../kinds/kind.ts';
import { edgeOf } from '../kinds/screen-bars.ts';
import type { Align, Fraction, Gaps, Justify, Limit, Sides, Size, TrackList } from '../layout/box.ts';
import { sizesWithRatio } from '../layout/ratio.ts';

/** CSS property to value, in the order in which they are written. */
export type Declarations = ReadonlyMap<string, string>;

/** Typed values by property name, of those that a control sets. */
export type OwnValues = ReadonlyMap<string, unknown>;

/**
 * How the container around a control arranges it: one after another along an axis, in cells, at pins, or as a pane of
 * a split with its part of the width.
 */
export type Around = { readonly type: Arrangement } | { readonly type: 'pane'; readonly part: number };

/**
 * How a container arranges its children under some prefixes.
 *
 * @param index which of its children is asked about.
 */
export function aroundOf(
  parent: Control | undefined,
  child: Control | undefined,
  prefixes: readonly string[],
): Around {
  if (!parent) return { type: 'column' };
  const kind = kindOf(parent);
  const own = ownValues(parent, kind, prefixes);
  if (parent.kind === 'split') {
    const ratio = (own.get('ratio') ?? defaultOf(kind, 'ratio')) as readonly [number, number];
    return { type: 'pane', part: ratio[child ? parent.children.indexOf(child) : 0] ?? 1 };
  }
  // A bar of the screen stands beside or above the rest of it.
  const edge = parent.kind === 'screen' && child ? edgeOf(child) : undefined;
  return { type: edge === 'start' || edge === 'end' ? 'row' : arrangementWith(kind, own) };
}

/** How a kind arranges what is in it, with the values that it has. */
export const arrangementWith = (kind: Kind, own: OwnValues): Arrangement =>
  arrangementOf(kind.name, (name) => own.get(name) ?? defaultOf(kind, name));

/** How a kind arranges what is in it once an expression may say so. @param otherwise where none does. */
export const arrangementNow = (kind: string, own: OwnValues, otherwise: Arrangement): Arrangement =>
  ['like', 'axis', 'edge'].some((name) => own.has(name))
    ? arrangementOf(kind, (name) => own.get(name))
    : otherwise;

/** What holds for a property of a kind where nothing is said. */
function defaultOf(kind: Kind, name: string): unknown {
  const property = kind.properties.find((entry) => entry.name === name);
  const reading = property?.default === undefined ? undefined : property.type.read(property.default);
  return reading?.ok ? reading.value : undefined;
}

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
 * @param kind the kind of the control, by name.
 * @param around how the container around it arranges it.
 * @param arrangement how it arranges what is in it.
 */
export function declarations(
  own: OwnValues,
  kind: string,
  around: Around,
  arrangement: Arrangement,
): Declarations {
  const css = new Map<string, string>(declaredBy[kind]?.(own));
  const when = <T>(name: string, write: (value: T) => void) => {
    if (own.has(name)) write(own.get(name) as T);
  };
  when<boolean>('hidden', (hidden) => hidden && css.set('display', 'none'));
  placeInside(css, own, kind, arrangement);
  when<Align>(
    'align-self',
    (value) =>
      around.type !== 'pins' &&
      css.set('align-self', around.type === 'column' ? withoutBaseline(value) : value),
  );
  const inCells = around.type === 'cells' || around.type === 'layers';
  if (inCells) when<Align>('justify-self', (value) => css.set('justify-self', withoutBaseline(value)));
  if (around.type === 'cells') gridArea(css, own);
  const { width, height } = sizesWithRatio(
    own.get('width') as Size,
    own.get('height') as Size,
    own.get('aspect') as number | undefined,
    around.type === 'pane' ? undefined : around.type,
  );
  if (around.type === 'pins') pins(css, own, kind, width, height);
  else {
    size(css, around.type === 'pane' ? undefined : width, 'width', around);
    size(css, height, 'height', around);
  }
  for (const name of ['min-width', 'max-width', 'min-height', 'max-height'])
    when<Limit>(name, (value) => css.set(name, limit(value)));
  when<number>('aspect', (value) => css.set('aspect-ratio', String(Number(value.toFixed(6)))));
  when<number>('order', (value) => css.set('order', String(value)));
  when<Sides>('margin', (value) => sides(css, 'margin', '', value));
  when<Sides>('padding', (value) => sides(css, 'padding', '', value));
  when<string>('background', (value) => css.set('background', colour(value)));
  when<number>('corner', (value) => css.set('border-radius', px(value)));
  when<Sides>('border-width', (value) => {
    css.set('border-style', 'solid');
    sides(css, 'border', '-width', value);
    css.set('border-color', colour((own.get('border-color') as string | undefined) ?? 'line'));
  });
  when<string>('font', (value) => css.set('font-family', `"${value}"`));
  when<number | ClampedSize>('size', (value) =>
    css.set(
      'font-size',
      typeof value === 'number'
        ? rem(value)
        : `clamp(${rem(value.min)}, round(down, ${value.vw}vw, 1px), ${rem(value.max)})`,
    ),
  );
  when<number>('weight', (value) => css.set('font-weight', String(value)));
  when<boolean>('italic', (value) => css.set('font-style', value ? 'italic' : 'normal'));
  when<number>('line-height', (value) => css.set('line-height', String(value)));
  when<number>('letter-spacing', (value) => css.set('letter-spacing', px(value)));
  when<string>('text-align', (value) => css.set('text-align', value));
  when<number>('lines', (value) => {
    css.set('display', '-webkit-box');
    css.set('-webkit-box-orient', 'vertical');
    css.set('-webkit-line-clamp', String(value));
    css.set('overflow', 'clip');
  });
  when<boolean>('nowrap', (value) => css.set('text-wrap-mode', value ? 'nowrap' : 'wrap'));
  if (own.get('hidden') === true) css.set('display', 'none');
  return css;
}

/** Baselines run across: from side to side there are none to line up by, and the start stands for them. */
const withoutBaseline = (word: Align): Align => (word === 'baseline' ? 'start' : word);

/** How a container arranges what is in it. */
function placeInside(css: Map<string, string>, own: OwnValues, kind: string, arrangement: Arrangement): void {
  const inCells = arrangement === 'cells' || arrangement === 'layers';
  if (hasLike(kind) && own.has('like')) {
    css.set('display', inCells ? 'grid' : 'flex');
    if (!inCells) css.set('flex-direction', own.get('like') as string);
    else {
      // Said in full: what has a size of its own, a picture, would start in its cell otherwise (Grid 1 §6.2).
      css.set('align-items', 'stretch');
      css.set('justify-items', 'stretch');
    }
  }
  if (kind === 'scroll') {
    const axis = own.get('axis') as string | undefined;
    if (axis === 'horizontal') css.set('overflow', 'auto hidden');
    else if (axis === 'both') css.set('overflow', 'auto');
    else if (axis === 'vertical') css.set('overflow', 'hidden auto');
  }
  if (inCells) {
    for (const name of ['columns', 'rows'])
      if (own.has(name)) css.set(`grid-template-${name}`, trackListCss(own.get(name) as TrackList));
    for (const name of ['auto-columns', 'auto-rows'])
      if (own.has(name)) css.set(`grid-${name}`, trackListCss(own.get(name) as TrackList));
    const flow = own.get('flow') as { axis: string; dense: boolean } | undefined;
    if (flow) css.set('grid-auto-flow', flow.dense ? `${flow.axis} dense` : flow.axis);
  }
  gaps(css, own);
  const align = own.get('align') as Align | undefined;
  if (align) css.set('align-items', arrangement === 'column' ? withoutBaseline(align) : align);
  const justify = own.get('justify') as Justify | undefined;
  if (justify)
    css.set(
      inCells ? 'justify-items' : 'justify-content',
      // What spreads a row's children out has no meaning in cells.
      inCells ? (justify in spreads ? 'stretch' : justify) : justifyWords[justify],
    );
  if (own.has('wrap') && !inCells) css.set('flex-wrap', own.get('wrap') ? 'wrap' : 'nowrap');
}

const spreads = { between: true, around: true, evenly: true };

function gaps(css: Map<string, string>, own: OwnValues): void {
  const both = own.get('gap') as Gaps | undefined;
  const found = [
    (own.get('row-gap') as number | undefined) ?? both?.row,
    (own.get('column-gap') as number | undefined) ?? both?.column,
  ];
  if (found.some((gap) => gap !== undefined))
    css.set('gap', [...new Set(found.map((gap) => px(gap ?? 0)))].join(' '));
}

/** Lines and spans of a grid's item. */
function gridArea(css: Map<string, string>, own: OwnValues): void {
  for (const [axis, line, span] of [
    ['column', 'col', 'col-span'],
    ['row', 'row', 'row-span'],
  ] as const) {
    const parts = [own.get(line), own.has(span) ? `span ${own.get(span)}` : undefined].filter(
      (part) => part !== undefined,
    );
    if (parts.length > 0) css.set(`grid-${axis}`, parts.join(' / '));
  }
}

/** Place and size of a child of a pinboard. */
function pins(css: Map<string, string>, own: OwnValues, kind: string, width: Size, height: Size): void {
  const length = (value: number | Fraction) =>
    typeof value === 'number' ? px(value) : percent(value.fraction);
  for (const [axis, wanted, near, far, center, side] of [
    ['justify-self', width, 'left', 'right', 'center-x', 'width'],
    ['align-self', height, 'top', 'bottom', 'center-y', 'height'],
  ] as const) {
    if (own.has(center)) {
      const offset = own.get(center) as number;
      css.set(near, px(offset));
      css.set(far, px(-offset));
      css.set(axis, 'unsafe center');
    } else
      for (const pin of [near, far])
        if (own.has(pin)) css.set(pin, length(own.get(pin) as number | Fraction));
    const isShare = typeof wanted === 'object' && 'share' in wanted;
    if (isShare) for (const pin of [near, far]) if (!css.has(pin)) css.set(pin, '0');
    if (wanted === 'fit') css.set(side, 'fit-content');
    else if (typeof wanted === 'number' || (typeof wanted === 'object' && 'fraction' in wanted))
      css.set(side, limit(wanted as Limit));
    else if (own.has(center)) css.set(side, isShare ? 'stretch' : 'fit-content');
    // Pictures and buttons keep their own size between two pins where nothing else is said.
    else if (isShare || (ownSized.has(kind) && own.has(near) && own.has(far))) css.set(side, 'stretch');
  }
}

/** What a control says itself, without what a part inside it carries. */
export function withoutParts(own: OwnValues, parts: readonly CarryingPart[]): OwnValues {
  const carried = new Set(parts.flatMap(({ properties }) => properties));
  return carried.size === 0 ? own : new Map([...own].filter(([name]) => !carried.has(name)));
}

/** What a part inside a control carries. */
export function partDeclarations(
  own: OwnValues,
  kind: string,
  part: CarryingPart,
  arrangement: Arrangement,
): Declarations {
  const carried = new Map([...own].filter(([name]) => part.properties.includes(name)));
  const css = new Map(declarations(carried, kind, { type: 'column' }, arrangement));
  if (kind === 'scroll' && own.has('axis')) {
    const axis = own.get('axis');
    css.set('flex-direction', axis === 'horizontal' ? 'row' : 'column');
    css.set('width', axis === 'vertical' ? 'auto' : 'max-content');
    css.set('min-width', axis === 'vertical' ? '0' : '100%');
    css.set('height', axis === 'horizontal' ? '100%' : 'auto');
    css.set('min-height', axis === 'horizontal' ? '0' : '100%');
  }
  return css;
}

/** The property that carries a control's `color`: the words', except on a control that is nothing but its colour. */
export function colourDeclaration(kind: string, own: OwnValues): [string, string] | undefined {
  if (!own.has('color')) return undefined;
  return [kind === 'divider' ? 'background' : 'color', colour(own.get('color') as string)];
}

function size(css: Map<string, string>, value: Size, side: 'width' | 'height', around: Around): void {
  if (value === undefined) return;
  const main = side === 'width' ? around.type === 'row' || around.type === 'pane' : around.type === 'column';
  if (typeof value === 'number' || (typeof value === 'object' && 'fraction' in value)) {
    css.set(side, limit(value as Limit));
    if (main) css.set('flex', 'none');
  } else if (value === 'fit') {
    // Along the main axis that is what happens anyway; across it keeps from stretching.
    if (!main) css.set(side, 'fit-content');
  } else if (main) {
    css.set('flex', `${value.share} 1 0px`);
    css.set(`min-${side}`, '0');
  } else
    css.set(
      (around.type === 'cells' || around.type === 'layers') && side === 'width'
        ? 'justify-self'
        : 'align-self',
      'stretch',
    );
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
