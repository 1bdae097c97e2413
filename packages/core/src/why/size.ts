/** Puts the engine's reason for a size into arithmetic and a sentence. */

import type { Box } from '../layout/box.ts';
import type { ContentReason, LineRoom, SizeReason } from '../layout/reason.ts';
import { itemAt } from '../sure.ts';
import type { Term, Working } from './explanation.ts';
import { workOut } from './explanation.ts';
import type { ExplainedScreen, Found } from './find.ts';

export type Axis = 'width' | 'height';

/** A number as a person reads it: at most two digits behind the point. */
export const show = (value: number): string => String(Number(value.toFixed(2)) + 0);

/** Collects workings, each of which may use the results of those before it. */
export class Workings {
  readonly list: Working[] = [];

  /** @returns a term that stands for the result. */
  add(what: string, by: Working['by'], terms: readonly Term[]): Term {
    const result = workOut({ by, terms });
    this.list.push({ what, by, terms, result });
    return { what, value: result, from: this.list.length - 1 };
  }
}

type Rule<Name extends SizeReason['by']['rule']> = Extract<SizeReason['by'], { rule: Name }>;

const minus = (term: Term): Term => ({ ...term, value: -term.value });
const there = ({ value }: Term): boolean => value !== 0;

/** Words for an axis. */
export const words = {
  width: { large: 'wide', side: 'width', size: 'width', before: 'at the start', after: 'at the end' },
  height: { large: 'high', side: 'height', size: 'height', before: 'at the top', after: 'at the bottom' },
} as const;

/** Explains sizes of the boxes of one screen. */
export class SizeWords {
  constructor(private readonly on: ExplainedScreen) {}

  /** A box of a reason as a term. */
  private boxTerm(box: Box, value: number, what?: string): Term {
    const control = box.control;
    return control === undefined
      ? { what: what ?? 'a part', value }
      : { what: what ?? this.on.name(control), value, control };
  }

  /** The inner size of a box along an axis: its size less padding and border. */
  inner(workings: Workings, found: Found, axis: Axis): Term {
    const { laid } = found;
    const { padding, border } = laid.box.style;
    const control = this.on.controlOf(found);
    const sides =
      axis === 'width'
        ? [padding.start, padding.end, border.start, border.end]
        : [padding.top, padding.bottom, border.top, border.bottom];
    const { before, after } = words[axis];
    const name = this.on.name(control);
    return workings.add(`inside ${name}`, 'sum', [
      { what: `${name} is`, value: laid[axis], control },
      ...[
        { what: `padding ${before}`, value: -itemAt(sides, 0) },
        { what: `padding ${after}`, value: -itemAt(sides, 1) },
        { what: `border ${before}`, value: -itemAt(sides, 2) },
        { what: `border ${after}`, value: -itemAt(sides, 3) },
      ].filter(there),
    ]);
  }

  /** What was left to share out, or was lacking. */
  private left(workings: Workings, found: Found, axis: Axis, room: LineRoom, left: number): Term {
    const parent = found.parent!;
    const inside = room.byContent
      ? { what: `${this.on.name(this.on.controlOf(parent))} is as high as its content`, value: room.inner }
      : this.inner(workings, parent, axis);
    // A greatest or least size of the parent may have moved its inner size.
    const start: Term =
      Math.abs(inside.value - room.inner) < 0.05 ? inside : { ...inside, value: room.inner };
    const terms: Term[] = [
      start,
      minus({ what: 'gaps', value: room.gaps }),
      ...room.settled.flatMap(({ box, size, margin }) => [
        minus(this.boxTerm(box, size)),
        minus(this.boxTerm(box, margin, 'its margins')),
      ]),
      ...room.open.flatMap(({ box, base, margin }) => [
        minus(this.boxTerm(box, base)),
        minus(this.boxTerm(box, margin, 'its margins')),
      ]),
    ];
    const all = workings.add(left < 0 ? 'lacking' : 'left over', 'sum', [
      start,
      ...terms.slice(1).filter(there),
    ]);
    if (Math.abs(all.value - left) < 0.05) return all;
    // Shares that add up to less than one take only that part; and where nothing is left they get nothing.
    if (all.value !== 0)
      return workings.add('given out', 'product', [
        all,
        { what: left === 0 ? 'nothing to give' : 'shares together', value: left / all.value },
      ]);
    return all;
  }

