/**
 * Makes nested rows, columns and grids of a pinboard on which controls were placed roughly, so that they look the same
 * here and hold at other widths. What was guessed is said.
 */

import { propertyOf } from '../cascade/attributes.ts';
import { plainArrangement } from '../cascade/plain-values.ts';
import { effectiveNames, freshName } from '../document/names.ts';
import { locate } from '../document/tree.ts';
import { type Control, inForce, type Project } from '../document/types.ts';
import { kindOf } from '../kinds/catalogue.ts';
import type { ScreenLayout } from '../layout/screen-layout.ts';
import { applySteps, type Step } from '../steps/step.ts';
import { settled } from './settle.ts';
import { outlineOf, type Placed, type Structure, structureOf } from './structure.ts';

/** How far edges that are meant to be equal may differ, CSS px. */
export const usualNoise = 6;

export interface ArrangedBoard {
  readonly steps: Step[];
  /** What was guessed, a sentence each. */
  readonly guesses: string[];
}

interface Area {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

const pinNames = ['left', 'right', 'top', 'bottom', 'center-x', 'center-y'];
const tidy = (value: number) => String(Math.round(value));
const middle = (values: readonly number[]) => {
  const sorted = values.toSorted((a, b) => a - b);
  return sorted[Math.floor(sorted.length / 2)] ?? 0;
};

/** How often what was evened out too far is corrected: centred things move by half of what they are pushed. */
const corrections = 8;

/**
 * @param id of a pinboard.
 * @param layOut lays out the screen that it is on, in any version of the project, at the size that counts.
 * @param noise how far edges may be evened out, and how far anything may lie from where it was placed, CSS px.
 * @param only children of the pinboard that are arranged, the others staying as they are; absent: all, and the pinboard
 *   itself becomes what holds them.
 * @returns undefined where it is no pinboard, or nothing on it is seen, or there is only one to arrange.
 */
export function arrangeBoard(
  project: Project,
  layOut: (project: Project) => ScreenLayout,
  id: string,
  newId: () => string,
  noise = usualNoise,
  only?: readonly string[],
): ArrangedBoard | undefined {
  const layout = layOut(project);
  const found = locate(project, id);
  const board = layout.byControl.get(id);
  if (!found?.parent || plainArrangement(found.control) !== 'pins' || !board) return undefined;
  const shown = found.control.children.flatMap((control): Placed[] => {
    const box = only && !only.includes(control.id) ? undefined : layout.byControl.get(control.id);
    return box ? [{ id: control.id, x: box.x, y: box.y, width: box.width, height: box.height }] : [];
  });
  if (shown.length === 0 || (only && shown.length === 1)) return undefined;
  const maker = new Maker(found.control, found.screen, newId, noise).from(shown);
  const { border } = board.box.style;
  const inner: Area = {
    x: board.x + border.start,
    y: board.y + border.top,
    width: board.width - border.start - border.end,
    height: board.height - border.top - border.bottom,
  };
  const { parent, index, control: before } = found;
  const structure = structureOf(shown, noise);
  let control = only ? maker.onBoard(structure, inner, before) : maker.board(structure, inner, before);
  if (!only) {
    // Hidden ones stay with it, at the end.
    const unseen = before.children.filter((each) => !layout.byControl.has(each.id));
    control = { ...control, children: [...control.children, ...unseen.map((each) => maker.freed(each))] };
  }
  const stepsFor = (instead: Control): Step[] =>
    only
      ? [
          ...shown.map((each): Step => ({ type: 'remove', control: each.id })),
          ...instead.children.map(
            (child): Step => ({
              type: 'insert',
              parent: id,
              index: before.children.findIndex((each) => each.id === shown[0]!.id),
              control: child,
            }),
          ),
        ]
      : [
          { type: 'remove', control: id },
          { type: 'insert', parent: parent.id, index, control: instead },
        ];
  const wanted = new Map(shown.map((each) => [each.id, each]));
  for (let round = 0; round < corrections; round++) {
    const applied = applySteps(project, stepsFor(control));
    if (!applied.ok) break;
    const now = layOut(applied.project);
    const offsetOf = (each: string) => {
      const [was, is] = [wanted.get(each), now.byControl.get(each)];
      if (!was || !is) return undefined;
      const lost = (side: 'width' | 'height') =>
        Math.abs(was[side] - is[side]) > noise &&
        inForce(locate(project, each)?.control.props[side]) !== undefined
          ? was[side]
          : undefined;
      return { x: was.x - is.x, y: was.y - is.y, width: lost('width'), height: lost('height') };
    };
    const onBoards = round < corrections / 2 ? undefined : (grid: Control) => maker.pinboardOf(grid);
    const next = settled(control, offsetOf, noise, onBoards);
    if (next === control) break;
    control = next;
  }
  return { steps: stepsFor(control), guesses: maker.guesses };
}

/** Props that a control gets in a container: what it says of size and place there. */
type Props = Record<string, string>;

class Maker {
  readonly guesses: string[] = [];
  private readonly names: Set<string>;
  private readonly controls: ReadonlyMap<string, Control>;

