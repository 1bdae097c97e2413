/** Bands and orientations as one edits for them. */

import {
  type Band,
  type Control,
  declaredStates,
  type Finding,
  itemAt,
  kindOf,
  type Project,
  pathTo,
  scopeParts,
  statesOf,
} from '@hovrin/core';
import { type ScreenSize, usualSizes } from '../sizes.ts';

/** The band that a width lies in. */
export const bandAt = ({ bands }: Project, width: number): Band | undefined =>
  bands.toSorted((a, b) => b.from - a.from).find(({ from }) => from <= width);

export function scopeWords(project: Project, scope: string): string {
  const { width, state } = scopeParts(project, scope);
  const widths = widthWords(project, width);
  if (state === '') return widths;
  return width === '' ? `While ${stateWord(state)}` : `${widths}, while ${stateWord(state)}`;
}

function widthWords({ bands }: Project, width: string): string {
  if (width === '') return 'All widths';
  if (width === 'portrait') return 'Upright only';
  if (width === 'landscape') return 'Across only';
  const band = bands.find(({ name }) => name === width);
  return `${band?.label ?? width} and up`;
}

/** A state in a sentence that begins with "while". */
export const stateWord = (state: string): string =>
  ({ hover: 'hovered', focus: 'focused', invalid: 'not valid' })[state] ?? state;

/** The states that may be edited for: those that all of some controls have, then their own ones. */
export function statesFor(project: Project, controls: readonly Control[]): string[] {
  const [first, ...others] = controls;
  if (!first) return [];
  const builtIn = statesOf(kindOf(first)).filter((state) =>
    others.every((each) => statesOf(kindOf(each)).includes(state)),
  );
  const own = pathTo(project, first.id).flatMap(declaredStates);
  return [...builtIn, ...new Set(own)];
}

/** A size at which what is edited for shows; undefined where the present one does. */
export function sizeFor(
  project: Project,
  whole: string,
  { width, height }: ScreenSize,
): Partial<ScreenSize> | undefined {
  const { width: scope } = scopeParts(project, whole);
  if (scope === '') return undefined;
  if (scope === 'portrait') return width > height ? { width: height, height: width } : undefined;
  if (scope === 'landscape') return width <= height ? { width: height + 1, height: width } : undefined;
  const band = project.bands.find(({ name }) => name === scope);
  if (!band || width >= band.from) return undefined;
  const usual = usualSizes.find((size) => bandAt(project, size.width)?.name === scope);
  return usual ? { width: usual.width, height: usual.height } : { width: band.from };
}

/** The band of a width as a scope; the lowest one is all widths. */
export function upperBand(project: Project, width: number): string {
  const band = bandAt(project, width);
  return band && band.from > 0 ? band.name : '';
}

/** Where the next band begins; behind the last one, the first again at a usual width. */
export const nextBand = ({ bands }: Project, width: number): number =>
  bands.toSorted((a, b) => a.from - b.from).find(({ from }) => from > width)?.from ??
  itemAt(usualSizes, 0).width;

/** The next width at which something is wrong; behind the last one, the first again. */
export function nextProblem(findings: readonly Finding[], width: number): number | undefined {
  const starts = findings
    .filter(({ severity }) => severity === 'error')
    .flatMap(({ where }) =>
      where.filter(({ textScale }) => textScale === 1).map(({ from }) => Math.ceil(from)),
    )
    .toSorted((a, b) => a - b);
  return starts.find((start) => start > width) ?? starts[0];
}
