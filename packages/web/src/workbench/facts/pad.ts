/**
 * The pad: where children stand in their container, or a control in its cell, as places that one sees. It sets `align` and
 * `justify` of the container, or `align-self` and `justify-self` of the control (CSS Box Alignment 3).
 */
import {
  applySteps,
  type Control,
  kindIn,
  type Project,
  type Property,
  plainArrangement,
  type Step,
} from '@hovrin/core';
import { shownValue } from '../fields/shownValue.ts';

/** Near edge, middle, far edge. */
export const places = ['start', 'center', 'end'] as const;
export type Place = (typeof places)[number];

export const isPlace = (word: string): word is Place => (places as readonly string[]).includes(word);

/** One of the two directions of a pad. */
export interface PadAxis {
  readonly property: Property;
  /** The word in force. */
  readonly value: string;
  /** What else the property takes: `stretch`, `baseline`, `between` … */
  readonly others: readonly string[];
  /** It follows an expression: the pad does not set it. */
  readonly isBound: boolean;
}

export interface Pad {
  /** Left to right, or right to left. */
  readonly x: PadAxis | undefined;
  readonly y: PadAxis | undefined;
}

function axisOf(project: Project, control: Control, name: string, scope: string): PadAxis | undefined {
  const property = kindIn(project, control).properties.find((each) => each.name === name);
  if (!property) return undefined;
  const { inForce, elsewhere, bound } = shownValue(project, [control], property, scope);
  return {
    property,
    value: inForce || elsewhere || '',
    others: property.type.words.filter((word) => !isPlace(word)),
    isBound: bound,
  };
}

/** How a container stands its children; undefined where it has no such properties: a pinboard. */
export function padInside(project: Project, control: Control, scope: string): Pad | undefined {
  const like = kindIn(project, control).properties.find(({ name }) => name === 'like');
  const said = like && shownValue(project, [control], like, scope);
  const manner = said ? said.inForce || said.elsewhere : plainArrangement(control);
  const align = axisOf(project, control, 'align', scope);
  const justify = axisOf(project, control, 'justify', scope);
  if (!align && !justify) return undefined;
  return manner === 'column' ? { x: align, y: justify } : { x: justify, y: align };
}

/** Where a control stands in its row, column, or cell. */
export function padInParent(
  project: Project,
  control: Control,
  parent: Control,
  scope: string,
): Pad | undefined {
  const across = plainArrangement(parent);
  if (across === 'pins') return undefined;
  const align = axisOf(project, control, 'align-self', scope);
  if (!align) return undefined;
  if (across === 'row') return { x: undefined, y: align };
  if (across === 'column') return { x: align, y: undefined };
  return { x: axisOf(project, control, 'justify-self', scope), y: align };
}

/** What a press on the pad sets: words for the directions; null: what holds where nothing is said. */
export interface Picked {
  readonly x?: string | null;
  readonly y?: string | null;
}

/** What a press on a place means: that place, or back to what holds otherwise where it has it already. */
export function pickPlace({ x, y }: Pad, across: Place, down: Place): Picked {
  const isThere = (!x || x.value === across) && (!y || y.value === down);
  return {
    ...(x && !x.isBound ? { x: isThere ? null : across } : {}),
    ...(y && !y.isBound ? { y: isThere ? null : down } : {}),
  };
}

/** What a press on one of the other words means. */
export const pickWord = (pad: Pad, axis: 'x' | 'y', word: string): Picked => ({
  [axis]: pad[axis]?.value === word ? null : word,
});

/** The steps of a press; a word that holds anyway is not said. */
export function padSteps(
  project: Project,
  control: Control,
  pad: Pad,
  picked: Picked,
  scope: string,
): readonly Step[] {
  return (['x', 'y'] as const).flatMap((axis): Step[] => {
    const own = pad[axis];
    const word = picked[axis];
    if (!own || word === undefined) return [];
    const { attribute, elsewhere } = shownValue(project, [control], own.property, scope);
    const value = word === null || word === elsewhere ? null : word;
    if ((control.props[attribute] ?? null) === value) return [];
    return [{ type: 'set', control: control.id, property: attribute, value }];
  });
}

/** The project as it would be after a press; undefined where nothing would change. */
export function padPreview(project: Project, steps: readonly Step[]): Project | undefined {
  const applied = steps.length > 0 ? applySteps(project, steps) : undefined;
  return applied?.ok ? applied.project : undefined;
}

/** What a press would set, in words: `align of counts: center`. */
export const padWords = (name: string, steps: readonly Step[]): string =>
  steps
    .flatMap((step) =>
      step.type === 'set'
        ? `${step.property} of ${name}: ${step.value === null ? 'not said' : String(step.value)}`
        : [],
    )
    .join(', ');
