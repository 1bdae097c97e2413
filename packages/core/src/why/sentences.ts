/** One or two sentences for a reason. Names of controls stand in backticks. */

import type { SizeReason } from '../layout/reason.ts';
import { itemAt } from '../sure.ts';
import type { Working } from './explanation.ts';
import type { ExplainedScreen, Found } from './find.ts';
import { type Axis, show, words } from './size.ts';

const list = (parts: readonly string[]): string =>
  parts.length < 2 ? parts.join('') : `${parts.slice(0, -1).join(', ')} and ${parts.at(-1)}`;

/** What a size is and which rule gave it. */
export function sizeSentence(
  on: ExplainedScreen,
  found: Found,
  axis: Axis,
  workings: readonly Working[],
): string {
  const self = on.name(on.controlOf(found));
  const { large } = words[axis];
  const value = show(found.laid[axis]);
  const reason = found.reasons?.[axis];
  if (!reason) {
    if (found.parent) return `${self} is ${value} ${large}: it fills what it is in.`;
    const content = workings.length > 1 && axis === 'height';
    return content && found.laid.height > on.view.height
      ? `${self} is ${value} high: its content needs more than the window's ${show(on.view.height)}.`
      : `${self} is ${value} ${large}, as the window is.`;
  }
  const parent = found.parent!;
  const parentName = on.name(on.controlOf(parent));
  return `${self} is ${value} ${large}: ${ruleWords(on, found, axis, reason, parentName)}${limitWords(reason, axis)}.`;
}

function ruleWords(
  on: ExplainedScreen,
  found: Found,
  axis: Axis,
  { by }: SizeReason,
  parent: string,
): string {
  const { large } = words[axis];
  const nameOf = (control: string | undefined) => (control === undefined ? 'a part of it' : on.name(control));
  switch (by.rule) {
    case 'number':
      return `it asks for ${show(by.value)}`;
    case 'percent':
      return `${show(by.fraction * 100)} % of the ${show(by.of)} inside ${parent}`;
    case 'share': {
      const { room, left, parts, allParts } = by;
      const takers = room.settled.filter(({ size, margin }) => size + margin !== 0);
      const inside = `${parent} is ${show(room.inner)} ${large} inside`;
      const taken =
        takers.length > 0
          ? `, ${list(takers.map(({ box, size }) => `${nameOf(box.control)} takes ${show(size)}`))}`
          : '';
      const gaps = room.gaps !== 0 ? `${takers.length > 0 ? ',' : ','} gaps ${show(room.gaps)}` : '';
      if (left <= 0)
        return `it is to have a share of what is left over, and nothing is: ${inside}${taken}${gaps}`;
      const part =
        parts === allParts ? 'it takes it all' : `it takes ${show(parts)} of ${show(allParts)} parts`;
      return `${inside}${taken}${gaps}; ${show(left)} is left and ${part}`;
    }
    case 'gave way':
      return `its content would be ${show(by.base)} ${large}, but ${parent} lacks ${show(-by.left)}, so what is \`fit\` gives way`;
    case 'content':
      if (by.asked === 'unknown percent')
        return `it asks for a percentage, but ${parent} is as ${large} as its content, so that is not known; it counts as \`fit\``;
      return `${contentWords(on, found, axis)}`;
    case 'fit':
      if (by.room - by.margin >= by.max) return 'its whole content fits, and it asks for no more';
      if (by.room - by.margin <= by.min)
        return `there is room for ${show(by.room - by.margin)} inside ${parent}, but its content cannot be narrower`;
      return `its content would be ${show(by.max)} ${large}, but there is room for ${show(by.room - by.margin)} inside ${parent}`;
    case 'stretch': {
      if (by.to === 'line') return `it fills its line in ${parent}, which is ${show(by.from)} ${large}`;
      if (by.to === 'pins') return `it reaches from pin to pin, ${show(by.from)} apart`;
      if (by.to === 'parent') return `it fills ${parent}, which is ${show(by.from)} ${large} inside`;
      const track = axis === 'width' ? 'column' : 'row';
      const raised = by.area?.tracks.find(({ raisedBy }) => raisedBy?.control !== undefined);
      const cells =
        by.area && by.area.tracks.length > 1
          ? `${track}s ${itemAt(by.area.tracks, 0).number} to ${itemAt(by.area.tracks, -1).number}`
          : `${track} ${by.area?.tracks[0]?.number ?? 1}`;
      const cause =
        raised?.raisedBy && isRaised(found, axis, raised.raisedBy.control!, on)
          ? `; ${track} ${raised.number} is ${show(raised.size)} because the content of ${on.name(raised.raisedBy.control)} cannot be ${axis === 'width' ? 'narrower' : 'lower'}`
          : '';
      return `it fills ${cells} of ${parent}, ${show(by.from)} ${large}${cause}`;
    }
    case 'ratio':
      return `by its ratio, from the ${axis === 'width' ? 'height' : 'width'} of ${show(by.from)}`;
    case 'view':
      return 'the window is';
  }
}

