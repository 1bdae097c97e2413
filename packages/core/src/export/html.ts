/** The page's HTML: real elements, the controls' names on them, words and attributes escaped. */

import { propertiesOf } from '../cascade/cascade.ts';
import { repetitionOf } from '../cascade/repetition.ts';
import type { Circumstances } from '../cascade/values.ts';
import { type Values, valuesOf } from '../cascade/values.ts';
import { effectiveNames } from '../document/names.ts';
import { entryOf, itemAt } from '../document/sure.ts';
import { type Asset, type Control, inForce } from '../document/types.ts';
import type { Scope } from '../expression/evaluate.ts';
import { asText } from '../expression/evaluate.ts';
import { unescapeBraces } from '../expression/template.ts';
import type { Shape } from '../icons/icon-set.ts';
import { iconShapes } from '../icons/icon-set.ts';
import { kindOf } from '../kinds/catalogue.ts';
import type { Kind, PageElement } from '../kinds/kind.ts';
import { longList, mostItems, writtenOfLong } from '../kinds/repeat.ts';
import { tabindex, withTurn } from '../kinds/tabindex.ts';
import { itemName } from '../layout/screen-layout.ts';
import type { Theme } from '../values/theme.ts';

/** Attributes that say something even when they are empty. */
const mayBeEmpty = new Set([
  'alt',
  'value',
  'data-press',
  'data-sort',
  'data-cargo',
  'data-carries',
  'data-takes',
]);
const voidTags = new Set(['img', 'input', 'hr']);

export const escapeText = (text: string): string =>
  text.replaceAll('&', '&amp;').replaceAll('<', '&lt;').replaceAll('>', '&gt;');
const escapeAttribute = (text: string): string =>
  escapeText(text).replaceAll('"', '&quot;').replaceAll('\n', '&#10;');

/** Where a picture of the project lies beside the page; a drawn stand-in where the project has no such picture. */
export function pictureAddress(name: string, assets: readonly Asset[], theme: Theme): string {
  if (assets.some((asset) => asset.name === name)) return `assets/${encodeURIComponent(name)}`;
  const { width, height } = theme.missingPicture;
  return `data:image/svg+xml,${encodeURIComponent(`<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}"><rect width="100%" height="100%" fill="${theme.colours.line}"/></svg>`)}`;
}

/** What the elements of a screen are made with. */
export interface Elements {
  readonly circumstances: Circumstances;
  readonly assets: readonly Asset[];
  /** Inline style of a control whose look is bound, for the values that a scope has. */
  readonly styleOf: (control: Control, parent: Control | undefined, scope: Scope) => string;
}

/** Where an element stands: inside which items of repeats, and what their names mean there. */
interface Spot {
  readonly items: readonly number[];
  readonly scope: Scope;
  readonly indent: string;
  /** Inside a form; HTML knows no form in a form. */
  readonly inForm?: boolean;
}

/** Whether something below a control takes the focus itself. */
const holdsFocus = (control: Control): boolean =>
  control.children.some((child) => propertiesOf(kindOf(child)).has(tabindex.name) || holdsFocus(child));

/** What makes something pressable that no element of HTML is: by keys too, and told where it is read out. */
function pressing(control: Control, kind: Kind): Record<string, string> {
  const pressed = inForce(control.props['on.press']) ?? inForce(control.props['on.doublepress']);
  if (pressed === undefined || kind.group === 'act') return {};
  return { tabindex: '0', 'data-press': '', ...(holdsFocus(control) ? {} : { role: 'button' }) };
}

/** Attributes of controls that can be dragged, and of containers that take them. */
function carrying({ props }: Control): Record<string, string> {
  const isCarried = inForce(props.carries) !== undefined;
  const takes = inForce(props['on.drop']) !== undefined;
  if (!isCarried && !takes) return {};
  return {
    'data-cargo': unescapeBraces(inForce(props.cargo) ?? ''),
    ...(isCarried ? { 'data-carries': '', tabindex: '0' } : {}),
    ...(takes ? { 'data-takes': '' } : {}),
  };
}

