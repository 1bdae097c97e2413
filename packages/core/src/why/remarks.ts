/** What is worth knowing beside the rule: what sticks out, who keeps room, whose size is unknown. */
import type { Question } from './explanation.ts';
import type { ExplainedScreen, Found } from './find.ts';
import { ruleValue } from './sentences.ts';
import { show, words } from './size.ts';

/** How far a box reaches beyond its parent's border box along an axis; 0 where it does not. */
export function overflow(found: Found, axis: 'width' | 'height'): { before: number; after: number } {
  const { parent, laid } = found;
  if (!parent) return { before: 0, after: 0 };
  const [at, from] = axis === 'width' ? [found.x, parent.x] : [found.y, parent.y];
  return {
    before: Math.max(0, from - at),
    after: Math.max(0, at + laid[axis] - (from + parent.laid[axis])),
  };
}

/** A sibling that keeps more than the rule gave it, at the cost of this one. */
export function starving(
  found: Found,
  axis: 'width' | 'height',
): { control: string; size: number; limit: number; automatic: boolean }[] {
  const reason = found.reasons?.[axis];
  if (!found.parent || (reason?.by.rule !== 'share' && reason?.by.rule !== 'gave way')) return [];
  const siblings = found.parent.laid;
  return siblings.children.flatMap((laid, index) => {
    const control = laid.box.control;
    const other = siblings.record?.reasons[index]?.[axis];
    if (control === undefined || laid === found.laid || !other?.limits.min) return [];
    const { value, automatic } = other.limits.min;
    if (Math.abs(other.result - value) > 0.02 || ruleValue(other.by) > value - 0.02) return [];
    return [{ control, size: other.result, limit: value, automatic }];
  });
}

/** Remarks on a size or place. */
export function remarksOn(on: ExplainedScreen, found: Found, question: Question): string[] {
  const remarks: string[] = [];
  const axis = question === 'width' || question === 'x' ? 'width' : 'height';
  const self = on.name(on.controlOf(found));
  const parent = found.parent && on.name(on.controlOf(found.parent));
  const out = overflow(found, axis);
  const scrolls = found.parent?.parent?.laid.box.content.type === 'scroll';
  if (parent && out.after > 0.05 && !scrolls)
    remarks.push(`${self} sticks out of ${parent} by ${show(out.after)} ${words[axis].after}.`);
  if (parent && out.before > 0.05)
    remarks.push(`${self} sticks out of ${parent} by ${show(out.before)} ${words[axis].before}.`);
  if (question !== 'width' && question !== 'height') return remarks;
  for (const { control, size, automatic } of starving(found, axis))
    remarks.push(
      automatic
        ? `${on.name(control)} cannot be smaller than its content and keeps ${show(size)}; that is missing here.`
        : `${on.name(control)} is held up to ${show(size)} by its min-${axis}; that is missing here.`,
    );
  const by = found.reasons?.[question]?.by;
  if (by?.rule === 'share' && isByContent(found, axis))
    remarks.push(
      `${parent} is only as ${words[axis].large} as its content, so ${by.left <= 0 ? 'it never has anything left over' : 'there is no more to share out'}.`,
    );
  const content = found.laid.box.content;
  if (
    question === 'width' &&
    content.type === 'text' &&
    found.laid.lines.length === 1 &&
    (by?.rule === 'content' || by?.rule === 'fit') &&
    (out.after > 0.05 || scrollsSideways(found))
  )
    remarks.push('Nothing bounds its width, so its words stay on one line.');
  return remarks;
}

/** Whether a box is inside a scroll that goes sideways, where no width is too much. */
export function scrollsSideways({ parent }: Found): boolean {
  const content = parent?.parent?.laid.box.content;
  return content?.type === 'scroll' && content.axis !== 'vertical';
}

/** Whether the parent's size along an axis comes from its content. */
export function isByContent(found: Found, axis: 'width' | 'height'): boolean {
  const { parent } = found;
  if (!parent) return false;
  const by = parent.reasons?.[axis]?.by;
  if (!by) return axis === 'height';
  if (by.rule === 'content') return true;
  return by.rule === 'fit' && by.room - by.margin >= by.max;
}
