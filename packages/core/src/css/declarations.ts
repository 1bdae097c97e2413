/** A control's values as CSS. Only what the control says itself is said; kinds' defaults stand in their own rules. */

import type { Conditions } from '../cascade/cascade.ts';
import { plainValues } from '../cascade/plain-values.ts';
import type { Values } from '../cascade/values.ts';
import type { Control } from '../document/types.ts';
import { kindOf } from '../kinds/catalogue.ts';
import type { Arrangement, CarryingPart, Manner, Property } from '../kinds/kind.ts';
import { arrangementOf, mannerOf } from '../kinds/manner.ts';
import {
  align,
  alignSelf,
  aspect,
  autoColumns,
  autoRows,
  background,
  bottom,
  centerX,
  centerY,
  col,
  colour as colourKey,
  colSpan,
  columnGap,
  columns,
  flow,
  font,
  gap,
  height,
  hidden,
  italic,
  justify,
  justifySelf,
  left,
  letterSpacing,
  lineHeight,
  lines,
  margin,
  maxHeight,
  maxWidth,
  minHeight,
  minWidth,
  nowrap,
  order,
  padding,
  right,
  row,
  rowGap,
  rowSpan,
  rows,
  shared,
  textAlign,
  size as textSize,
  top,
  weight,
  width,
  wrap,
} from '../kinds/properties.ts';
import { edgeOf } from '../kinds/screen-bars.ts';
import { familyList } from '../text/fonts.ts';
import type { Align, Fraction, Justify, Limit, Sides, Size } from '../values/css.ts';
import { backgroundCss } from '../values/look-css.ts';
import { trackListCss } from '../values/track-list.ts';
import { percent, px, sides } from './lengths.ts';
import { inkDeclarations, lookDeclarations } from './look.ts';
import { sizesWithRatio } from './ratio.ts';

/** CSS property to value, in the order in which they are written. */
export type Declarations = ReadonlyMap<string, string>;
type Css = Map<string, string>;

/**
 * How the container around a control arranges it: one after another along an axis, in cells, at pins, or as a pane
 * beside another with its part of the width.
 */
export type Around = { readonly type: Arrangement } | { readonly type: 'pane'; readonly part: number };

/**
 * How a container arranges its children under some conditions.
 *
 * @param child which of its children is asked about.
 */
export function aroundOf(
  parent: Control | undefined,
  child: Control | undefined,
  conditions: Conditions,
): Around {
  if (!parent) return { type: 'column' };
  const manner = mannerOf(kindOf(parent));
  const values = plainValues(parent, conditions);
  const ratio = manner.panes && values.get(manner.panes.ratio);
  if (ratio) return { type: 'pane', part: ratio[child ? parent.children.indexOf(child) : 0] ?? 1 };
  // A bar of the screen stands beside or above the rest of it.
  const edge = child && edgeOf(child);
  return { type: edge === 'start' || edge === 'end' ? 'row' : arrangementOf(manner, values) };
}

/** Whether an arrangement is one of cells. */
export const isOfCells = (type: Around['type']): boolean => type === 'cells' || type === 'layers';

/** How what is in cells lies across: what spreads a row's children out has no meaning there. */
export function justifiesCells(values: Values): Justify | 'stretch' {
  const along = values.own(justify);
  return along === undefined || along in spreads ? 'stretch' : along;
}

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
 * @param values what the control says itself is said here, too.
 * @param manner of the control's kind.
 * @param around how the container around it arranges it.
 * @param arrangement how it arranges what is in it.
 */
export function declarations(
  values: Values,
  manner: Manner,
  around: Around,
  arrangement: Arrangement,
): Declarations {
  const css = new Map<string, string>(manner.css?.(values));
  const isHidden = values.flag(hidden);
  if (isHidden) css.set('display', 'none');
  const name = values.own(shared);
  if (name !== undefined) css.set('view-transition-name', name);
  placeInside(css, values, arrangement);
  const self = values.own(alignSelf);
  if (self && around.type !== 'pins')
    css.set('align-self', around.type === 'column' ? withoutBaseline(self) : self);
  const across = values.own(justifySelf);
  if (across && isOfCells(around.type)) css.set('justify-self', withoutBaseline(across));
  if (around.type === 'cells') gridArea(css, values);
  sizesIn(css, values, manner, around);
  const place = values.own(order);
  if (place !== undefined) css.set('order', String(place));
  const outside = values.own(margin);
  if (outside) sides(css, 'margin', '', outside);
  const inside = values.own(padding);
  if (inside) sides(css, 'padding', '', inside);
  lookDeclarations(css, values);
  textLook(css, values);
  // Whatever else was said about how it is shown.
  if (isHidden) css.set('display', 'none');
  return css;
}

