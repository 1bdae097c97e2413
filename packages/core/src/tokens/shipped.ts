/** The tokens that ship: the colours of roles and the measures of controls. A project's token of the same name takes the place of one. */
import type { Json, Token, TokenType } from '../document/token.ts';
import { keysOf } from '../sure.ts';

/** Colours of roles. */
const lightColours = {
  page: '#f6f3ec',
  sheet: '#fffdf8',
  tint: '#e4ece6',
  line: '#d8d2c4',
  ink: '#1f2a24',
  quiet: '#5b655f',
  accent: '#2f5d50',
  'on-accent': '#fffdf8',
  warm: '#b86b35',
  alert: '#b23a2e',
} as const;

/** What a colour of the theme is for. */
export type ColourRole = keyof typeof lightColours;
export const colourRoles = keysOf(lightColours);

/** The same where dark colours are asked for (CSS Color Adjustment 1 §2). */
const darkColours: Readonly<Record<ColourRole, string>> = {
  page: '#1a201d',
  sheet: '#232b27',
  tint: '#2b3a34',
  line: '#414c46',
  ink: '#eef0ea',
  quiet: '#a9b3ac',
  accent: '#8cc4b2',
  'on-accent': '#14201b',
  warm: '#dd9a66',
  alert: '#f0897e',
};

/** The light colours that ship, by role. */
export const shippedColours: Readonly<Record<string, string>> = lightColours;

const hexValue = (hex: string): Json => ({
  colorSpace: 'srgb',
  components: [1, 3, 5].map((at) => Number((Number.parseInt(hex.slice(at, at + 2), 16) / 255).toFixed(4))),
  hex,
});

/** Where the reader asks for more contrast (Media Queries 5 §12.3): an alias of a stronger role, or a stronger colour, 7 to 1. */
const inContrast: Readonly<Partial<Record<ColourRole, Json>>> = {
  quiet: '{color.ink}',
  line: '{color.ink}',
  accent: hexValue('#265448'),
  warm: hexValue('#7b3a00'),
  alert: hexValue('#951c14'),
};

/** What makes up a control's own size: lengths in CSS px. Those marked "scaled" are multiplied by the reader's text scale. */
export const measures = {
  family: 'Hanken Grotesk',
  /** Scaled. */
  textSize: 16,
  lineHeight: 1.4,
  /** Scaled: height of the box that one types into. */
  fieldHeight: 40,
  /** Width of a field where nothing else says so. */
  fieldWidth: 180,
  fieldPadding: 12,
  /** Scaled. */
  labelSize: 14,
  labelWeight: 500,
  labelGap: 4,
  captionWeight: 600,
  /** Scaled: side of a checkbox's box. */
  checkSize: 20,
  checkGap: 8,
  corner: 4,
  /** Scaled. */
  hintSize: 13,
  /** Scaled: size of a heading where nothing else says so. */
  headingSize: 24,
  headingWeight: 600,
  headingLineHeight: 1.25,
  /** Scaled: side of an icon. */
  iconSize: 24,
  /** Scaled: a switch's track and what moves on it. */
  switchWidth: 40,
  switchHeight: 24,
  switchThumb: 18,
  /** Scaled: thickness of a progress or a meter. */
  barHeight: 8,
  /** Scaled: diameter of a lamp's light. */
  lampSize: 14,
  /** Scaled: height of what a slider is moved in. */
  sliderHeight: 24,
  /** Size of a chart where nothing else says so; its words are scaled. */
  chartWidth: 240,
  chartHeight: 120,
  sparklineHeight: 40,
  /** Size of a dial where nothing else says so; its words are those of charts. */
  dialWidth: 120,
  dialHeight: 94,
  chartTextSize: 12,
  /** Padding of a table's cells, and of the entries of lists and menus. */
  cellPaddingBlock: 8,
  cellPaddingInline: 12,
  /** Size of a picture that is not there. */
  missingPictureWidth: 160,
  missingPictureHeight: 120,
} as const;

/** The name of a measure; a property of a kind may be as large as one says where nothing else is said. */
export type Measure = keyof typeof measures;

export type Measures = {
  readonly [Name in Measure]: (typeof measures)[Name] extends number ? number : string;
};

export const measureNames = keysOf(measures);

/** The type of a measure's token. */
export function measureType(measure: Measure): TokenType {
  if (measure === 'family') return 'fontFamily';
  if (measure.endsWith('Weight')) return 'fontWeight';
  return measure === 'lineHeight' || measure === 'headingLineHeight' ? 'number' : 'dimension';
}

/** What attributes call a measure: `fieldHeight` is `field-height`. */
export const measureToken = (measure: Measure): string =>
  measure.replaceAll(/[A-Z]/g, (letter) => `-${letter.toLowerCase()}`);

/** The shipped value of a measure, as a file has it. */
function measureValue(measure: Measure): Json {
  const value = measures[measure];
  return measureType(measure) === 'dimension' ? { value: Number(value), unit: 'px' } : value;
}

export const shippedTokens: readonly Token[] = [
  ...colourRoles.map((role): Token => {
    const contrast = inContrast[role];
    return {
      path: `color.${role}`,
      type: 'color',
      value: hexValue(lightColours[role]),
      dark: hexValue(darkColours[role]),
      ...(contrast === undefined ? {} : { contrast }),
    };
  }),
  ...measureNames.map(
    (measure): Token => ({
      path: `${measureType(measure)}.${measureToken(measure)}`,
      type: measureType(measure),
      value: measureValue(measure),
    }),
  ),
];
