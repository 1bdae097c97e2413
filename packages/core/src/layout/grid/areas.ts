/** Items of a grid in their areas: how large an area is, and how an item lies in it (CSS Grid 1 §6, Align 3 §6). */

import type { Align } from '../../values/css.ts';
import { layByContent, layOut, layStretched } from '../ask.ts';
import type { Box, GridContent } from '../box.ts';
import { fixed, free, type Given, type Laid } from '../laid.ts';
import { plainClamp, plainMax, plainMin } from '../plain-limits.ts';
import type { AreaReason, SizeRule } from '../reason.ts';
import type { Pass } from '../record.ts';
import {
  across,
  down,
  fills,
  hasRatio,
  heightRange,
  isFraction,
  isShare,
  pixels,
  widthByRatio,
  widthRange,
} from '../sizes.ts';
import { keepsWidthOf, leastByContent, widthsWithin } from '../widths.ts';
import { type Carried, carriesAcross } from './carried.ts';
import type { Placed } from './placement.ts';
import { gapsOf, isFlexible, type SizedTrack } from './sized-tracks.ts';

/** The size of an area: its tracks and the gaps between them. */
export function areaSize(tracks: readonly SizedTrack[], from: number, span: number, gap: number): number {
  const over = tracks.slice(from, from + span);
  return over.reduce((sum, { base }) => sum + base, 0) + gapsOf(over, gap);
}

/** The tracks under an item, for a reason. */
export function areaReason(
  tracks: readonly SizedTrack[],
  from: number,
  span: number,
  gap: number,
): AreaReason {
  const over = tracks.slice(from, from + span);
  return {
    tracks: over.map(({ base, raisedBy, track }, index) => ({
      number: from + index + 1,
      size: base,
      raisedBy,
      flexible: isFlexible(track),
    })),
    gaps: gapsOf(over, gap),
  };
}

/** Where each track begins, from the content's start. */
export function trackStarts(tracks: readonly SizedTrack[], gap: number): number[] {
  const starts: number[] = [];
  let at = 0;
  let first = true;
  for (const { base, collapsed } of tracks) {
    if (!collapsed) {
      if (!first) at += gap;
      first = false;
    }
    starts.push(at);
    at += base;
  }
  return starts;
}

/** How an item lies in its area. */
export function justifyOf({ style }: Box, content: GridContent): Exclude<Align, 'baseline'> {
  if (isShare(style.width)) return 'stretch';
  const word = style.justifySelf ?? content.justify;
  // Baselines run across: from side to side there are none to line up by, and the start stands for them.
  return word === 'baseline' ? 'start' : word;
}

export const alignOf = ({ style }: Box, content: GridContent): Align =>
  isShare(style.height) ? 'stretch' : (style.alignSelf ?? content.align);

/** Which height limits of an item that is a grid itself say how many columns it repeats: none of one that fills its area's width. */
export const carriedOf = (box: Box, content: GridContent): Carried =>
  carriesAcross(box) && !fills(box.style.width, justifyOf(box, content)) ? 'all' : 'none';

/**
 * An item's width in an area of some width, and the rule that gave it.
 *
 * @param given `heightOf`: the height of the area, where that is known.
 */
export function itemWidth(
  pass: Pass,
  box: Box,
  content: GridContent,
  area: number,
  { height, heightOf, isLate }: Given,
): { width: number; rule: SizeRule } {
  const { style } = box;
  const limits = widthRange(box, area, pass);
  const margin = across(style.margin);
  const fixed = pixels(style.width, area);
  let width: number;
  let rule: SizeRule;
  if (fixed !== undefined) {
    width = fixed;
    rule = isFraction(style.width)
      ? { rule: 'percent', fraction: style.width.fraction, of: area }
      : { rule: 'number', value: fixed };
  } else if (fills(style.width, justifyOf(box, content))) {
    width = area - margin;
    rule = { rule: 'stretch', from: area, margin, to: 'area' };
  } else if (hasRatio(box) && height !== undefined) {
    width = widthByRatio(pass, box, height);
    if (keepsWidthOf(box))
      width = pass.larger(box, 'least', width, leastByContent(pass, box, { height, widthOf: area, isLate }));
    rule = { rule: 'ratio', from: height, value: width };
  } else {
    const { min, max } = widthsWithin(pass, box, {
      height,
      widthOf: area,
      heightOf,
      carried: carriedOf(box, content),
      isLate,
    });
    const room = area - margin;
    pass.sign(box, 'fit', room - max);
    pass.sign(box, 'fit', room - min);
    width = plainMin(max, plainMax(min, room));
    rule = { rule: 'fit', min, max, room: area, margin };
  }
  pass.held(box, width, limits.min, limits.max);
  return { width: plainClamp(width, limits.min, limits.max), rule };
}

/** An item in its area, with the rules that gave its size. */
export interface LaidItem {
  readonly laid: Laid;
  readonly areaWidth: number;
  readonly areaHeight: number;
  readonly widthRule: SizeRule;
  readonly heightRule: SizeRule;
}

/** The area of an item, CSS px. */
interface Area {
  readonly width: number;
  readonly height: number;
  /** How its height was known before anything was sized, if it was. */
  readonly known: true | 'late' | undefined;
}

export function layItem(
  pass: Pass,
  { box, measured }: Placed,
  content: GridContent,
  { width: areaWidth, height: areaHeight, known }: Area,
): LaidItem {
  const { style } = box;
  const limits = heightRange(box, areaHeight, pass);
  const held = (value: number) => {
    pass.held(box, value, limits.min, limits.max);
    return plainClamp(value, limits.min, limits.max);
  };
  const asked = pixels(style.height, areaHeight);
  let rule: SizeRule | undefined;
  let height: number | undefined;
  if (asked !== undefined) {
    rule = isFraction(style.height)
      ? { rule: 'percent', fraction: style.height.fraction, of: areaHeight }
      : { rule: 'number', value: asked };
    height = held(asked);
  } else if (fills(style.height, alignOf(box, content))) {
    rule = { rule: 'stretch', from: areaHeight, margin: down(style.margin), to: 'area' };
    height = held(areaHeight - down(style.margin));
  }
  const isNumber = typeof style.height === 'number';
  const { width, rule: widthRule } = itemWidth(pass, box, content, areaWidth, {
    height,
    heightOf: areaHeight,
    isLate: !isNumber && known !== true,
  });
  const definite = isNumber ? true : (known ?? 'late');
  if (rule && height !== undefined)
    return {
      laid:
        rule.rule === 'stretch'
          ? layStretched(pass, box, fixed(width, height, definite, measured))
          : layOut(pass, box, fixed(width, height, definite, measured)),
      areaWidth,
      areaHeight,
      widthRule,
      heightRule: rule,
    };
  const { laid, natural } = layByContent(pass, box, free(width, measured, areaHeight), limits);
  const heightRule: SizeRule = { rule: 'content', value: natural };
  return { laid, areaWidth, areaHeight, widthRule, heightRule };
}