/** Whether a track is just as large as the content that raised it, so that this is what decides. */
function isRaised(found: Found, axis: Axis, control: string, on: ExplainedScreen): boolean {
  const reason = found.reasons?.[axis];
  if (reason?.by.rule !== 'stretch' || !reason.by.area) return false;
  const raiser = on.find(control);
  return raiser !== undefined && axis === 'width'
    ? reason.by.area.tracks.some(({ raisedBy, flexible }) => raisedBy !== undefined && flexible) ||
        reason.by.area.tracks.some(({ raisedBy }) => raisedBy !== undefined)
    : raiser !== undefined;
}

function contentWords(on: ExplainedScreen, found: Found, axis: Axis): string {
  if (axis === 'width') return 'that is what its content needs, and it is `fit`';
  const content = on.contentOf(found);
  switch (content?.reason.rule) {
    case 'words':
      return `its words take ${content.reason.count === 1 ? 'one line' : `${content.reason.count} lines`} of ${show(content.reason.lineHeight)}`;
    case 'stack': {
      const count = content.reason.parts.length;
      return `that is what it holds: ${count === 1 ? 'one control' : `${count} controls one below the other`}`;
    }
    case 'lines': {
      const [line] = content.reason.lines;
      const largest = line?.largest?.control;
      if (content.reason.lines.length > 1) return `its content is in ${content.reason.lines.length} lines`;
      return largest === undefined
        ? 'that is what its content needs'
        : `it is as high as the highest in it, ${on.name(largest)}`;
    }
    case 'tracks':
      return `its ${content.reason.tracks.length} rows add up to that`;
    case 'ratio':
      return 'by its ratio, from its width';
    case 'none':
      return 'a container of this kind has no height from what is in it';
    default:
      return 'that is its own size';
  }
}

function limitWords({ by, limits, result }: SizeReason, axis: Axis): string {
  const { min, max } = limits;
  const size = ruleValue(by);
  if (min && size < min.value - 1e-6 && Math.abs(result - min.value) < 0.05)
    return min.automatic
      ? `; that is raised to ${show(min.value)}, the least that its content needs`
      : `; that is raised to ${show(min.value)} by its min-${axis}`;
  if (max && size > max.value + 1e-6 && Math.abs(result - max.value) < 0.05)
    return `; that is cut to ${show(max.value)} by its max-${axis}`;
  return '';
}

/** What a rule gave before its limits. */
export function ruleValue(by: SizeReason['by']): number {
  switch (by.rule) {
    case 'percent':
      return by.of * by.fraction;
    case 'share':
      return by.base + (by.allParts === 0 ? 0 : (by.left * by.parts) / by.allParts);
    case 'gave way':
      return by.base + (by.allWeight === 0 ? 0 : (by.left * by.weight) / by.allWeight);
    case 'fit':
      return Math.min(by.max, Math.max(by.min, by.room - by.margin));
    case 'stretch':
      return by.from - by.margin;
    default:
      return by.value;
  }
}

/** Why something stands where it does. */
export function placeSentence(on: ExplainedScreen, found: Found, axis: 'x' | 'y'): string {
  const self = on.name(on.controlOf(found));
  const { parent } = found;
  if (!parent) return `${self} is the screen; it begins at its corner.`;
  const name = on.name(on.controlOf(parent));
  const reason = found.reasons?.[axis];
  const across = axis === 'x';
  const [start, middle, end] = across
    ? ['at the start', 'in the middle', 'at the end']
    : ['at the top', 'in the middle', 'at the bottom'];
  if (!reason) return `${self} stands ${start} of ${name}.`;
  if (reason.by === 'pin') return `${self} is held by its pins in ${name}.`;
  if (reason.by === 'free') return `${self} has no pin along this axis, so it stands ${start} of ${name}.`;
  if (reason.by === 'flow') {
    const spread: Readonly<Record<string, string>> = {
      center: middle,
      end,
      between: 'spread out',
      around: 'spread out',
      evenly: 'spread out',
    };
    const how = reason.word === undefined ? undefined : spread[reason.word];
    const siblings = reason.parts.find(({ what }) => what === 'siblings')?.value ?? 0;
    const behind = siblings !== 0 ? 'behind what stands in front of it' : `first, ${start}`;
    return how
      ? `${self} stands ${behind} in ${name}, which puts its children ${how} because it says \`justify="${reason.word}"\`.`
      : `${self} stands ${behind} in ${name}.`;
  }
  const where: Readonly<Record<string, string>> = {
    center: middle,
    end,
    baseline: 'on the baseline',
    stretch: start,
    start,
  };
  const place = (reason.word === undefined ? undefined : where[reason.word]) ?? start;
  const who = reason.own ? 'because it says so itself' : `because ${name} says \`align="${reason.word}"\``;
  if (reason.word === 'stretch') return `${self} fills ${name} across, so it begins ${start}.`;
  const grid = parent.laid.box.content.type === 'grid';
  const said = grid && across && !reason.own ? `because ${name} says \`justify="${reason.word}"\`` : who;
  return `${self} stands ${place} of ${grid ? 'its cell in ' : ''}${name}, ${said}.`;
}
