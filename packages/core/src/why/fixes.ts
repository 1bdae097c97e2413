/** What can be done about a size or place: ready steps. Only those that change something are offered. */
import { readAttribute } from '../cascade/attributes.ts';
import { kindOf } from '../kinds/catalogue.ts';
import type { SizeReason } from '../layout/reason.ts';
import { frameWidth } from '../layout/sizes.ts';
import { contextOf, readAttributeText } from '../meaning/property-text.ts';
import type { Step } from '../steps/step.ts';
import { trackListCss } from '../values/track-list.ts';
import type { Fix, Question } from './explanation.ts';
import type { ExplainedScreen, Found } from './find.ts';
import { isByContent, overflow, scrollsSideways, starving } from './remarks.ts';
import { show } from './size.ts';

/** Collects fixes; a property that the kind does not have, or a value that it has already, is left out. */
class Fixes {
  readonly list: Fix[] = [];

  constructor(private readonly on: ExplainedScreen) {}

  private step(id: string, property: string, value: string | null): Step | undefined {
    const control = this.on.control(id);
    const kind = kindOf(control);
    const attribute = this.on.attribute(id, property);
    if (typeof readAttribute(kind, attribute, this.on.project.bands) === 'string') return undefined;
    if (value === null)
      return attribute in control.props
        ? { type: 'set', control: id, property: attribute, value }
        : undefined;
    const reading = readAttributeText(kind, attribute, value, contextOf(this.on.project, control));
    if (!reading.ok || control.props[attribute] === reading.text) return undefined;
    return { type: 'set', control: id, property: attribute, value: reading.text };
  }

  /** @param changes what to set: control, property, value; null takes it away. */
  add(label: string, ...changes: readonly (readonly [string, string, string | null])[]): void {
    const steps = changes.flatMap(([id, property, value]) => this.step(id, property, value) ?? []);
    const same = (fix: Fix) => JSON.stringify(fix.steps) === JSON.stringify(steps);
    if (steps.length < changes.length || this.list.some(same)) return;
    this.list.push({ label, steps });
  }
}

export function fixesFor(on: ExplainedScreen, found: Found, question: Question): Fix[] {
  const fixes = new Fixes(on);
  if (!found.parent) return [];
  if (question === 'width' || question === 'height') sizeFixes(on, found, question, fixes);
  else placeFixes(on, found, question, fixes);
  return fixes.list;
}

/** The question about a size, and what its fixes speak of. */
interface SizeQuestion {
  readonly on: ExplainedScreen;
  readonly fixes: Fixes;
  readonly found: Found;
  readonly parentFound: Found;
  readonly axis: 'width' | 'height';
  readonly reason: SizeReason;
  readonly control: string;
  readonly parent: string;
  /** Names of both, as sentences have them. */
  readonly self: string;
  readonly outer: string;
  /** Whether the parent arranges its children along the axis. */
  readonly main: boolean;
}

/** What can be done about a size, the likeliest cause first; the other ways to be sized come last. */
const sizeRemedies: readonly ((asked: SizeQuestion) => void)[] = [
  shareOfNothing,
  keepersOfRoom,
  unknownPercent,
  raisedTrack,
  stickingOut,
  wideInScroll,
  ownLimits,
  otherWays,
];

function sizeFixes(on: ExplainedScreen, found: Found, axis: 'width' | 'height', fixes: Fixes): void {
  const { parent: parentFound } = found;
  const reason = found.reasons?.[axis];
  if (!parentFound || !reason) return;
  const control = on.controlOf(found);
  const parent = on.controlOf(parentFound);
  const [self, outer] = [on.name(control), on.name(parent)];
  const main = on.axisOf(parentFound.laid.box) === along[axis];
  const asked = { on, fixes, found, parentFound, axis, reason, control, parent, self, outer, main };
  for (const remedy of sizeRemedies) remedy(asked);
}

/** How children are arranged along an axis. */
const along = { width: 'row', height: 'column' } as const;
const large = { width: 'wide', height: 'high' } as const;

