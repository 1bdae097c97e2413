/** The values of controls as they stand in the document, without those that follow expressions. */

import { noStyles } from '../document/style-set.ts';
import type { Control } from '../document/types.ts';
import { hasExpression, unescapeBraces } from '../expression/template.ts';
import { kindOf } from '../kinds/catalogue.ts';
import type { Arrangement } from '../kinds/kind.ts';
import { arrangementOf, mannerOf } from '../kinds/manner.ts';
import { readWithTokens } from '../tokens/reading.ts';
import { shippedTheme } from '../values/theme.ts';
import { propertyOf } from './attributes.ts';
import { allSaid, type Conditions, type Layer } from './cascade.ts';
import { defaultsOf, Values } from './values.ts';

/**
 * The values of a control without those that follow expressions, under some conditions.
 *
 * @param named the styles that it has; absent: those of its plain text.
 */
export const plainValues = (control: Control, conditions: Conditions, named?: string): Values =>
  saidPlainly(control, conditions, named);

/** What one layer says by itself, without expressions, under some conditions. */
export const plainlyIn = (
  control: Control,
  { props }: Pick<Layer, 'props'>,
  conditions: Conditions,
): Values =>
  saidPlainly(
    { kind: control.kind, props },
    { ...conditions, theme: { ...conditions.theme, styles: noStyles } },
  );

function saidPlainly(
  control: Pick<Control, 'kind' | 'props'>,
  conditions: Conditions,
  named?: string,
): Values {
  const kind = kindOf(control);
  const { theme } = conditions;
  const said = new Map<string, unknown>();
  for (const [property, { text }] of allSaid(control, kind, conditions, named)) {
    if (hasExpression(text)) continue;
    const reading = readWithTokens(property.type, unescapeBraces(text), theme.tokens);
    if (reading.ok) said.set(property.name, reading.value);
  }
  return new Values(said, defaultsOf(kind, theme));
}

/** How a control arranges what is in it, without changes from bands. No arrangement is a measure of a theme. */
export const plainArrangement = (control: Control): Arrangement =>
  arrangementIn(control, { prefixes: [''], theme: shippedTheme });

const arrangementIn = (control: Control, conditions: Conditions): Arrangement =>
  arrangementOf(mannerOf(kindOf(control)), plainValues(control, conditions));

/** All ways in which a control arranges what is in it: without changes, and in each band or orientation that has some. */
export function arrangementsOf(control: Control): ReadonlySet<Arrangement> {
  const { arranges } = mannerOf(kindOf(control));
  const by = typeof arranges === 'object' ? arranges.by.name : undefined;
  const changed =
    by === undefined
      ? []
      : Object.keys(control.props).filter((name) => name !== by && propertyOf(name) === by);
  const prefixes = changed.map((name) => ['', name.slice(0, -propertyOf(name).length)]);
  return new Set(
    [[''], ...prefixes].map((each) => arrangementIn(control, { prefixes: each, theme: shippedTheme })),
  );
}
