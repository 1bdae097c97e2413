/** What happens at a width, in words. */

import { effectiveNames } from '../document/names.ts';
import type { Control } from '../document/types.ts';
import { itemAt } from '../sure.ts';
import type { Cause, Change } from './change.ts';

/** A sentence for each thing that happens at a width; the ones that make boxes jump first. */
export function sweepChangeWords({ causes, until }: Change, screen: Control): string[] {
  const names = effectiveNames(screen);
  const said = causes.map((cause) => {
    const name = names.get(cause.control ?? '');
    return until === undefined ? causeWords(cause, name) : comingWords(cause, name, until);
  });
  return [...new Set(said)];
}

/** What somebody is told who looks at the whole: changes by px, and what rounding lets come and go as one. */
export const toldChanges = (changes: readonly Change[]): Change[] => inRuns(changesByPx(changes));

/** From how many turns on something comes and goes. */
const leastRun = 6;

/** How far apart two turns are at most that are told as one, CSS px. */
const mostApart = 16;

/** Runs of changes of which each undoes the one before, as one. */
function inRuns(changes: readonly Change[]): Change[] {
  const told: Change[] = [];
  let run: Change[] = [];
  const close = () => {
    const first = run[0];
    if (first && run.length >= leastRun) {
      const turns = (cause: Cause) => run.every(({ causes }) => causes.some((each) => isAbout(each, cause)));
      told.push({ ...first, until: itemAt(run, -1).width, causes: first.causes.filter(turns) });
    } else told.push(...run);
    run = [];
  };
  for (const change of changes) {
    const last = run.at(-1);
    if (last && !(change.width - last.width <= mostApart && undoes(last, change))) close();
    run.push(change);
  }
  close();
  return told;
}

const isAbout = (a: Cause, b: Cause): boolean => a.question === b.question && a.control === b.control;

/** Whether a change is the opposite of the one before, and what else they are makes no box jump. */
const undoes = (before: Change, after: Change): boolean =>
  [...before.causes, ...after.causes].every(
    ({ question }) => comesAndGoes.has(question) || follows.has(question),
  ) &&
  before.causes.some(
    (cause) =>
      comesAndGoes.has(cause.question) &&
      after.causes.some(
        (each) =>
          isAbout(each, cause) &&
          Math.sign(each.after - each.before) !== Math.sign(cause.after - cause.before),
      ),
  );

const comesAndGoes: ReadonlySet<Cause['question']> = new Set(['wrap', 'tracks', 'panes']);
const follows: ReadonlySet<Cause['question']> = new Set(['least', 'greatest', 'room', 'fit', 'largest']);

function comingWords({ question }: Cause, control: string | undefined, until: number): string {
  const name = control === undefined ? 'a part' : `\`${control}\``;
  const what =
    question === 'wrap'
      ? `${name} goes to a new line and back`
      : question === 'tracks'
        ? `${name} gets and loses a track`
        : `${name} shows one pane and both`;
  return `${what} from px to px up to ${Math.ceil(until)}: only rounding decides`;
}

/**
 * Changes between the same two whole px as one, at the last of them: texts of equal shares break a 64th of a px beside each
 * other, which nobody means to hear one by one.
 */
export function changesByPx(changes: readonly Change[]): Change[] {
  const found: Change[] = [];
  for (const change of changes) {
    const last = found.at(-1);
    if (!last || Math.ceil(last.width) !== Math.ceil(change.width)) found.push(change);
    else
      found[found.length - 1] = {
        width: change.width,
        jump: last.jump || change.jump,
        causes: [...last.causes, ...change.causes],
      };
  }
  return found;
}

/** How much a cause matters to somebody who looks at the whole: 0 most. */
export function causeRank({ question }: Cause): number {
  return [
    'band',
    'size',
    'panes',
    'tracks',
    'wrap',
    'lines',
    'least',
    'greatest',
    'fit',
    'room',
    'largest',
  ].indexOf(question);
}

function causeWords({ question, before, after, prefixes }: Cause, control: string | undefined): string {
  const name = control === undefined ? 'a part' : `\`${control}\``;
  const begins = after >= 0 && before < 0;
  switch (question) {
    case 'band':
      return prefixes && prefixes.length > 0
        ? `${prefixes.map((word) => `\`${word}\``).join(', ')} begins`
        : 'a band ends';
    case 'size':
      return `the text of ${name} grows to ${Number(after.toFixed(2))} px`;
    case 'lines':
      return after > before ? `${name} breaks into other lines` : `${name} breaks into more lines`;
    case 'wrap':
      return begins ? `${name} fits on the line before it` : `${name} goes to a new line`;
    case 'tracks':
      return after > before ? `${name} gets one track more` : `${name} loses a track`;
    case 'panes':
      return begins ? `both panes of ${name} have room` : `${name} shows one pane`;
    case 'least':
      return begins ? `the least size of ${name} lets go` : `the least size of ${name} takes hold`;
    case 'greatest':
      return begins ? `the greatest size of ${name} lets go` : `the greatest size of ${name} takes hold`;
    case 'fit':
      return after > before ? `${name} has room for its content` : `${name} lacks room for its content`;
    case 'room':
      // What filled its line to the px lacked nothing.
      return after > before
        ? `${name} and its siblings have room to spare`
        : `${name} and its siblings lack room`;
    case 'largest':
      return `${name} and another change places as the largest`;
  }
}