/** A share of a parent that is itself as large as its content. */
function shareOfNothing({ on, fixes, found, parentFound, axis, reason, ...names }: SizeQuestion): void {
  if (reason.by.rule !== 'share' || !isByContent(found, axis)) return;
  const around = parentFound.parent;
  if (around) {
    const over = on.name(on.controlOf(around));
    const shares = on.axisOf(around.laid.box) === along[axis];
    fixes.add(shares ? `Give ${names.outer} a share of ${over}` : `Let ${names.outer} fill ${over}`, [
      names.parent,
      axis,
      'share',
    ]);
  }
  fixes.add(`Make ${names.self} as large as its content`, [names.control, axis, 'fit']);
}

/** Siblings that keep more than the rule gave them. */
function keepersOfRoom({ on, fixes, found, axis }: SizeQuestion): void {
  for (const { control, limit, automatic } of starving(found, axis)) {
    const name = on.name(control);
    if (automatic) {
      fixes.add(`Let ${name} be smaller than its content`, [control, `min-${axis}`, '0']);
      continue;
    }
    const half = limit / 2;
    fixes.add(`Take away the min-${axis} of ${name}`, [control, `min-${axis}`, null]);
    fixes.add(`Halve the min-${axis} of ${name} to ${show(half)}`, [
      control,
      `min-${axis}`,
      show(Math.round(half)),
    ]);
  }
}

/** A percentage of a size that is not known. */
function unknownPercent({ fixes, parentFound, axis, reason, ...names }: SizeQuestion): void {
  if (reason.by.rule !== 'content' || reason.by.asked !== 'unknown percent') return;
  const now = show(Math.round(parentFound.laid[axis]));
  fixes.add(`Give ${names.outer} the ${axis} that it has now, ${now}`, [names.parent, axis, now]);
  if (parentFound.parent) fixes.add(`Give ${names.outer} a share`, [names.parent, axis, 'share']);
  fixes.add(`Give ${names.self} a share`, [names.control, axis, 'share']);
}

/** A track of its grid that another item made larger. */
function raisedTrack(asked: SizeQuestion): void {
  const { on, fixes, axis } = asked;
  const { by } = asked.reason;
  const raised =
    by.rule === 'stretch'
      ? by.area?.tracks.find(({ raisedBy }) => raisedBy?.control !== undefined)
      : undefined;
  const raiser = raised?.raisedBy?.control;
  if (!raised || raiser === undefined) return;
  shrinkTrack(asked, raised.number);
  fixes.add(`Let ${on.name(raiser)} be smaller than its longest word`, [raiser, `min-${axis}`, '0']);
}

/** Lets a track of the parent's template be smaller than its items. */
function shrinkTrack({ on, fixes, parentFound, parent, axis }: SizeQuestion, number: number): void {
  const { content } = parentFound.laid.box;
  if (content.type !== 'grid') return;
  const [name, word] = axis === 'width' ? (['columns', 'column'] as const) : (['rows', 'row'] as const);
  const list = content[name];
  const track = list[number - 1];
  if (list.some((part) => 'auto' in part) || !track || 'auto' in track || track.fitContent !== undefined)
    return;
  const text = trackListCss(list.with(number - 1, { ...track, min: 0 }));
  fixes.add(`Let ${word} ${number} of ${on.name(parent)} be smaller than what is in it`, [
    parent,
    name,
    text,
  ]);
}

/** It reaches beyond its parent. */
function stickingOut({ fixes, found, axis, reason, control, parent, self, outer, main }: SizeQuestion): void {
  if (overflow(found, axis).after <= 0.05) return;
  const { min } = reason.limits;
  fixes.add(`Let ${self} be at most as ${large[axis]} as ${outer}`, [control, `max-${axis}`, '100%']);
  if (main) fixes.add(`Let the children of ${outer} wrap`, [parent, 'wrap', 'true']);
  if (isWords(found)) fixes.add(`Let the words of ${self} break`, [control, 'nowrap', null]);
  if (min && !min.automatic)
    fixes.add(`Take away the min-${axis} of ${self}`, [control, `min-${axis}`, null]);
  else if (min?.automatic)
    fixes.add(`Let ${self} be smaller than its content`, [control, `min-${axis}`, '0']);
}

