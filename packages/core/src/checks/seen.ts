/**
 * What was found inside of boxes. What is inside of one follows from its own width (and its height, where that is
 * given), wherever it stands; so it needs no second look while it keeps within widths at which it was looked at, however
 * much around it changes.
 */

import type { Box } from '../layout/box.ts';
import type { Laid } from '../layout/laid.ts';
import type { Alike } from '../layout/record.ts';
import { alikeOf } from '../layout/record.ts';
import { between, type Taken, within } from './taken.ts';

/** How far controls reach, from a start side, CSS px. */
export interface Reach {
  readonly low: number;
  readonly high: number;
}

/** Of no controls. */
export const nowhere: Reach = { low: Infinity, high: -Infinity };

/** What reaches as far as two things do. */
export function united(one: Reach, other: Reach): Reach {
  if (other.low >= one.low && other.high <= one.high) return one;
  return { low: Math.min(one.low, other.low), high: Math.max(one.high, other.high) };
}

export const moved = (reach: Reach, by: number): Reach =>
  reach === nowhere ? nowhere : { low: reach.low + by, high: reach.high + by };

/** What was found inside of a box on a stretch of widths. */
export interface Seen {
  readonly taken: readonly Taken[];
  /** Whether it is in order wherever it stands, as long as all of it is on the screen. */
  readonly isTidy: boolean;
  /** How far the controls in it reach from its own start side, at both ends. */
  readonly reach: readonly [start: Reach, end: Reach];
}

/** A box on a stretch of widths of its screen. */
export interface Seeing {
  readonly start: Laid;
  readonly end: Laid;
  /** Where it begins at both ends, from the screen's start side. */
  readonly startX: number;
  readonly endX: number;
  /** Widths of the screen, CSS px. */
  readonly from: number;
  readonly to: number;
  /** All else that findings depend on. */
  readonly conditions: string;
  /** Whether fingers are counted on. */
  readonly touch: boolean;
}

/** Something that was seen where it stood. */
interface There extends Seen, Omit<Seeing, 'conditions' | 'touch'> {
  readonly alike: Alike | undefined;
}

/** In order, with all that is in it, among answers that were decided alike: all between two widths is linear. */
interface InOrder {
  readonly alike: Alike;
  readonly touch: boolean;
  /** The box's own widths, and how far things reach at them. */
  readonly from: number;
  readonly to: number;
  readonly atFrom: Reach;
  readonly atTo: Reach;
}

/** Most entries of one list: a screen has a few dozen stretches in each of its conditions. */
const mostKept = 128;

/** Sizes are rounded to 64ths; so they may be this far from a straight line. */
const unit = 1 / 64;
const isNear = (one: number, other: number): boolean => Math.abs(one - other) <= unit + 1e-6;

const isFree = ({ asked }: Laid): boolean => Number.isNaN(asked);

/** The set that both answers belong to, where their height was free and they were decided alike. */
function setOf({ start, end }: Pick<Seeing, 'start' | 'end'>): Alike | undefined {
  if (!isFree(start) || !isFree(end)) return undefined;
  const alike = alikeOf(start);
  return alike !== undefined && alike === alikeOf(end) ? alike : undefined;
}

export class SeenBoxes {
  private readonly inOrder = new WeakMap<Box, InOrder[]>();
  private readonly there = new WeakMap<Box, Map<string, There[]>>();