/** A screen as HTML, indented. */
export function screenHtml(screen: Control, elements: Elements, indent: string): string {
  const names = effectiveNames(screen);
  const control = (at: Control, parent: Control | undefined, spot: Spot): string => {
    const kind = kindOf(at);
    const name = entryOf(names, at.id);
    const values = valuesOf(at, kind, { ...elements.circumstances, scope: spot.scope });
    const fullName = itemName(name, spot.items);
    const element = withTurn(kind.element(values, at.children, fullName), values.get(tabindex));
    const style = elements.styleOf(at, parent, spot.scope);
    const attributes: Record<string, string | number | boolean> = {
      class: [`k-${kind.name}`, ...(element.classes ?? []), name].join(' '),
      'data-name': fullName,
      ...element.attributes,
      ...pressing(at, kind),
      ...carrying(at),
      ...(style ? { style } : {}),
    };
    for (const property of kind.properties)
      if (property.type.refers?.to === 'picture' && property.page?.as === 'attribute')
        attributes[property.page.name ?? property.name] = pictureAddress(
          asText(values.get(property)),
          elements.assets,
          elements.circumstances.theme,
        );
    const { text, children, icon, copies } = element;
    const tag = spot.inForm && element.tag === 'form' ? 'div' : element.tag;
    return printElement(
      {
        tag,
        attributes,
        ...(text === undefined ? {} : { text }),
        ...(icon === undefined ? {} : { icon }),
        children: children ?? (kind.container ? at.children.map((_, index) => index) : []),
        ...(copies ? { copies } : {}),
      },
      spot.indent,
      (index, space) =>
        control(itemAt(at.children, index), at, {
          ...spot,
          indent: space,
          inForm: spot.inForm === true || tag === 'form',
        }),
      (around, space) => repeated(at, values, around, { ...spot, indent: space }),
    );
  };
  /** What is repeated: what an item looks like, for the script; and the items that are there at first. */
  const repeated = (at: Control, values: Values, around: Around, spot: Spot): string[] => {
    const { items, scope, indent: space } = spot;
    const name = repetitionOf(at)!.as;
    const item = (value: unknown, path: readonly number[], inner: string): string[] => {
      const within = around ? `${inner}  ` : inner;
      const made = at.children.map((child) =>
        control(child, at, {
          ...spot,
          items: path,
          scope: (wanted) => (wanted === name ? value : scope(wanted)),
          indent: within,
        }),
      );
      return around ? [printElement(around, inner, () => '', undefined, made)] : made;
    };
    const said = kindOf(at).said?.(values) ?? '';
    const all = said ? [] : kindOf(at).items!(values);
    const list = all.slice(0, all.length > longList ? writtenOfLong : mostItems);
    const pattern = item(list[0], [], `${space}  `).join('\n');
    return [
      `${space}<template>\n${pattern}\n${space}</template>`,
      ...(said ? [`${space}<div class="part-said" role="status">${escapeText(said)}</div>`] : []),
      ...list.flatMap((value, index) => item(value, [...items, index], space)),
    ];
  };
  return control(screen, undefined, { items: [], scope: elements.circumstances.scope, indent });
}

/** Shapes as SVG, on one line. */
const shapesText = (shapes: readonly Shape[]): string =>
  shapes
    .map(
      ([tag, attributes]) =>
        `<${tag}${Object.entries(attributes)
          .map(([name, value]) => ` ${name}="${escapeAttribute(String(value))}"`)
          .join('')}/>`,
    )
    .join('');

/** The element around each copy of a repeat's children. */
type Around = NonNullable<PageElement['copies']>['around'];

/**
 * @param child prints a child of the control, by its index.
 * @param copies prints what the control repeats.
 * @param inside what is in it, printed already.
 */
function printElement(
  element: PageElement,
  indent: string,
  child: (index: number, indent: string) => string,
  copies?: (around: Around, indent: string) => string[],
  inside?: readonly string[],
): string {
  const classes = element.classes ? { class: element.classes.join(' ') } : {};
  const attributes = Object.entries({ ...classes, ...element.attributes })
    .map(([name, value]: [string, string | number | boolean]) => {
      if (value === false || (value === '' && !mayBeEmpty.has(name))) return '';
      return value === true ? ` ${name}` : ` ${name}="${escapeAttribute(String(value))}"`;
    })
    .join('');
  const open = `${indent}<${element.tag}${attributes}>`;
  if (voidTags.has(element.tag)) return open;
  if (element.text !== undefined) return `${open}${escapeText(element.text)}</${element.tag}>`;
  if (element.icon !== undefined) return `${open}${shapesText(iconShapes(element.icon))}</${element.tag}>`;
  const inner = inside ?? [
    ...(element.children ?? []).map((entry) =>
      typeof entry === 'number'
        ? child(entry, `${indent}  `)
        : printElement(entry, `${indent}  `, child, copies),
    ),
    ...(element.copies && copies ? copies(element.copies.around, `${indent}  `) : []),
  ];
  if (inner.length === 0) return `${open}</${element.tag}>`;
  return `${open}\n${inner.join('\n')}\n${indent}</${element.tag}>`;
}