const isWords = (found: Found): boolean => found.laid.box.content.type === 'text';

/** Words that make what scrolls as wide as they are. */
function wideInScroll({ on, fixes, found, parentFound, axis, reason, control, self }: SizeQuestion): void {
  const scroll = parentFound.parent;
  if (!scroll || axis !== 'width' || !isWords(found) || !scrollsSideways(found)) return;
  const room = Math.floor(scroll.laid.width - frameWidth(scroll.laid.box));
  if (reason.result > room)
    fixes.add(`Let ${self} be at most ${room} wide, as ${on.name(on.controlOf(scroll))} is inside`, [
      control,
      'max-width',
      String(room),
    ]);
}

/** A limit of its own that decides. */
function ownLimits({ fixes, axis, reason, control, self }: SizeQuestion): void {
  const { min, max } = reason.limits;
  const decides = (limit: { value: number }) => Math.abs(reason.result - limit.value) < 0.05;
  if (max && decides(max)) fixes.add(`Take away the max-${axis} of ${self}`, [control, `max-${axis}`, null]);
  if (min && !min.automatic && decides(min))
    fixes.add(`Take away the min-${axis} of ${self}`, [control, `min-${axis}`, null]);
}

/** The ways to be sized, as far as they are other ways. */
function otherWays({ on, fixes, axis, reason, control, self, outer, main }: SizeQuestion): void {
  const { rule } = reason.by;
  const asked = on.source(control, axis);
  if (main) fixes.add(`Give ${self} a share of ${outer}`, [control, axis, 'share']);
  else if (rule !== 'stretch') fixes.add(`Let ${self} fill ${outer}`, [control, axis, 'share']);
  if (asked?.text !== 'fit' && rule !== 'content')
    fixes.add(`Make ${self} as ${large[axis]} as its content`, [control, axis, 'fit']);
  if (asked?.from !== 'default' && asked?.text !== '')
    fixes.add(`Leave the ${axis} of ${self} to ${outer}`, [control, axis, null]);
}

function placeFixes(on: ExplainedScreen, found: Found, axis: 'x' | 'y', fixes: Fixes): void {
  const reason = found.reasons?.[axis];
  if (!found.parent || !reason) return;
  const control = on.controlOf(found);
  const parent = on.controlOf(found.parent);
  const [self, outer] = [on.name(control), on.name(parent)];
  const grid = found.parent.laid.box.content.type === 'grid';
  const negative = reason.parts.some(({ what, value }) => what === 'margin' && value < 0);
  if (negative) fixes.add(`Take away the margin of ${self}`, [control, 'margin', null]);
  if (reason.by === 'align') {
    const [own, shared] = grid && axis === 'x' ? ['justify-self', 'justify'] : ['align-self', 'align'];
    if (reason.own) fixes.add(`Leave its place to ${outer}`, [control, own, null]);
    for (const [word, label] of placeWords(axis))
      if (word !== reason.word) fixes.add(`Put ${self} ${label}`, [control, own, word]);
    if (!reason.own && reason.word !== 'stretch')
      fixes.add(`Let the children of ${outer} fill it across`, [parent, shared, 'stretch']);
  }
  if (reason.by === 'flow')
    for (const [word, label] of placeWords(axis))
      if (word !== (reason.word ?? 'start'))
        fixes.add(`Put the children of ${outer} ${label}`, [parent, 'justify', word]);
}

const placeWords = (axis: 'x' | 'y'): readonly (readonly [string, string])[] =>
  axis === 'x'
    ? [
        ['start', 'at the start'],
        ['center', 'in the middle'],
        ['end', 'at the end'],
      ]
    : [
        ['start', 'at the top'],
        ['center', 'in the middle'],
        ['end', 'at the bottom'],
      ];
