/**
 * The theme: the look that all controls of a project start from. It is the last layer of the cascade; what is laid out,
 * painted or exported gets one as a value, so that two projects, or two modes of one, can have different ones.
 */
import { keysOf } from '../sure.ts';

/** Colours of the roles that kinds and attributes name, in light surroundings, of the theme that ships. */
export const colours = {
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

/** What a colour is for; an attribute may name one instead of a hexadecimal colour. */
export type ColourRole = keyof typeof colours;
export const colourRoles = keysOf(colours);
const roles: ReadonlySet<string> = new Set(colourRoles);
const isRole = (text: string): text is ColourRole => roles.has(text);

/** The same roles where the reader asks for dark colours (CSS Color Adjustment 1 §2). */
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

/** Roles that stand for others where the reader asks for more contrast (Media Queries 5 §12.3). */
const contrastRoles: Theme['contrastRoles'] = { quiet: 'ink', line: 'ink' };

/**
 * What makes up a control's own size, lengths in CSS px. Those marked "scaled" are multiplied by the reader's text scale.
 */
const measures = {
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
  chartTextSize: 12,
  /** Padding of a table's cells, and of the entries of lists and menus. */
  cellPadding: { block: 8, inline: 12 },
  /** Size of a picture that is not there. */
  missingPicture: { width: 160, height: 120 },
} as const;

type Measures = {
  readonly [Name in keyof typeof measures]: (typeof measures)[Name] extends number
    ? number
    : (typeof measures)[Name] extends string
      ? string
      : { readonly [Side in keyof (typeof measures)[Name]]: number };
};

export interface Theme extends Measures {
  /** Colours by role, as CSS has them. */
  readonly colours: Readonly<Record<ColourRole, string>>;
  readonly darkColours: Readonly<Record<ColourRole, string>>;
  /** Roles that stand for others where the reader asks for more contrast. */
  readonly contrastRoles: Readonly<Partial<Record<ColourRole, ColourRole>>>;
}

/** The name of a measure; a property of a kind may be as large as one says where nothing else is said. */
export type Measure = keyof Measures;

/** The theme that ships. */
export const shippedTheme: Theme = { ...measures, colours, darkColours, contrastRoles };

/** A colour attribute as a painter needs it: a role becomes the theme's colour. */
export const colourIn = ({ colours }: Pick<Theme, 'colours'>, text: string): string =>
  isRole(text) ? colours[text] : text;

/** A colour attribute as a page's stylesheet has it: a role becomes its custom property. */
export const colourCss = (text: string): string =>
  isRole(text) ? `var(--${text})` : text === 'none' ? 'transparent' : text;