  /** How high a box would be by its content. */
  content(workings: Workings, found: Found): Term | undefined {
    const content = this.on.contentOf(found);
    if (!content) return undefined;
    return this.contentTerm(workings, content.reason);
  }

  private contentTerm(workings: Workings, reason: ContentReason): Term {
    const frame = (value: number): Term => ({ what: 'padding and border', value });
    switch (reason.rule) {
      case 'stack':
        return workings.add(
          'its content',
          'sum',
          [
            ...reason.parts.map(({ box, size }) => this.boxTerm(box, size)),
            { what: 'gaps', value: reason.gaps },
            frame(reason.frame),
          ].filter((term, index) => there(term) || index === 0),
        );
      case 'lines':
        return workings.add(
          'its content',
          'sum',
          [
            ...reason.lines.map(({ largest, size }) =>
              largest?.control === undefined
                ? { what: 'a line', value: size }
                : {
                    what: `the line of ${this.on.name(largest.control)}`,
                    value: size,
                    control: largest.control,
                  },
            ),
            { what: 'gaps', value: reason.gaps },
            frame(reason.frame),
          ].filter((term, index) => there(term) || index === 0),
        );
      case 'words': {
        const lines = workings.add('its words', 'product', [
          { what: reason.count === 1 ? 'line' : 'lines', value: reason.count },
          { what: 'line height', value: reason.lineHeight },
        ]);
        return reason.frame === 0 ? lines : workings.add('its content', 'sum', [lines, frame(reason.frame)]);
      }
      case 'tracks':
        return workings.add('its rows', 'sum', [
          ...reason.tracks.map((value, index) => ({ what: `row ${index + 1}`, value })),
          { what: 'gaps', value: reason.gaps },
          frame(reason.frame),
        ]);
      case 'ratio': {
        let height = workings.add('by its ratio', 'product', [
          { what: 'width', value: reason.from },
          { what: 'height for width', value: reason.from === 0 ? 0 : reason.value / reason.from },
        ]);
        if (reason.most !== undefined && reason.most < height.value)
          height = workings.add('no higher than', 'least', [
            height,
            { what: 'max-height', value: reason.most },
          ]);
        if (reason.least !== undefined && reason.least > height.value)
          height = workings.add('no lower than', 'greatest', [
            height,
            { what: 'its content or padding', value: reason.least },
          ]);
        return height;
      }
      case 'own':
        return workings.add('its own size', 'sum', [
          { what: 'own height', value: reason.value },
          ...[frame(reason.frame)].filter(there),
        ]);
      case 'none':
        return workings.add('nothing inside counts', 'given', [frame(reason.frame)]);
    }
  }

  /** Its part of the room left over, or of the room that was lacking, added to its padding or content. */
  private shared(workings: Workings, found: Found, axis: Axis, by: Rule<'share' | 'gave way'>): Term {
    const left = this.left(workings, found, axis, by.room, by.left);
    const [parts, all] = by.rule === 'share' ? [by.parts, by.allParts] : [by.weight, by.allWeight];
    const part = workings.add(by.rule === 'share' ? 'its share' : 'it gives way by', 'product', [
      left,
      {
        what: by.rule === 'share' ? `${show(parts)} of ${show(all)} parts` : 'its part of all',
        value: all === 0 ? 0 : parts / all,
      },
    ]);
    if (by.base === 0) return part;
    return workings.add(by.rule === 'share' ? 'with what it has' : 'what is left of it', 'sum', [
      { what: by.rule === 'share' ? 'padding and border' : 'its content', value: by.base },
      part,
    ]);
  }

  /** As wide as its content, as far as there is room. */
  private fitted(workings: Workings, parent: Found, by: Rule<'fit'>): Term {
    const room = workings.add('room', 'sum', [
      {
        what: `inside ${this.on.name(this.on.controlOf(parent))}`,
        value: by.room,
        control: this.on.controlOf(parent),
      },
      ...[{ what: 'margins', value: -by.margin }].filter(there),
    ]);
    const narrowest = workings.add('no narrower than its longest word', 'greatest', [
      room,
      { what: 'smallest content', value: by.min },
    ]);
    return workings.add('no wider than its content', 'least', [
      narrowest,
      { what: 'whole content', value: by.max },
    ]);
  }

