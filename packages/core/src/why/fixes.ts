/** What can be done about a size or place: ready steps. Only those that change something are offered. */
import { readAttribute } from '../cascade/attributes.ts';
import { kindOf } from '../kinds/catalogue.ts';
import { frameWidth } from '../layout/sizes.ts';
import { contextOf, readAttributeText } from '../meaning/property-text.ts';
import type { Step } from '../steps/step.ts';
import { trackListCss } from '../values/track-list.ts';
import type { Fix, Question } from './explanation.ts';
import type { ExplainedScreen, Found } from './find.ts';
import { isByContent, overflow, scrollsSideways, starving } from './remarks.ts';
import { show } from './size.ts';

/** Collects fixes; what a kind does not have, or what is said already, is left out. */
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
    const steps = changes.map(([id, property, value]) => this.step(id, property, value));
    const same = (fix: Fix) => JSON.stringify(fix.steps) === JSON.stringify(steps);
    if (steps.some((step) => step === undefined) || this.list.some(same)) return;
    this.list.push({ label, steps: steps as Step[] });
  }
}

export function fixesFor(on: ExplainedScreen, found: Found, question: Question): Fix[] {
  const fixes = new Fixes(on);
  if (!found.parent) return [];
  if (question === 'width' || question === 'height') sizeFixes(on, found, question, fixes);
  else placeFixes(on, found, question, fixes);
  return fixes.list;
}

function sizeFixes(on: ExplainedScreen, found: Found, axis: 'width' | 'height', fixes: Fixes): void {
  const control = on.controlOf(found);
  const parentFound = found.parent!;
  const parent = on.controlOf(parentFound);
  const [self, outer] = [on.name(control), on.name(parent)];
  const reason = found.reasons?.[axis];
  if (!reason) return;
  const { by, limits } = reason;
  const asked = on.source(control, axis);
  const main = on.axisOf(parentFound.laid.box) === (axis === 'width' ? 'row' : 'column');
  const hasText = found.laid.box.content.type === 'text';

  if (by.rule === 'share' && isByContent(found, axis)) {
    const around = parentFound.parent;
    if (around) {
      const over = on.name(on.controlOf(around));
      const along = on.axisOf(around.laid.box) === (axis === 'width' ? 'row' : 'column');
      fixes.add(along ? `Give ${outer} a share of ${over}` : `Let ${outer} fill ${over}`, [
        parent,
        axis,
        'share',
      ]);
    }
    fixes.add(`Make ${self} as large as its content`, [control, axis, 'fit']);
  }
  for (const { control: other, limit, automatic } of starving(found, axis)) {
    if (automatic)
      fixes.add(`Let ${on.name(other)} be smaller than its content`, [other, `min-${axis}`, '0']);
    else {
      fixes.add(`Take away the min-${axis} of ${on.name(other)}`, [other, `min-${axis}`, null]);
      fixes.add(`Halve the min-${axis} of ${on.name(other)} to ${show(limit / 2)}`, [
        other,
        `min-${axis}`,
        show(Math.round(limit / 2)),
      ]);
    }
  }
  if (by.rule === 'content' && by.asked === 'unknown percent') {
    fixes.add(`Give ${outer} the ${axis} that it has now, ${show(Math.round(parentFound.laid[axis]))}`, [
      parent,
      axis,
      show(Math.round(parentFound.laid[axis])),
    ]);
    if (parentFound.parent) fixes.add(`Give ${outer} a share`, [parent, axis, 'share']);
    fixes.add(`Give ${self} a share`, [control, axis, 'share']);
  }
  if (by.rule === 'stretch' && by.area) {
    const raised = by.area.tracks.find(({ raisedBy }) => raisedBy?.control !== undefined);
    if (raised?.raisedBy?.control !== undefined) {
      const raiser = raised.raisedBy.control;
      shrinkTrack(on, parentFound, parent, raised.number, axis, fixes);
      fixes.add(`Let ${on.name(raiser)} be smaller than its longest word`, [raiser, `min-${axis}`, '0']);
    }
  }
  if (overflow(found, axis).after > 0.05) {
    fixes.add(`Let ${self} be at most as ${axis === 'width' ? 'wide' : 'high'} as ${outer}`, [
      control,
      `max-${axis}`,
      '100%',
    ]);
    if (main) fixes.add(`Let the children of ${outer} wrap`, [parent, 'wrap', 'true']);
    if (hasText) fixes.add(`Let the words of ${self} break`, [control, 'nowrap', null]);
    if (limits.min && !limits.min.automatic)
      fixes.add(`Take away the min-${axis} of ${self}`, [control, `min-${axis}`, null]);
    else if (limits.min?.automatic)
      fixes.add(`Let ${self} be smaller than its content`, [control, `min-${axis}`, '0']);
  }
  const scroll = parentFound.parent;
  if (scroll && axis === 'width' && hasText && scrollsSideways(found)) {
    const room = Math.floor(scroll.laid.width - frameWidth(scroll.laid.box));
    if (reason.result > room)
      fixes.add(`Let ${self} be at most ${room} wide, as ${on.name(on.controlOf(scroll))} is inside`, [
        control,
        'max-width',
        String(room),
      ]);
  }
  if (limits.max && Math.abs(reason.result - limits.max.value) < 0.05)
    fixes.add(`Take away the max-${axis} of ${self}`, [control, `max-${axis}`, null]);
  if (limits.min && !limits.min.automatic && Math.abs(reason.result - limits.min.value) < 0.05)
    fixes.add(`Take away the min-${axis} of ${self}`, [control, `min-${axis}`, null]);
  // The four ways to be sized, as far as they are other ways.
  if (main) fixes.add(`Give ${self} a share of ${outer}`, [control, axis, 'share']);
  else if (by.rule !== 'stretch') fixes.add(`Let ${self} fill ${outer}`, [control, axis, 'share']);
  if (asked?.text !== 'fit' && by.rule !== 'content')
    fixes.add(`Make ${self} as ${axis === 'width' ? 'wide' : 'high'} as its content`, [control, axis, 'fit']);
  if (asked?.from !== 'default' && asked?.text !== '')
    fixes.add(`Leave the ${axis} of ${self} to ${outer}`, [control, axis, null]);
}

/** Lets a track of a grid's template be smaller than what is in it. */
function shrinkTrack(
  on: ExplainedScreen,
  grid: Found,
  id: string,
  number: number,
  axis: 'width' | 'height',
  fixes: Fixes,
): void {
  const { content } = grid.laid.box;
  if (content.type !== 'grid') return;
  const name = axis === 'width' ? 'columns' : 'rows';
  const list = axis === 'width' ? content.columns : content.rows;
  const track = list[number - 1];
  if (list.some((part) => 'auto' in part) || !track || 'auto' in track || track.fitContent !== undefined)
    return;
  const text = trackListCss(list.with(number - 1, { ...track, min: 0 }));
  fixes.add(
    `Let ${axis === 'width' ? 'column' : 'row'} ${number} of ${on.name(id)} be smaller than what is in it`,
    [id, name, text],
  );
}

function placeFixes(on: ExplainedScreen, found: Found, axis: 'x' | 'y', fixes: Fixes): void {
  const control = on.controlOf(found);
  const parent = on.controlOf(found.parent!);
  const [self, outer] = [on.name(control), on.name(parent)];
  const reason = found.reasons?.[axis];
  if (!reason) return;
  const grid = found.parent!.laid.box.content.type === 'grid';
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
