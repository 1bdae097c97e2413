/** Which words of a control stand at a point of the bench, and in which property they are said. */
import {
  asText,
  type Control,
  entriesType,
  hasExpression,
  inForce,
  kindIn,
  locate,
  ownId,
  type Project,
  type Property,
  type ScreenBox,
  type ScreenLayout,
  sampleOf,
} from '@hovrin/core';
import type { Point } from './drop.ts';

/** Words that can be typed where they stand. */
export interface WordsAt {
  readonly control: string;
  readonly property: string;
  /** Of a list of entries: which, from 0. */
  readonly entry?: number;
}

/** Words as they compare: set in capitals or not, on one line or several. */
const plain = (words: string): string => words.replace(/\s+/g, '').toLowerCase();

const wordsOf = ({ lines }: ScreenBox): string => lines.map(({ text }) => text).join(' ');

/** The control that a box belongs to. */
function ownerOf(layout: ScreenLayout, box: ScreenBox): string | undefined {
  let at: ScreenBox | undefined = box;
  while (at && at.control === undefined) at = layout.boxes[at.parent];
  return at?.control;
}

/** What a property shows as everything begins. */
function shownText(project: Project, control: Control, property: Property): string {
  const text = inForce(control.props[property.name]) ?? '';
  if (!hasExpression(text)) return text.replaceAll('{{', '{').replaceAll('}}', '}');
  const sample = sampleOf(project, control, text);
  return 'value' in sample ? asText(sample.value) : '';
}

function entryOf(control: Control, property: Property, words: string): number {
  const text = inForce(control.props[property.name]) ?? '';
  const read = hasExpression(text) ? undefined : entriesType.read(text);
  return read?.ok ? read.value.findIndex(({ label }) => plain(label) === words) : -1;
}

/** The words that a box shows, as a property says them. */
export function wordsIn(project: Project, control: Control, box: ScreenBox): WordsAt | undefined {
  const words = plain(wordsOf(box));
  const { properties } = kindIn(project, control);
  const said = properties.filter(({ group, type }) => group === 'content' && type.field === 'words');
  const match =
    said.find((property) => words !== '' && plain(shownText(project, control, property)) === words) ??
    (box.control === control.id && said.length > 0 ? said[0] : undefined);
  if (match) return { control: control.id, property: match.name };
  for (const property of properties.filter(({ type }) => type.field === 'entries')) {
    const entry = words === '' ? -1 : entryOf(control, property, words);
    if (entry >= 0) return { control: control.id, property: property.name, entry };
  }
  return undefined;
}

/** The box that shows some words. */
export function boxOfWords(
  project: Project,
  layout: ScreenLayout,
  { control: id, property, entry }: WordsAt,
): ScreenBox | undefined {
  const control = locate(project, id)?.control;
  if (!control) return undefined;
  const own = layout.boxes.filter((box) => box.lines.length > 0 && ownerOf(layout, box) === id);
  return own.find((box) => {
    const said = wordsIn(project, control, box);
    return said?.property === property && said.entry === entry;
  });
}

/** The words at a point. Those of a component's parts belong to the component. */
export function wordsAt(project: Project, layout: ScreenLayout, { x, y }: Point): WordsAt | undefined {
  const box = layout.boxes.findLast(
    (each) =>
      each.lines.length > 0 &&
      x >= each.x &&
      y >= each.y &&
      x <= each.x + each.width &&
      y <= each.y + each.height,
  );
  const owner = box && ownerOf(layout, box);
  if (!box || owner === undefined || ownId(owner) !== owner) return undefined;
  const control = locate(project, owner)?.control;
  return control && wordsIn(project, control, box);
}
