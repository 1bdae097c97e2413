/** A screen as XML text, in the one canonical way, so that differences between versions are small. */
import { attributeRank } from '../cascade/attributes.ts';
import { type Band, type Control, inForce } from '../document/types.ts';
import { kindOf } from '../kinds/catalogue.ts';

/** A tag longer than this puts each attribute on a line of its own. */
export const longestLine = 100;

/**
 * Prints a screen.
 *
 * Drafts (values that are not valid yet) are not part of the source; the last good value is printed instead.
 *
 * @param bands of the project, for the order of changes.
 */
export function printScreen(screen: Control, bands: readonly Band[]): string {
  const lines: string[] = [];
  printControl(screen, bands, '', lines);
  for (const comment of screen.comments?.after ?? []) lines.push(`<!--${comment}-->`);
  return `${lines.join('\n')}\n`;
}

function printControl(control: Control, bands: readonly Band[], indent: string, lines: string[]): void {
  for (const comment of control.comments?.before ?? []) lines.push(`${indent}<!--${comment}-->`);
  const inside = control.comments?.inside ?? [];
  const empty = control.children.length === 0 && inside.length === 0;
  const attributes = attributesOf(control, bands);
  const flat = `${indent}<${[control.kind, ...attributes].join(' ')}${empty ? ' />' : '>'}`;
  if (flat.length <= longestLine || attributes.length === 0) lines.push(flat);
  else
    lines.push(
      `${indent}<${control.kind}`,
      ...attributes.map((attribute) => `${indent}  ${attribute}`),
      `${indent}${empty ? '/>' : '>'}`,
    );
  if (empty) return;
  for (const child of control.children) printControl(child, bands, `${indent}  `, lines);
  for (const comment of inside) lines.push(`${indent}  <!--${comment}-->`);
  lines.push(`${indent}</${control.kind}>`);
}

function attributesOf(control: Control, bands: readonly Band[]): string[] {
  const kind = kindOf(control);
  const printed = Object.entries(control.props)
    .flatMap(([name, value]) => {
      const text = inForce(value);
      return text === undefined ? [] : [{ name, text }];
    })
    .toSorted((a, b) => attributeRank(kind, a.name, bands) - attributeRank(kind, b.name, bands))
    .map(({ name, text }) => writtenAttribute(name, text));
  return control.name === undefined ? printed : [writtenAttribute('name', control.name), ...printed];
}

/** An attribute as a tag has it. */
export const writtenAttribute = (name: string, text: string): string => `${name}="${escapeAttribute(text)}"`;

/** XML 1.0 §2.3 and §3.3.3: what would end the value, or be read as a space, becomes a reference. */
function escapeAttribute(text: string): string {
  return text
    .replaceAll('&', '&amp;')
    .replaceAll('<', '&lt;')
    .replaceAll('"', '&quot;')
    .replaceAll('\n', '&#10;')
    .replaceAll('\r', '&#13;')
    .replaceAll('\t', '&#9;');
}