  constructor(
    board: Control,
    screen: Control,
    private readonly newId: () => string,
    private readonly noise: number,
  ) {
    this.names = new Set(effectiveNames(screen).values());
    this.controls = new Map(board.children.map((child) => [child.id, child]));
  }

  /** A control without what held it on the pinboard. */
  freed(control: Control): Control {
    const props = Object.fromEntries(
      Object.entries(control.props).filter(([name]) => !pinNames.includes(propertyOf(name))),
    );
    return { ...control, props };
  }

  /** The board itself as a container that fills the place it had. */
  board(structure: Structure, inner: Area, control: Control): Control {
    const content = structure.area;
    const sides = [
      content.y - inner.y,
      inner.x + inner.width - content.x - content.width,
      0,
      content.x - inner.x,
    ].map((side) => Math.max(0, side));
    const [top, end, , start] = sides as [number, number, number, number];
    // Both sides are one padding where they nearly are; what does not reach the far side leaves it free.
    const even = Math.abs(end - start) <= this.noise;
    const padding = `${tidy(top)} ${tidy(even ? (start + end) / 2 : start)} 0 ${tidy(even ? (start + end) / 2 : start)}`;
    const area: Area = {
      x: inner.x + Number(padding.split(' ')[3]),
      y: inner.y + Number(tidy(top)),
      width: inner.width - Number(padding.split(' ')[1]) - Number(padding.split(' ')[3]),
      height: content.height,
    };
    const column: Structure =
      structure.type === 'column' ? structure : { type: 'column', area: structure.area, parts: [structure] };
    const made = this.line(column, area);
    const kept = Object.fromEntries(
      Object.entries(control.props).filter(
        ([name]) =>
          name !== 'padding' &&
          kindOf({ ...control, kind: 'column' }).properties.some((property) => property.name === name),
      ),
    );
    return {
      ...control,
      kind: 'column',
      props: { ...kept, ...made.props, padding },
      children: made.children,
    };
  }

  /** A pinboard with nothing on it but what some of its children become, at the place that they had. */
  onBoard(structure: Structure, inner: Area, board: Control): Control {
    const { area } = structure;
    const place: Props = { left: tidy(area.x - inner.x), top: tidy(area.y - inner.y) };
    return { ...board, children: [this.make(structure, { width: tidy(area.width), ...place })] };
  }

  /** @param area what it has room in, from its parent. */
  private make(structure: Structure, props: Props): Control {
    switch (structure.type) {
      case 'leaf': {
        const control = this.freed(this.controls.get(structure.id)!);
        return { ...control, props: { ...control.props, ...props } };
      }
      case 'heap':
        return this.heap(structure, props);
      case 'grid':
        return this.grid(structure, props);
      default: {
        const made = this.line(structure, structure.area);
        return this.container(structure.type, { ...made.props, ...props }, made.children);
      }
    }
  }

  private container(kind: string, props: Props, children: readonly Control[]): Control {
    const name = freshName(kind, (candidate) => this.names.has(candidate));
    this.names.add(name);
    return { id: this.newId(), kind, name, props, children };
  }

