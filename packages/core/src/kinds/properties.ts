/**
 * Properties that several kinds have, by the question they answer: each is the key by which its value is read
 * (`values.get(width)`). Lists of them have the order of the source.
 */
import {
  alignType,
  aspectType,
  backgroundType,
  blurType,
  borderColourType,
  borderStyleType,
  cellAlignType,
  cornersType,
  cursorType,
  degreesType,
  entriesType,
  factorType,
  familyType,
  flagType,
  flowType,
  gapsType,
  gridLineType,
  identifierType,
  inkType,
  justifyType,
  layerType,
  lengthsType,
  lengthType,
  letterSpacingType,
  limitType,
  linesType,
  marginType,
  namesType,
  offsetType,
  opacityType,
  orderType,
  ownStatesType,
  type PropertyType,
  pinType,
  scaleType,
  shadowType,
  shiftType,
  sizeType,
  spanType,
  textAlignType,
  textShadowType,
  textSizeType,
  textType,
  trackListType,
  trackPatternType,
  transitionType,
  typographyType,
  weightType,
} from '../property-types/index.ts';
import type { PageTarget, Property } from './kind.ts';

/** A property as it is written; its type says what its value is. */
export const property = <T>(written: Property<T>): Property<T> => written;

/** A property that holds something else where nothing is said. @param preset canonical text, or what the theme says. */
export const preset = <T>(of: Property<T>, preset: NonNullable<Property['default']>): Property<T> => ({
  ...of,
  default: preset,
});

const layout = { effect: 'layout', perBand: true } as const;
const look = { effect: 'look', perBand: true } as const;

/** One that changes boxes. */
const laidOut = <T>(
  group: Property['group'],
  name: string,
  label: string,
  type: PropertyType<T>,
  rest: Partial<Property<T>> = {},
): Property<T> => ({ name, label, group, type, ...layout, ...rest });

/** One that is always at hand. */
const leading = { leads: true } as const;

export const width = laidOut('size', 'width', 'Width', sizeType, leading);
export const height = laidOut('size', 'height', 'Height', sizeType, leading);
export const minWidth = laidOut('size', 'min-width', 'Min width', limitType);
export const maxWidth = laidOut('size', 'max-width', 'Max width', limitType);
export const minHeight = laidOut('size', 'min-height', 'Min height', limitType);
export const maxHeight = laidOut('size', 'max-height', 'Max height', limitType);
export const aspect = laidOut('size', 'aspect', 'Aspect ratio', aspectType);

/** The size a control asks for. */
export const sizing: readonly Property[] = [width, height, minWidth, maxWidth, minHeight, maxHeight, aspect];

const inGrid = { onlyIn: ['cells'] } as const;
const inCells = { onlyIn: ['cells', 'layers'] } as const;
const pinned = { onlyIn: ['pins'], leads: true } as const;
const notPinned = { notIn: ['pins'] } as const;

export const margin = laidOut('place', 'margin', 'Margin', marginType);
export const alignSelf = laidOut('place', 'align-self', 'Align self', alignType, notPinned);
export const justifySelf = laidOut('place', 'justify-self', 'Justify self', alignType, inCells);
export const col = laidOut('place', 'col', 'Column', gridLineType, inGrid);
export const row = laidOut('place', 'row', 'Row', gridLineType, inGrid);
export const colSpan = laidOut('place', 'col-span', 'Column span', spanType, { ...inGrid, leads: true });
export const rowSpan = laidOut('place', 'row-span', 'Row span', spanType, { ...inGrid, leads: true });
export const left = laidOut('place', 'left', 'Left', pinType, pinned);
export const right = laidOut('place', 'right', 'Right', pinType, pinned);
export const top = laidOut('place', 'top', 'Top', pinType, pinned);
export const bottom = laidOut('place', 'bottom', 'Bottom', pinType, pinned);
export const centerX = laidOut('place', 'center-x', 'Centre across', offsetType, pinned);
export const centerY = laidOut('place', 'center-y', 'Centre down', offsetType, pinned);
export const order = laidOut('place', 'order', 'Order', orderType, notPinned);
export const hidden = laidOut('place', 'hidden', 'Hidden', flagType);
export const locked = property({
  name: 'locked',
  label: 'Locked',
  group: 'place',
  type: flagType,
  effect: 'behaviour',
  perBand: false,
});
export const ignore = property({
  name: 'ignore',
  label: 'Checks ignored',
  group: 'place',
  type: entriesType,
  effect: 'behaviour',
  perBand: false,
});

