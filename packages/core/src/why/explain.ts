/** Why a control has its size and place: the rule, the numbers, where they come from, and what would change them. */

import { type Control, type Project, treesOf } from '../document/types.ts';
import type { Builder } from '../layout/build.ts';
import { passOf } from '../layout/engine.ts';
import type { Laid } from '../layout/laid.ts';
import type { SizeReason } from '../layout/reason.ts';
import { layOutRoot, type View } from '../layout/screen-layout.ts';
import { boxesFor } from '../layout/view-boxes.ts';
import { expandedOn } from '../reuse/expand.ts';
import { stepsInSource } from '../steps/source-steps.ts';
import { applyStep } from '../steps/step.ts';
import { entryOf, itemAt } from '../sure.ts';
import type { Shaper } from '../text/shaper.ts';
import type { Explanation, Fix, Question, Source } from './explanation.ts';
import { ExplainedScreen, type Found } from './find.ts';
import { fixesFor } from './fixes.ts';
import { placeWorkings } from './place.ts';
import { remarksOn } from './remarks.ts';
import { placeSentence, sizeSentence } from './sentences.ts';
import { SizeWords } from './size.ts';

export const questions: readonly Question[] = ['width', 'height', 'x', 'y'];

/** Explains a screen's controls in one view. */
export class Why {
  private readonly on: ExplainedScreen;
  /** Lays out the screen as fixes would make it; boxes that they leave alone are kept. */
  private readonly builder: Builder;

  private readonly project: Project;

  /** @throws Error where the screen is hidden. */
  constructor(
    shaper: Shaper,
    private readonly source: Project,
    of: Control,
    private readonly view: View,
  ) {
    const { project, screen } = expandedOn(source, of);
    this.project = project;
    this.on = new ExplainedScreen(shaper, project, screen, view);
    this.builder = boxesFor(shaper, project, view);
  }

  /** Whether a control is there to be explained; a hidden one is not. */
  has(control: string): boolean {
    return this.on.find(control) !== undefined;
  }

  /** @returns undefined where the control is hidden. */
  explain(asked: string, question: Question): Explanation | undefined {
    const found = this.on.find(asked);
    if (!found) return undefined;
    // Of an instance that is its component's root.
    const control = found.laid.box.control ?? asked;
    const fixes = fixesFor(this.on, found, question).filter((fix) => this.helps(fix, control));
    const isSize = question === 'width' || question === 'height';
    const workings = isSize
      ? new SizeWords(this.on).workings(found, question)
      : placeWorkings(this.on, found, question);
    const sentence = isSize
      ? sizeSentence(this.on, found, question, workings)
      : placeSentence(this.on, found, question);
    const remarks = remarksOn(this.on, found, question);
    const sources = sourcesOf(this.on, found, question);
    const mentions = new Set([
      ...workings.flatMap(({ terms }) => terms.flatMap((term) => term.control ?? [])),
      ...namedIn(this.on, [sentence, ...remarks]),
    ]);
    mentions.delete(control);
    return {
      control,
      name: entryOf(this.on.names, control),
      question,
      value: currentValue(this.on, found, question),
      rule: ruleOf(found, question),
      sentence,
      remarks,
      workings,
      sources,
      fixes: fixes.map((fix) => ({ ...fix, steps: stepsInSource(this.source, fix.steps) })),
      mentions: [...mentions],
    };
  }

  /** Whether a fix can be applied and moves or sizes the control differently. */
  private helps({ steps }: Fix, control: string): boolean {
    let project = this.project;
    for (const step of steps) {
      const applied = applyStep(project, step);
      if (!applied.ok) return false;
      project = applied.project;
    }
    const tree = treesOf(project).find(({ id }) => id === this.on.screen.id);
    if (!tree) return false;
    const root = this.builder.box(expandedOn(project, tree).screen);
    const after = root && placeOf(layOutRoot(passOf('nothing'), root, this.view), control);
    const before = this.on.find(control)!;
    if (!after) return false;
    return (
      questions.some(
        (question) =>
          Math.abs(currentValue(this.on, after, question) - currentValue(this.on, before, question)) > 0.05,
      ) || after.laid.lines.length !== before.laid.lines.length
    );
  }
}

/** Where a control's first box is, from the screen's start and top. */
function placeOf(root: Laid, control: string): Placed | undefined {
  const visit = (laid: Laid, x: number, y: number): Placed | undefined => {
    if (laid.box.control === control) return { laid, x, y };
    for (const [index, child] of laid.children.entries()) {
      const found = visit(child, x + itemAt(laid.places, 2 * index), y + itemAt(laid.places, 2 * index + 1));
      if (found) return found;
    }
    return undefined;
  };
  return visit(root, 0, 0);
}

type Placed = Pick<Found, 'laid' | 'x' | 'y'>;

/** The controls that some sentences name in backticks. */
function namedIn(on: ExplainedScreen, sentences: readonly string[]): string[] {
  const byName = new Map([...on.names].map(([id, name]) => [name, id]));
  return sentences.flatMap((sentence) =>
    [...sentence.matchAll(/`([^`]+)`/g)].flatMap((match) => byName.get(match[1] ?? '') ?? []),
  );
}

function currentValue({ view }: ExplainedScreen, { laid, x, y }: Placed, question: Question): number {
  switch (question) {
    case 'width':
      return laid.width;
    case 'height':
      return laid.height;
    case 'x':
      return view.rightToLeft ? view.width - x - laid.width : x;
    case 'y':
      return y;
  }
}

function ruleOf(found: Found, question: Question): string {
  const reason = found.reasons?.[question];
  if (!reason) return 'view';
  if (typeof reason.by === 'string') return reason.by;
  const size = reason;
  const { min, max } = size.limits;
  if (min && size.result <= min.value + 1e-6 && max?.value !== min.value && isHeld(size, min.value))
    return min.automatic ? 'smallest content' : `min-${question}`;
  if (max && size.result >= max.value - 1e-6) return `max-${question}`;
  return size.by.rule === 'stretch' ? `fills its ${size.by.to}` : size.by.rule;
}

/** Whether a limit changed what the rule gave. */
function isHeld({ by }: SizeReason, min: number): boolean {
  if (by.rule === 'number' || by.rule === 'content') return by.value < min - 1e-6;
  return true;
}

/** The properties that took part. */
function sourcesOf(on: ExplainedScreen, found: Found, question: Question): Source[] {
  const control = on.controlOf(found);
  const parent = found.parent && on.controlOf(found.parent);
  const wanted: [id: string, names: string[]][] =
    question === 'width' || question === 'height'
      ? [[control, [question, `min-${question}`, `max-${question}`, 'aspect']]]
      : [
          [
            control,
            question === 'x'
              ? ['margin', 'left', 'right', 'center-x', 'justify-self']
              : ['margin', 'top', 'bottom', 'center-y'],
          ],
        ];
  itemAt(wanted, 0)[1].push('align-self');
  if (parent) wanted.push([parent, ['align', 'justify', 'gap', 'padding', 'columns']]);
  return wanted.flatMap(([id, names]) =>
    names.flatMap((name) => {
      const source = on.source(id, name);
      return source && (source.from !== 'default' || (id === control && name === question)) ? [source] : [];
    }),
  );
}