  /** Things over each other stay on a pinboard of their own, where they were. */
  private heap({ area, ids }: Structure & { type: 'heap' }, props: Props): Control {
    const children = ids.map((id) => this.controls.get(id)!);
    this.guesses.push(`${ids.length} controls lie over each other; they stay on a pinboard.`);
    return this.container(
      'pinboard',
      { height: tidy(area.height), width: tidy(area.width), ...props },
      children.map((control) => ({
        ...this.freed(control),
        props: { ...this.freed(control).props, ...this.heapPins.get(control.id) },
      })),
    );
  }
  /** What stands in a grid that does not come out as it was placed, on a pinboard instead. */
  pinboardOf(grid: Control): Control {
    const placed = (control: Control): Placed[] => {
      const own = this.placedOf(control.id);
      return own ? [own] : control.children.flatMap(placed);
    };
    const all = placed(grid);
    const area = outlineOf(all);
    this.guesses.push(`${all.length} controls do not line up well enough; they stay on a pinboard.`);
    const kept = ['margin', 'align-self', 'justify-self', 'col', 'row'];
    return {
      ...grid,
      kind: 'pinboard',
      props: {
        ...Object.fromEntries(Object.entries(grid.props).filter(([name]) => kept.includes(name))),
        width: tidy(area.width),
        height: tidy(area.height),
      },
      children: all.map(({ id, x, y, width, height }) => {
        const control = this.freed(this.controls.get(id)!);
        const sizes = Object.fromEntries(
          Object.entries({ width, height }).flatMap(([side, size]) =>
            inForce(control.props[side]) === undefined ? [] : [[side, tidy(size)]],
          ),
        );
        const pins = { left: tidy(x - area.x), top: tidy(y - area.y) };
        return { ...control, props: { ...control.props, ...sizes, ...pins } };
      }),
    };
  }

  /** Where the members of heaps lie in them. */
  private readonly heapPins = new Map<string, Props>();

  /** One gap for all, where they nearly are the same; else the least, and what is more is said otherwise. */
  private gapOf(gaps: readonly number[]): number {
    if (gaps.length === 0) return 0;
    const usual = middle(gaps);
    const regular = gaps.every((each) => Math.abs(each - usual) <= 2 * this.noise);
    return Math.max(0, Math.round(regular ? usual : Math.min(...gaps)));
  }

  /** Whether a size is one of its own rather than one by content. */
  private own(structure: Structure, side: 'width' | 'height'): boolean {
    return structure.type === 'leaf' && inForce(this.controls.get(structure.id)!.props[side]) !== undefined;
  }

  /** A row or a column: its gap, how its parts lie across it, what each of them says of its size. */
  private line(
    structure: Structure & { type: 'row' | 'column' },
    area: Area,
  ): { props: Props; children: Control[] } {
    const { type, parts } = structure;
    const across = type === 'column';
    const [main, cross] = across ? (['y', 'x'] as const) : (['x', 'y'] as const);
    const [mainSize, crossSize] = across ? (['height', 'width'] as const) : (['width', 'height'] as const);
    const gaps = parts
      .slice(1)
      .map(({ area: next }, index) => next[main] - parts[index]!.area[main] - parts[index]!.area[mainSize]);
    const gap = this.gapOf(gaps);
    const props: Props = gap > 0 ? { gap: String(gap) } : {};
    const equal = (a: number, b: number) => Math.abs(a - b) <= this.noise;
    const lies = (part: Area): 'start' | 'center' | 'end' | 'stretch' | number => {
      const before = part[cross] - area[cross];
      const after = area[cross] + area[crossSize] - part[cross] - part[crossSize];
      if (equal(before, 0) && equal(after, 0) && equal(before + after, 0)) return 'stretch';
      if (equal(before, 0)) return 'start';
      if (equal(after, 0)) return 'end';
      return equal(before, after) ? 'center' : before;
    };
    const lying = parts.map((part) => lies(part.area));
    const counts = new Map<string, number>();
    for (const each of lying) counts.set(String(each), (counts.get(String(each)) ?? 0) + 1);
    const usual = ['start', 'center', 'end'].toSorted(
      (a, b) => (counts.get(b) ?? 0) - (counts.get(a) ?? 0),
    )[0]!;
    const align =
      lying.every((each) => each === usual || each === 'stretch') && counts.has(usual) ? usual : undefined;
    if (align) props.align = align;
    if (align === 'center') this.guesses.push(`Parts of a ${type} are centred.`);
    // Parts of a row that are as wide as each other and fill it share it.
    const widths = parts.map((part) => part.area.width);
    const fills = equal(
      parts.reduce((sum, part) => sum + part.area.width, 0) + gap * (parts.length - 1),
      area.width,
    );
    const each = (area.width - gap * (parts.length - 1)) / parts.length;
    const shares = !across && parts.length > 1 && fills && widths.every((width) => equal(width, each));
    if (shares) this.guesses.push(`${parts.length} parts of a row share it evenly.`);
    // The last part at the far edge, with more room before it than elsewhere, stays at that edge.
    const spread =
      !across &&
      !shares &&
      parts.length === 2 &&
      gap > 2 * this.noise &&
      equal(parts[1]!.area.x + parts[1]!.area.width, area.x + area.width) &&
      equal(parts[0]!.area.x, area.x);
    if (spread) {
      props.justify = 'between';
      delete props.gap;
      this.guesses.push('Two parts keep to the two ends of their row.');
    }
    let at = across ? area.y : area.x;
    let tallest = 0;
    const children = parts.map((part, index) => {
      const own: Props = {};
      const place = lying[index]!;
      const wanted = part.area[main];
      if (index > 0) at += spread ? wanted - at : gap;
      const drift = wanted - at;
      // Small differences are evened out; what adds up to more is kept as a margin.
      let before = 0;
      if (Math.abs(drift) > this.noise / 2 && !spread && !shares) {
        before = Math.round(drift);
        at += before;
      }
      let aside = 0;
      if (typeof place === 'number') {
        aside = Math.round(place);
        own['align-self'] = 'start';
      } else if (place !== (align ?? 'stretch')) own['align-self'] = place;
      if (before !== 0 || aside !== 0)
        own.margin = across ? `${before} 0 0 ${aside}` : `${aside} 0 0 ${before}`;
      this.sizes(part, own, { across, stretches: place === 'stretch', shares });
      at += part.area[mainSize];
      tallest = Math.max(tallest, part.area[crossSize] + aside);
      return this.make(part, own);
    });
    // Parts that lie at different heights make a row higher than any of them.
    if (!across && area.height - tallest > 1) props['min-height'] = tidy(area.height);
    return { props, children };
  }

