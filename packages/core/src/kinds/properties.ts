/** Properties that several kinds have, by the question they answer. The order is the order of the source. */
import {
  alignType,
  colourType,
  factorType,
  familyType,
  flagType,
  justifyType,
  lengthsType,
  lengthType,
  limitType,
  marginType,
  sizeType,
  textAlignType,
  textSizeType,
  textType,
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
];

/** Its place in its parent. */
export function placing(rest: { alignSelf?: string } = {}): readonly Property[] {
  const alignSelf: Property = {
    name: 'align-self',
    label: 'Align self',
    group: 'place',
    type: alignType,
    ...layout,
  };
  return [
    { name: 'margin', label: 'Margin', group: 'place', type: marginType, ...layout },
    rest.alignSelf === undefined ? alignSelf : { ...alignSelf, default: rest.alignSelf },
    { name: 'hidden', label: 'Hidden', group: 'place', type: flagType, ...layout },
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

/** How a container arranges its children. */
export const arranging: readonly Property[] = [
  { name: 'gap', label: 'Gap', group: 'inside', type: lengthType, ...layout },
  { name: 'row-gap', label: 'Row gap', group: 'inside', type: lengthType, ...layout },
  { name: 'column-gap', label: 'Column gap', group: 'inside', type: lengthType, ...layout },
  { name: 'align', label: 'Align', group: 'inside', type: alignType, default: 'stretch', ...layout },
  { name: 'justify', label: 'Justify', group: 'inside', type: justifyType, default: 'start', ...layout },
];

export const wrapping: Property = { name: 'wrap', label: 'Wrap', group: 'inside', type: flagType, ...layout };

/** The look of a box. */
export function boxLook(defaults: { background?: string; corner?: string } = {}): readonly Property[] {
  const background: Property = {
    name: 'background',
    label: 'Background',
    group: 'look',
    type: colourType,
    ...look,
  };
  const corner: Property = { name: 'corner', label: 'Corner', group: 'look', type: lengthType, ...look };
  return [
    defaults.background ? { ...background, default: defaults.background } : background,
    defaults.corner ? { ...corner, default: defaults.corner } : corner,
    { name: 'border-width', label: 'Border', group: 'look', type: lengthsType, ...layout },
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
export function textLook(defaults: { weight?: string; colour?: string } = {}): readonly Property[] {
  return [
    { name: 'font', label: 'Font', group: 'look', type: familyType, default: 'Hanken Grotesk', ...layout },
    { name: 'size', label: 'Size', group: 'look', type: textSizeType, default: '16', ...layout },
    {
      name: 'weight',
      label: 'Weight',
      group: 'look',
      type: weightType,
      default: defaults.weight ?? '400',
      ...layout,
    },
    { name: 'line-height', label: 'Line height', group: 'look', type: factorType, default: '1.4', ...layout },
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