  /** As large as its container, edge to edge. */
  private stretched(workings: Workings, parent: Found, axis: Axis, by: Rule<'stretch'>): Term {
    let from: Term;
    if (by.area)
      from = workings.add('its cells', 'sum', [
        ...by.area.tracks.map((track) => ({
          what: `${axis === 'width' ? 'column' : 'row'} ${track.number}`,
          value: track.size,
          ...(track.raisedBy?.control === undefined ? {} : { control: track.raisedBy.control }),
        })),
        ...[{ what: 'gaps', value: by.area.gaps }].filter(there),
      ]);
    else if (by.to === 'parent') from = this.inner(workings, parent, axis);
    else
      from = workings.add(by.to === 'line' ? 'its line' : 'between its pins', 'given', [
        { what: axis, value: by.from },
      ]);
    if (Math.abs(from.value - by.from) > 0.05) from = { what: from.what, value: by.from };
    return by.margin === 0
      ? from
      : workings.add('without margins', 'sum', [from, { what: 'margins', value: -by.margin }]);
  }

  /** The arithmetic of a size before its limits. */
  private rule(workings: Workings, found: Found, axis: Axis, { by }: SizeReason): Term {
    const parent = found.parent!;
    const self = this.on.name(this.on.controlOf(found));
    switch (by.rule) {
      case 'number':
        return workings.add(`${self} asks for`, 'given', [{ what: axis, value: by.value }]);
      case 'percent':
        return workings.add(`${self} asks for`, 'product', [
          {
            what: `inside ${this.on.name(this.on.controlOf(parent))}`,
            value: by.of,
            control: this.on.controlOf(parent),
          },
          { what: `${show(by.fraction * 100)} %`, value: by.fraction },
        ]);
      case 'share':
      case 'gave way':
        return this.shared(workings, found, axis, by);
      case 'content': {
        // A height that was settled at another width is not what the content would need now.
        const natural = axis === 'height' ? this.on.contentOf(found) : undefined;
        return natural && Math.abs(natural.height - by.value) < 0.02
          ? this.contentTerm(workings, natural.reason)
          : workings.add('its content', 'given', [{ what: `content ${axis}`, value: by.value }]);
      }
      case 'fit':
        return this.fitted(workings, parent, by);
      case 'stretch':
        return this.stretched(workings, parent, axis, by);
      case 'ratio':
        return workings.add('by its ratio', 'product', [
          { what: axis === 'width' ? 'height' : 'width', value: by.from },
          { what: 'ratio', value: by.from === 0 ? 0 : by.value / by.from },
        ]);
      case 'view':
        return workings.add('the window', 'given', [{ what: axis, value: by.value }]);
    }
  }

  /** The arithmetic of a size, its limits included. */
  workings(found: Found, axis: Axis): Working[] {
    const workings = new Workings();
    const reason = found.reasons?.[axis];
    if (!reason) {
      this.screenSize(workings, found, axis);
      return workings.list;
    }
    let size = this.rule(workings, found, axis, reason);
    const { min, max } = reason.limits;
    if (max && max.value < size.value)
      size = workings.add('held by its greatest size', 'least', [
        size,
        { what: `max-${axis}`, value: max.value },
      ]);
    if (min && min.value > size.value + 1e-6)
      size = workings.add(
        min.automatic ? 'held up by its content' : 'held up by its least size',
        'greatest',
        [size, { what: min.automatic ? 'smallest content' : `min-${axis}`, value: min.value }],
      );
    if (size.value < 0)
      size = workings.add('never less than nothing', 'greatest', [size, { what: 'nothing', value: 0 }]);
    if (workings.list.length === 0) workings.add('its size', 'given', [size]);
    else if (size.from === undefined) workings.add('its size', 'given', [size]);
    return workings.list;
  }

  /** The screen itself, and parts that fill their container. */
  private screenSize(workings: Workings, found: Found, axis: Axis): void {
    const { view } = this.on;
    if (found.parent) {
      workings.add('it fills what it is in', 'given', [{ what: axis, value: found.laid[axis] }]);
      return;
    }
    const window: Term = { what: `the window is`, value: axis === 'width' ? view.width : view.height };
    const content =
      axis === 'height' && !found.laid.box.style.firm ? this.content(workings, found) : undefined;
    if (content) workings.add('the larger of both', 'greatest', [window, content]);
    else workings.add('the window', 'given', [window]);
  }
}
