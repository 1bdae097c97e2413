/** Properties that several kinds have, by the question they answer. The order is the order of the source. */
import {
  alignType,
  aspectType,
  cellAlignType,
  colourType,
  entriesType,
  factorType,
  familyType,
  flagType,
  flowType,
  gapsType,
  gridLineType,
  justifyType,
  lengthsType,
  lengthType,
  letterSpacingType,
  limitType,
  linesType,
  marginType,
  offsetType,
  orderType,
  pinType,
  sizeType,
  spanType,
  textAlignType,
  textSizeType,
  textType,
  trackListType,
  trackPatternType,
  weightType,
} from '../document/property-types.ts';
import type { PageTarget, Property } from './kind.ts';

type Rest = Partial<Pick<Property, 'default'>>;
const layout = { effect: 'layout', perBand: true } as const;
const look = { effect: 'look', perBand: true } as const;

/** The size a control asks for. */
export const sizing: readonly Property[] = [
  { name: 'width', label: 'Width', group: 'size', type: sizeType, ...layout },
  { name: 'height', label: 'Height', group: 'size', type: sizeType, ...layout },
  { name: 'min-width', label: 'Min width', group: 'size', type: limitType, ...layout },
  { name: 'max-width', label: 'Max width', group: 'size', type: limitType, ...layout },
  { name: 'min-height', label: 'Min height', group: 'size', type: limitType, ...layout },
  { name: 'max-height', label: 'Max height', group: 'size', type: limitType, ...layout },
  { name: 'aspect', label: 'Aspect ratio', group: 'size', type: aspectType, ...layout },
];

const inGrid = ['grid', 'repeat'];
const inCells = ['grid', 'layers', 'repeat'];
const onPinboard = ['pinboard'];

/** Its place in its parent. */
export function placing(rest: { alignSelf?: string } = {}): readonly Property[] {
  const alignSelf: Property = {
    name: 'align-self',
    label: 'Align self',
    group: 'place',
    type: alignType,
    notIn: onPinboard,
    ...layout,
  };
  const pin = (name: string, label: string, type: Property['type'] = pinType): Property => ({
    name,
    label,
    group: 'place',
    type,
    onlyIn: onPinboard,
    ...layout,
  });
  const area = (name: string, label: string, type: Property['type']): Property => ({
    name,
    label,
    group: 'place',
    type,
    onlyIn: inGrid,
    ...layout,
  });
  return [
    { name: 'margin', label: 'Margin', group: 'place', type: marginType, ...layout },
    rest.alignSelf === undefined ? alignSelf : { ...alignSelf, default: rest.alignSelf },
    {
      name: 'justify-self',
      label: 'Justify self',
      group: 'place',
      type: alignType,
      onlyIn: inCells,
      ...layout,
    },
    area('col', 'Column', gridLineType),
    area('row', 'Row', gridLineType),
    area('col-span', 'Column span', spanType),
    area('row-span', 'Row span', spanType),
    pin('left', 'Left'),
    pin('right', 'Right'),
    pin('top', 'Top'),
    pin('bottom', 'Bottom'),
    pin('center-x', 'Centre across', offsetType),
    pin('center-y', 'Centre down', offsetType),
    { name: 'order', label: 'Order', group: 'place', type: orderType, notIn: onPinboard, ...layout },
    { name: 'hidden', label: 'Hidden', group: 'place', type: flagType, ...layout },
    { name: 'locked', label: 'Locked', group: 'place', type: flagType, effect: 'behaviour', perBand: false },
    {
      name: 'ignore',
      label: 'Checks ignored',
      group: 'place',
      type: entriesType,
      effect: 'behaviour',
      perBand: false,
    },
  ];
}

export const padding = (rest: Rest = {}): Property => ({
  name: 'padding',
  label: 'Padding',
  group: 'inside',
  type: lengthsType,
  ...layout,
  ...rest,
});

const gaps: readonly Property[] = [
  { name: 'gap', label: 'Gap', group: 'inside', type: gapsType, ...layout },
  { name: 'row-gap', label: 'Row gap', group: 'inside', type: lengthType, ...layout },
  { name: 'column-gap', label: 'Column gap', group: 'inside', type: lengthType, ...layout },
];
const align: Property = {
  name: 'align',
  label: 'Align',
  group: 'inside',
  type: alignType,
  default: 'stretch',
  ...layout,
};

/** How a container puts its children one after another. */
export const arranging: readonly Property[] = [
  ...gaps,
  align,
  { name: 'justify', label: 'Justify', group: 'inside', type: justifyType, default: 'start', ...layout },
];

