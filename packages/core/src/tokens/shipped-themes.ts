/** Themes that ship, to begin with: tokens in three modes each. The first is what a project without tokens has. */
import type { Json, Token, TokenType } from '../document/token.ts';
import { type ColourRole, colourRoles } from './shipped.ts';
import { colourValue } from './typed-value.ts';

export interface ShippedTheme {
  readonly id: string;
  readonly label: string;
  /** What it is like, in a few words. */
  readonly purpose: string;
  readonly tokens: readonly Token[];
}

type Roles = Readonly<Record<ColourRole, string>>;

const path = (role: ColourRole): string => `color.${role}`;

/** @param strong where more contrast is asked for; quiet words and lines are as strong as plain words then. */
const colourTokens = (light: Roles, dark: Roles, strong: Partial<Roles>): Token[] =>
  colourRoles.map((role) => {
    const more = strong[role];
    const contrast =
      role === 'quiet' || role === 'line'
        ? '{color.ink}'
        : more === undefined
          ? undefined
          : colourValue(more);
    return {
      path: path(role),
      type: 'color',
      value: colourValue(light[role]) ?? '#000000',
      dark: colourValue(dark[role]) ?? '#ffffff',
      ...(contrast === undefined ? {} : { contrast }),
    };
  });

const token = (name: string, type: TokenType, value: Json): Token => ({
  path: `${type}.${name}`,
  type,
  value,
});
const px = (name: string, value: number): Token => token(name, 'dimension', { value, unit: 'px' });

const slate: readonly Token[] = [
  ...colourTokens(
    {
      page: '#eef1f4',
      sheet: '#ffffff',
      tint: '#dfe7ee',
      line: '#c5cfd9',
      ink: '#16202a',
      quiet: '#51606f',
      accent: '#1f5a96',
      'on-accent': '#ffffff',
      warm: '#a85d1a',
      alert: '#b0262f',
    },
    {
      page: '#11171d',
      sheet: '#1a222a',
      tint: '#243240',
      line: '#3b4956',
      ink: '#e9eef3',
      quiet: '#a3b1be',
      accent: '#86b9ec',
      'on-accent': '#0d1b29',
      warm: '#e2a164',
      alert: '#f28b8f',
    },
    { accent: '#0c4b86', warm: '#753b00', alert: '#99021c' },
  ),
  px('corner', 2),
  px('field-height', 36),
  px('label-size', 13),
  token('heading-weight', 'fontWeight', 700),
];

const meadow: readonly Token[] = [
  ...colourTokens(
    {
      page: '#fbf8ee',
      sheet: '#ffffff',
      tint: '#eef3d9',
      line: '#d9d8bd',
      ink: '#2b2f1c',
      quiet: '#62674c',
      accent: '#4f6b16',
      'on-accent': '#ffffff',
      warm: '#a4541f',
      alert: '#a8322b',
    },
    {
      page: '#191b12',
      sheet: '#23261a',
      tint: '#333a20',
      line: '#4a4f38',
      ink: '#f1f2e4',
      quiet: '#b3b79c',
      accent: '#b9d66d',
      'on-accent': '#1b2209',
      warm: '#e29c6b',
      alert: '#f1918a',
    },
    { accent: '#3f5800', warm: '#843b00', alert: '#99231e' },
  ),
  px('corner', 14),
  px('field-height', 44),
  px('field-padding', 16),
  token('family', 'fontFamily', 'Source Serif 4'),
];

const signal: readonly Token[] = [
  ...colourTokens(
    {
      page: '#ffffff',
      sheet: '#ffffff',
      tint: '#f0edf7',
      line: '#8b86a0',
      ink: '#14101f',
      quiet: '#4d465f',
      accent: '#5b2bb0',
      'on-accent': '#ffffff',
      warm: '#9a4b00',
      alert: '#b3001e',
    },
    {
      page: '#0e0b16',
      sheet: '#16121f',
      tint: '#2a2140',
      line: '#7a7391',
      ink: '#f6f4fb',
      quiet: '#bdb6cf',
      accent: '#c3a6ff',
      'on-accent': '#1d0b3f',
      warm: '#ffb36b',
      alert: '#ff8e9b',
    },
    { warm: '#7f3d00', alert: '#a3001a' },
  ),
  px('corner', 8),
  px('field-height', 48),
  px('text-size', 17),
  px('label-size', 15),
  px('hint-size', 14),
];

export const shippedThemes: readonly ShippedTheme[] = [
  { id: 'spruce', label: 'Spruce', purpose: 'Warm paper and green: what projects begin with.', tokens: [] },
  { id: 'slate', label: 'Slate', purpose: 'Cool, tight and square, for much on one screen.', tokens: slate },
  {
    id: 'meadow',
    label: 'Meadow',
    purpose: 'Soft corners, roomy fields, letters with feet.',
    tokens: meadow,
  },
  {
    id: 'signal',
    label: 'Signal',
    purpose: 'Large letters and strong lines, for a glance from afar.',
    tokens: signal,
  },
];