/** The slot that it is put into, of the instance or surround that it stands in; shown there, by the interface. */
export const slotOf = property({
  name: 'slot',
  label: 'Slot',
  group: 'place',
  type: identifierType,
  effect: 'layout',
  perBand: false,
  plain: true,
  onlyIn: [],
});

/** The named styles that it has, one after another. */
export const style = property({
  name: 'style',
  label: 'Styles',
  group: 'look',
  type: namesType,
  leads: true,
  effect: 'layout',
  perBand: false,
  styled: false,
});
/** States that it has of its own, for itself and for what is in it. */
export const ownStates = property({
  name: 'states',
  label: 'Own states',
  group: 'look',
  type: ownStatesType,
  effect: 'layout',
  perBand: false,
  styled: false,
});
/** How values go over into each other where a state comes or goes. */
export const transition = property({
  name: 'transition',
  label: 'Transition',
  group: 'effects',
  type: transitionType,
  plain: true,
  ...look,
});

/** How it looks by name, and in which states. */
export const styling: readonly Property[] = [style, ownStates, transition];

/** Its place in its parent. @param own of a kind that stands otherwise where nothing is said. */
/** What it is on other screens, too: it moves from the one to the other (CSS View Transitions 1 §2.1). */
export const shared = property({
  name: 'shared',
  label: 'Shared as',
  group: 'place',
  type: identifierType,
  effect: 'look',
  perBand: false,
  styled: false,
});

export const placing = (own: { alignSelf?: string } = {}): readonly Property[] => [
  margin,
  own.alignSelf === undefined ? alignSelf : preset(alignSelf, own.alignSelf),
  justifySelf,
  col,
  row,
  colSpan,
  rowSpan,
  left,
  right,
  top,
  bottom,
  centerX,
  centerY,
  order,
  hidden,
  locked,
  ignore,
  slotOf,
  shared,
  ...styling,
];

export const padding = laidOut('inside', 'padding', 'Padding', lengthsType);

export const gap = laidOut('inside', 'gap', 'Gap', gapsType, leading);
export const rowGap = laidOut('inside', 'row-gap', 'Row gap', lengthType);
export const columnGap = laidOut('inside', 'column-gap', 'Column gap', lengthType);
const gaps: readonly Property[] = [gap, rowGap, columnGap];

export const align = laidOut('inside', 'align', 'Align', alignType, { default: 'stretch', leads: true });
export const justify = laidOut('inside', 'justify', 'Justify', justifyType, {
  default: 'start',
  leads: true,
});
/** How children stand across their cells. */
export const cellJustify = laidOut('inside', 'justify', 'Justify', cellAlignType, {
  default: 'stretch',
  leads: true,
});

/** How a container puts its children one after another. */
export const arranging: readonly Property[] = [...gaps, align, justify];

/** How children lie in cells. */
export const cellArranging: readonly Property[] = [align, cellJustify];

export const columns = laidOut('inside', 'columns', 'Columns', trackListType, leading);
export const rows = laidOut('inside', 'rows', 'Rows', trackListType, leading);
export const autoColumns = laidOut('inside', 'auto-columns', 'Auto columns', trackPatternType);
export const autoRows = laidOut('inside', 'auto-rows', 'Auto rows', trackPatternType);
export const flow = laidOut('inside', 'flow', 'Flow', flowType, { default: 'row' });
const tracks: readonly Property[] = [columns, rows, autoColumns, autoRows, flow];

/** The tracks of what may be like a grid at some widths. */
export const gridTracks: readonly Property[] = tracks.map((each) => ({ ...each, onlyLike: ['grid'] }));

/** The tracks of a grid, and how it is filled; its gaps mean something however it arranges. */
export const gridArranging: readonly Property[] = [...gridTracks, ...gaps];

export const wrap = laidOut('inside', 'wrap', 'Wrap', flagType, { onlyLike: ['row', 'column'], leads: true });

export const background = property({
  name: 'background',
  label: 'Background',
  group: 'look',
  type: backgroundType,
  leads: true,
  ...look,
});

/** One that is seen, and changes no boxes. */
const seen = <T>(
  name: string,
  label: string,
  type: PropertyType<T>,
  rest: Partial<Property<T>> = {},
): Property<T> => ({
  name,
  label,
  group: 'look',
  type,
  ...look,
  ...rest,
});

const effect = { group: 'effects' } as const;