  /** What a part says of its own size in a row or a column. */
  private sizes(
    part: Structure,
    own: Props,
    { across, stretches, shares }: { across: boolean; stretches: boolean; shares: boolean },
  ): void {
    const leaf = part.type === 'leaf' ? this.controls.get(part.id)! : undefined;
    const set = (side: 'width' | 'height', value: string) => {
      own[side] = value;
    };
    if (shares) set('width', 'share');
    else if (!across && (leaf === undefined || this.own(part, 'width') || this.pinned(leaf, 'width')))
      set('width', tidy(part.area.width));
    if (across) {
      if (stretches) {
        if (this.own(part, 'width')) set('width', 'share');
      } else if (leaf === undefined || this.own(part, 'width') || this.pinned(leaf, 'width'))
        set('width', tidy(part.area.width));
    }
    // Heights follow from the content, but for what has none or was given one.
    if (part.type === 'heap') set('height', tidy(part.area.height));
    else if (leaf && (this.own(part, 'height') || this.pinned(leaf, 'height')))
      set('height', tidy(part.area.height));
    if (!across && stretches && leaf && inForce(leaf.props.height) !== undefined) {
      set('height', tidy(part.area.height));
      own['align-self'] = 'start';
    }
    if (part.type === 'heap') this.keepPins(part);
  }

  /** Whether two opposite pins give a control its size. */
  private pinned(control: Control, side: 'width' | 'height'): boolean {
    const [near, far] = side === 'width' ? ['left', 'right'] : ['top', 'bottom'];
    return inForce(control.props[near!]) !== undefined && inForce(control.props[far!]) !== undefined;
  }

  private keepPins({ area, ids }: Structure & { type: 'heap' }): void {
    for (const id of ids) {
      const placed = this.placedOf(id);
      if (placed) this.heapPins.set(id, { left: tidy(placed.x - area.x), top: tidy(placed.y - area.y) });
    }
  }
  private placedOf: (id: string) => Placed | undefined = () => undefined;

  /** Tells where things were, for those that stay on a pinboard. */
  from(placed: readonly Placed[]): this {
    const byId = new Map(placed.map((each) => [each.id, each]));
    this.placedOf = (id) => byId.get(id);
    return this;
  }