  /** What was found inside of a box; undefined: it was not looked into. */
  of(seeing: Seeing): Seen | undefined {
    const alike = setOf(seeing);
    const { start, end, touch, conditions } = seeing;
    const low = Math.min(start.width, end.width);
    const high = Math.max(start.width, end.width);
    if (alike)
      for (const each of this.inOrder.get(start.box) ?? nothing)
        if (each.alike.whole === alike && each.from <= low && high <= each.to && (each.touch || !touch))
          return {
            taken: nothing,
            isTidy: true,
            reach: [reachAt(each, start.width), reachAt(each, end.width)],
          };
    for (const each of this.there.get(start.box)?.get(conditions) ?? nothing) {
      if (each.from > seeing.from || each.to < seeing.to) continue;
      if (each.start === start && each.end === end && each.from === seeing.from && each.to === seeing.to) {
        if (each.startX === seeing.startX && each.endX === seeing.endX) return each;
      } else if (alike !== undefined && each.alike?.whole === alike && goesAlong(each, seeing)) {
        const part = (width: number): Reach => reachAt(ends(each), width);
        return {
          taken: within(each.taken, seeing.from, seeing.to),
          isTidy: each.isTidy,
          reach: [part(start.width), part(end.width)],
        };
      }
    }
    return undefined;
  }

  keep(seeing: Seeing, seen: Seen): void {
    const alike = setOf(seeing);
    const { start, end, startX, endX, from, to, conditions, touch } = seeing;
    if (alike && seen.isTidy && seen.taken.length === 0)
      this.keepInOrder(alike, touch, ends({ start, end, ...seen }), start.box);
    else {
      const lists = this.there.get(start.box) ?? new Map<string, There[]>();
      this.there.set(start.box, lists);
      put(lists.get(conditions) ?? [], { start, end, startX, endX, from, to, alike, ...seen }, (list) =>
        lists.set(conditions, list),
      );
    }
  }

  /** Widths that touch known ones become one with them. */
  private keepInOrder(
    alike: Alike,
    touch: boolean,
    seen: Pick<InOrder, 'from' | 'to' | 'atFrom' | 'atTo'>,
    box: Box,
  ): void {
    let { from, to, atFrom, atTo } = seen;
    const apart = (this.inOrder.get(box) ?? []).filter((each) => {
      const isOne =
        each.alike.whole === alike &&
        each.touch === touch &&
        each.from <= to + unit &&
        from <= each.to + unit;
      if (!isOne) return true;
      if (each.from < from) ({ from, atFrom } = each);
      if (each.to > to) ({ to, atTo } = each);
      return false;
    });
    put(apart, { alike, touch, from, to, atFrom, atTo }, (list) => this.inOrder.set(box, list));
  }
}

const nothing: readonly never[] = [];

function put<Entry>(list: Entry[], entry: Entry, keep: (list: Entry[]) => void): void {
  if (list.length >= mostKept) list.shift();
  list.push(entry);
  keep(list);
}

/** Whether a box is as wide on a part of a stretch, and stands where it stood on the whole of it. */
function goesAlong(known: There, { from, to, start, end, startX, endX }: Seeing): boolean {
  const at = (a: number, b: number, width: number) => between(known.from, known.to, [a, b], width);
  return (
    isNear(at(known.start.width, known.end.width, from), start.width) &&
    isNear(at(known.start.width, known.end.width, to), end.width) &&
    isNear(at(known.startX, known.endX, from), startX) &&
    isNear(at(known.startX, known.endX, to), endX)
  );
}

/** How far something reaches, by the widths of its box: the smaller one first. */
function ends({
  start,
  end,
  reach,
}: Pick<There, 'start' | 'end' | 'reach'>): Pick<InOrder, 'from' | 'to' | 'atFrom' | 'atTo'> {
  const [one, other] = reach;
  return start.width <= end.width
    ? { from: start.width, to: end.width, atFrom: one, atTo: other }
    : { from: end.width, to: start.width, atFrom: other, atTo: one };
}

/** The farthest of several linear reaches lies below the line between its two ends, so that line is on the safe side. */
function reachAt(
  { from, to, atFrom, atTo }: Pick<InOrder, 'from' | 'to' | 'atFrom' | 'atTo'>,
  width: number,
): Reach {
  if (to === from || atFrom === nowhere || atTo === nowhere) return atFrom;
  return {
    low: between(from, to, [atFrom.low, atTo.low], width),
    high: between(from, to, [atFrom.high, atTo.high], width),
  };
}