/** How children lie in cells. */
export const cellArranging: readonly Property[] = [
  align,
  { name: 'justify', label: 'Justify', group: 'inside', type: cellAlignType, default: 'stretch', ...layout },
];

/** The tracks of a grid, and how it is filled. */
export const gridArranging: readonly Property[] = [
  { name: 'columns', label: 'Columns', group: 'inside', type: trackListType, ...layout },
  { name: 'rows', label: 'Rows', group: 'inside', type: trackListType, ...layout },
  { name: 'auto-columns', label: 'Auto columns', group: 'inside', type: trackPatternType, ...layout },
  { name: 'auto-rows', label: 'Auto rows', group: 'inside', type: trackPatternType, ...layout },
  { name: 'flow', label: 'Flow', group: 'inside', type: flowType, default: 'row', ...layout },
  ...gaps,
];

/** One gap between two panes. */
export const paneGap: readonly Property[] = gaps.filter(({ name }) => name === 'gap');

export const wrapping: Property = {
  name: 'wrap',
  label: 'Wrap',
  group: 'inside',
  type: flagType,
  onlyLike: ['row', 'column'],
  ...layout,
};

const gapNames = gaps.map(({ name }) => name);

/** The tracks of what may be like a grid at some widths. */
export const gridTracks: readonly Property[] = gridArranging
  .filter(({ name }) => !gapNames.includes(name))
  .map((property) => ({ ...property, onlyLike: ['grid'] }));

/** The look of a box. */
export function boxLook(
  defaults: { background?: string; corner?: string; borderWidth?: string } = {},
): readonly Property[] {
  const background: Property = {
    name: 'background',
    label: 'Background',
    group: 'look',
    type: colourType,
    ...look,
  };
  const corner: Property = { name: 'corner', label: 'Corner', group: 'look', type: lengthType, ...look };
  const border: Property = {
    name: 'border-width',
    label: 'Border',
    group: 'look',
    type: lengthsType,
    ...layout,
  };
  return [
    defaults.background ? { ...background, default: defaults.background } : background,
    defaults.corner ? { ...corner, default: defaults.corner } : corner,
    defaults.borderWidth ? { ...border, default: defaults.borderWidth } : border,
    {
      name: 'border-color',
      label: 'Border colour',
      group: 'look',
      type: colourType,
      default: 'line',
      ...look,
    },
  ];
}

/** How words are set. */
export function textLook(
  defaults: { weight?: string; size?: string; lineHeight?: string; colour?: string } = {},
): readonly Property[] {
  return [
    { name: 'font', label: 'Font', group: 'look', type: familyType, default: 'Hanken Grotesk', ...layout },
    {
      name: 'size',
      label: 'Size',
      group: 'look',
      type: textSizeType,
      default: defaults.size ?? '16',
      ...layout,
    },
    {
      name: 'weight',
      label: 'Weight',
      group: 'look',
      type: weightType,
      default: defaults.weight ?? '400',
      ...layout,
    },
    { name: 'italic', label: 'Italic', group: 'look', type: flagType, ...layout },
    {
      name: 'line-height',
      label: 'Line height',
      group: 'look',
      type: factorType,
      default: defaults.lineHeight ?? '1.4',
      ...layout,
    },
    { name: 'letter-spacing', label: 'Letter spacing', group: 'look', type: letterSpacingType, ...layout },
    {
      name: 'color',
      label: 'Colour',
      group: 'look',
      type: colourType,
      default: defaults.colour ?? 'ink',
      ...look,
    },
  ];
}

export const textAlign = (preset: string): Property => ({
  name: 'text-align',
  label: 'Text align',
  group: 'look',
  type: textAlignType,
  default: preset,
  effect: 'look',
  perBand: true,
});

export const mostLines: Property = {
  name: 'lines',
  label: 'Lines at most',
  group: 'look',
  type: linesType,
  ...layout,
};

export const noWrap: Property = {
  name: 'nowrap',
  label: 'No wrap',
  group: 'look',
  type: flagType,
  ...layout,
};

/** Words that a control shows. */
export const words = (name: string, label: string, page: PageTarget): Property => ({
  name,
  label,
  group: 'content',
  type: textType,
  effect: 'layout',
  perBand: false,
  page,
});

export const disabled = (page: PageTarget): Property => ({
  name: 'disabled',
  label: 'Disabled',
  group: 'content',
  type: flagType,
  effect: 'behaviour',
  perBand: false,
  page,
});