/** Width, height, their limits and the ratio. */
function sizesIn(css: Css, values: Values, manner: Manner, around: Around): void {
  const ratio = values.own(aspect);
  const wanted = sizesWithRatio(
    values.own(width),
    values.own(height),
    ratio,
    around.type === 'pane' ? undefined : around.type,
  );
  if (around.type === 'pins') pins(css, values, manner, wanted);
  else {
    size(css, around.type === 'pane' ? undefined : wanted.width, 'width', around);
    size(css, wanted.height, 'height', around);
  }
  for (const key of [minWidth, maxWidth, minHeight, maxHeight]) {
    const value = values.own(key);
    if (value !== undefined) css.set(key.name, limit(value));
  }
  if (ratio !== undefined) css.set('aspect-ratio', String(Number(ratio.toFixed(6))));
}

function textLook(css: Css, values: Values): void {
  const say = <T>(key: Property<T>, name: string, text: (value: T) => string) => {
    const value = values.own(key);
    if (value !== undefined) css.set(name, text(value));
  };
  say(font, 'font-family', familyList);
  say(textSize, 'font-size', (value) =>
    typeof value === 'number'
      ? rem(value)
      : `clamp(${rem(value.min)}, round(down, ${value.vw}vw, 1px), ${rem(value.max)})`,
  );
  say(weight, 'font-weight', String);
  say(italic, 'font-style', (value) => (value ? 'italic' : 'normal'));
  say(lineHeight, '--line-height', String);
  say(letterSpacing, 'letter-spacing', px);
  say(textAlign, 'text-align', String);
  const most = values.own(lines);
  if (most !== undefined) {
    css.set('display', '-webkit-box');
    css.set('-webkit-box-orient', 'vertical');
    css.set('-webkit-line-clamp', String(most));
    css.set('overflow', 'clip');
  }
  say(nowrap, 'text-wrap-mode', (value) => (value ? 'nowrap' : 'wrap'));
}

/** Baselines run across: from side to side there are none to line up by, and the start stands for them. */
const withoutBaseline = (word: Align): Align => (word === 'baseline' ? 'start' : word);

/** How a container arranges what is in it. */
function placeInside(css: Css, values: Values, arrangement: Arrangement): void {
  const inCells = isOfCells(arrangement);
  if (inCells) tracks(css, values);
  gaps(css, values);
  const across = values.own(align);
  if (across) css.set('align-items', arrangement === 'column' ? withoutBaseline(across) : across);
  const along = values.own(justify);
  if (along)
    css.set(
      inCells ? 'justify-items' : 'justify-content',
      inCells ? justifiesCells(values) : justifyWords[along],
    );
  const wraps = values.own(wrap);
  if (wraps !== undefined && !inCells) css.set('flex-wrap', wraps ? 'wrap' : 'nowrap');
}

const spreads = { between: true, around: true, evenly: true };

function tracks(css: Css, values: Values): void {
  for (const [key, name] of [
    [columns, 'grid-template-columns'],
    [rows, 'grid-template-rows'],
    [autoColumns, 'grid-auto-columns'],
    [autoRows, 'grid-auto-rows'],
  ] as const) {
    const list = values.own(key);
    if (list) css.set(name, trackListCss(list));
  }
  const filling = values.own(flow);
  if (filling) css.set('grid-auto-flow', filling.dense ? `${filling.axis} dense` : filling.axis);
}

function gaps(css: Css, values: Values): void {
  const both = values.own(gap);
  const found = [values.own(rowGap) ?? both?.row, values.own(columnGap) ?? both?.column];
  if (found.some((each) => each !== undefined))
    css.set('gap', [...new Set(found.map((each) => px(each ?? 0)))].join(' '));
}