  /** How something lies in a cell: a word for it, and what is left to say by a margin at its start. */
  private placeIn(
    before: number,
    size: number,
    room: number,
  ): { word: 'start' | 'center' | 'end' | 'stretch'; offset: number } {
    const after = room - before - size;
    const near = (value: number) => Math.abs(value) <= this.noise;
    if (near(before)) return { word: near(after) && near(before + after) ? 'stretch' : 'start', offset: 0 };
    if (near(after)) return { word: 'end', offset: 0 };
    return Math.abs(before - after) <= this.noise
      ? { word: 'center', offset: 0 }
      : { word: 'start', offset: Math.round(before) };
  }

  private grid({ cells }: Structure & { type: 'grid' }, props: Props): Control {
    const columnAreas = cells[0]!.map((_, column) => outlineOf(cells.map((row) => row[column]!.area)));
    const rowAreas = cells.map((row) => outlineOf(row.map((cell) => cell.area)));
    const between = (areas: readonly Area[], axis: 'x' | 'y') =>
      areas
        .slice(1)
        .map(
          (next, index) =>
            next[axis] - areas[index]![axis] - areas[index]![axis === 'x' ? 'width' : 'height'],
        );
    const columnGap = this.gapOf(between(columnAreas, 'x'));
    const rowGap = this.gapOf(between(rowAreas, 'y'));
    const widths = columnAreas.map(({ width }) => width);
    const even = widths.every((width) => Math.abs(width - middle(widths)) <= this.noise);
    if (even) this.guesses.push(`A grid of ${widths.length} columns of one width.`);
    // A grid as wide as its container: its widest column takes what is left at other widths.
    const fills = props.width === undefined && !even;
    const widest = widths.indexOf(Math.max(...widths));
    if (fills) this.guesses.push(`Column ${widest + 1} of a grid takes the room that is left.`);
    // A track reaches from where its parts begin to where the next one's do.
    const track = (areas: readonly Area[], axis: 'x' | 'y', gap: number, index: number) => {
      const size = axis === 'x' ? 'width' : 'height';
      const next = areas[index + 1];
      return Math.round(next ? next[axis] - areas[index]![axis] - gap : areas[index]![size]);
    };
    const children = cells.flatMap((row, rowIndex) =>
      row.map((cell, columnIndex) => {
        const own: Props = { col: String(columnIndex + 1), row: String(rowIndex + 1) };
        const column = columnAreas[columnIndex]!;
        const line = rowAreas[rowIndex]!;
        const inline = this.placeIn(
          cell.area.x - column.x,
          cell.area.width,
          track(columnAreas, 'x', columnGap, columnIndex),
        );
        const block = this.placeIn(
          cell.area.y - line.y,
          cell.area.height,
          track(rowAreas, 'y', rowGap, rowIndex),
        );
        own['justify-self'] = inline.word;
        own['align-self'] = block.word;
        if (inline.offset !== 0 || block.offset !== 0) own.margin = `${block.offset} 0 0 ${inline.offset}`;
        const leaf = cell.type === 'leaf' ? this.controls.get(cell.id)! : undefined;
        if (leaf && (this.own(cell, 'width') || this.pinned(leaf, 'width')))
          own.width =
            inline.word === 'stretch' && (even || (fills && columnIndex === widest))
              ? 'share'
              : tidy(cell.area.width);
        if (!leaf && inline.word !== 'stretch') own.width = tidy(cell.area.width);
        if (leaf && (this.own(cell, 'height') || this.pinned(leaf, 'height')))
          own.height = tidy(cell.area.height);
        if (cell.type === 'heap') this.keepPins(cell);
        return this.make(cell, own);
      }),
    );
    return this.container(
      'grid',
      {
        columns:
          even && props.width === undefined
            ? `repeat(${widths.length}, 1fr)`
            : columnAreas
                .map((_, index) =>
                  fills && index === widest ? '1fr' : track(columnAreas, 'x', columnGap, index),
                )
                .join(' '),
        rows: rowAreas.map((_, index) => `minmax(${track(rowAreas, 'y', rowGap, index)}, auto)`).join(' '),
        ...(rowGap === columnGap
          ? { gap: String(rowGap) }
          : { 'row-gap': String(rowGap), 'column-gap': String(columnGap) }),
        ...props,
      },
      children,
    );
  }
}