export const corner = seen('corner', 'Corner', cornersType);
export const borderStyle = seen('border-style', 'Border style', borderStyleType);
export const opacity = seen('opacity', 'Opacity', opacityType);
export const blur = seen('blur', 'Blur', blurType, effect);
export const blurBehind = seen('blur-behind', 'Blur behind', blurType, effect);
export const shadow = seen('shadow', 'Shadow', shadowType);
export const rotate = seen('rotate', 'Rotate', degreesType, effect);
export const scale = seen('scale', 'Scale', scaleType, effect);
export const shift = seen('shift', 'Shift', shiftType, effect);
export const clip = seen('clip', 'Clip', flagType, effect);
export const cursor = seen('cursor', 'Cursor', cursorType, effect);
export const z = seen('z', 'Layer', layerType, effect);
export const borderWidth = laidOut('look', 'border-width', 'Border', lengthsType);
export const borderColour = property({
  name: 'border-color',
  label: 'Border colour',
  group: 'look',
  type: borderColourType,
  default: 'line',
  ...look,
});

type Presets<Name extends string> = { readonly [Key in Name]?: NonNullable<Property['default']> };
const presetIf = <T>(of: Property<T>, text: Property['default']): Property<T> =>
  text === undefined ? of : preset(of, text);

/** The look of a box. */
export const boxLook = (own: Presets<'background' | 'corner' | 'borderWidth'> = {}): readonly Property[] => [
  presetIf(background, own.background),
  presetIf(corner, own.corner),
  presetIf(borderWidth, own.borderWidth),
  borderStyle,
  borderColour,
  shadow,
  opacity,
  blur,
  blurBehind,
  rotate,
  scale,
  shift,
  clip,
  cursor,
  z,
];

export const font = laidOut('letters', 'font', 'Font', familyType, { default: { theme: 'family' } });
export const size = laidOut('letters', 'size', 'Size', textSizeType, {
  default: { theme: 'textSize' },
  leads: true,
});
export const weight = laidOut('letters', 'weight', 'Weight', weightType, { default: '400', leads: true });
export const italic = laidOut('letters', 'italic', 'Italic', flagType);
export const lineHeight = laidOut('letters', 'line-height', 'Line height', factorType, {
  default: { theme: 'lineHeight' },
});
export const letterSpacing = laidOut('letters', 'letter-spacing', 'Letter spacing', letterSpacingType);
export const colour = property({
  name: 'color',
  label: 'Colour',
  group: 'letters',
  type: inkType,
  leads: true,
  default: 'ink',
  ...look,
});

/** A token that says how words are set; each part of it can be said beside it. */
export const typography = laidOut('letters', 'typography', 'Typography', typographyType, {
  plain: true,
  sets: (text, { tokens }) => {
    const token = tokens.get(text);
    return token?.type === 'typography' ? token.texts : {};
  },
});
export const underline = seen('underline', 'Underline', flagType, { group: 'letters' });
export const strike = seen('strike', 'Strike', flagType, { group: 'letters' });
export const uppercase = laidOut('letters', 'uppercase', 'Uppercase', flagType);
export const textShadow = seen('text-shadow', 'Text shadow', textShadowType, { group: 'letters' });

/** How words are set. */
export const textLook = (
  own: Presets<'weight' | 'size' | 'lineHeight' | 'colour'> = {},
): readonly Property[] => [
  typography,
  font,
  presetIf(size, own.size),
  presetIf(weight, own.weight),
  italic,
  presetIf(lineHeight, own.lineHeight),
  letterSpacing,
  presetIf(colour, own.colour),
  underline,
  strike,
  uppercase,
  textShadow,
];

export const textAlign = property({
  name: 'text-align',
  label: 'Text align',
  group: 'letters',
  type: textAlignType,
  leads: true,
  default: 'start',
  ...look,
});

export const lines = laidOut('letters', 'lines', 'Max lines', linesType);
export const nowrap = laidOut('letters', 'nowrap', 'No wrap', flagType);

/** Words that a control shows. */
export const words = (name: string, label: string, page: PageTarget): Property<string> => ({
  name,
  label,
  group: 'content',
  type: textType,
  effect: 'layout',
  perBand: false,
  page,
});

export const disabled = property({
  name: 'disabled',
  label: 'Disabled',
  group: 'content',
  type: flagType,
  effect: 'behaviour',
  perBand: false,
});
/** @param page how it reaches the page's element. */
export const disabledBy = (page: PageTarget): Property<boolean> => ({ ...disabled, page });