/** Lines and spans of a grid's item. */
function gridArea(css: Css, values: Values): void {
  for (const [axis, line, span] of [
    ['column', col, colSpan],
    ['row', row, rowSpan],
  ] as const) {
    const [at, over] = [values.own(line), values.own(span)];
    // Neither a line nor a span is ever 0.
    const parts = over === 'all' ? [1, -1] : [at, over && `span ${over}`].filter(Boolean);
    if (parts.length > 0) css.set(`grid-${axis}`, parts.join(' / '));
  }
}

/** Place and size of a child of a pinboard. */
function pins(
  css: Css,
  values: Values,
  { keepsSize = false }: Manner,
  sizes: { readonly width: Size; readonly height: Size },
): void {
  const length = (value: number | Fraction) =>
    typeof value === 'number' ? px(value) : percent(value.fraction);
  for (const [axis, side, near, far, centre] of [
    ['justify-self', 'width', left, right, centerX],
    ['align-self', 'height', top, bottom, centerY],
  ] as const) {
    const wanted = sizes[side];
    const offset = values.own(centre);
    const held = [near, far].map((pin) => ({ name: pin.name, at: values.own(pin) }));
    if (offset !== undefined) {
      css.set(near.name, px(offset));
      css.set(far.name, px(-offset));
      css.set(axis, 'unsafe center');
    } else for (const { name, at } of held) if (at !== undefined) css.set(name, length(at));
    const isShare = typeof wanted === 'object' && 'share' in wanted;
    if (isShare) for (const { name } of held) if (!css.has(name)) css.set(name, '0');
    if (wanted === 'fit') css.set(side, 'fit-content');
    else if (isLimit(wanted)) css.set(side, limit(wanted));
    else if (offset !== undefined && !isShare) css.set(side, 'fit-content');
    // Pictures and buttons keep their own size between two pins where nothing else is said.
    else if (isShare || (keepsSize && held.every(({ at }) => at !== undefined)))
      css.set(side, roomBetween(css, values.own(margin), axisSides[side]));
  }
}

const axisSides = {
  width: [left.name, right.name, 'start', 'end'],
  height: [top.name, bottom.name, 'top', 'bottom'],
} as const;

/** The room between two pins that a margin leaves: `stretch` (CSS Sizing 4 §6.1), said so that all engines know it. */
function roomBetween(
  css: Css,
  outside: Sides | undefined,
  [near, far, before, behind]: (typeof axisSides)[keyof typeof axisSides],
): string {
  const taken = [
    ...[css.get(near), css.get(far)],
    ...[before, behind].map((side) => px(outside?.[side] ?? 0)),
  ].filter((length) => length !== undefined && length !== '0');
  return taken.length === 0 ? '100%' : `calc(100% - ${taken.join(' - ')})`;
}

const isLimit = (size: Size): size is number | Fraction =>
  typeof size === 'number' || (typeof size === 'object' && 'fraction' in size);

/** What a control says itself, without what parts inside it carry. */
export function withoutParts(values: Values, parts: readonly CarryingPart[]): Values {
  const carried = new Set(parts.flatMap(({ properties }) => properties));
  return carried.size === 0 ? values : values.only((name) => !carried.has(name));
}

/** What a part inside a control carries. */
export function partDeclarations(
  values: Values,
  manner: Manner,
  part: CarryingPart,
  arrangement: Arrangement,
): Declarations {
  const carried = values.only((name) => part.properties.includes(name));
  return new Map([
    ...declarations(carried, manner, { type: 'column' }, arrangement),
    ...(manner.partCss?.(values) ?? []),
  ]);
}

/** What `color` says: of the words, except on a control that is nothing but its colour. */
export function colourDeclarations(
  { paints }: Manner,
  values: Values,
): readonly (readonly [string, string])[] {
  const said = values.own(colourKey);
  return said === undefined
    ? []
    : paints
      ? [[paints, backgroundCss(said)]]
      : inkDeclarations(said, values.own(background));
}

function size(css: Css, value: Size, side: 'width' | 'height', around: Around): void {
  if (value === undefined) return;
  const main = side === 'width' ? around.type === 'row' || around.type === 'pane' : around.type === 'column';
  if (isLimit(value)) {
    css.set(side, limit(value));
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
