/** What is on its way on top of what the server has. */
import { applySteps, type Project, type Step } from '@hovrin/core';
import { describe, expect, it } from 'vitest';
import type { PendingEntry } from '../src/editor/batch.ts';
import { afterRefusal, afterRenamings, onTop } from '../src/editor/merging.ts';
import { TakenAway } from '../src/editor/takenAway.ts';
import { trialProject } from './trialProject.ts';

const set = (control: string, value: string): Step => ({ type: 'set', control, property: 'text', value });
const pending = (sequence: number, ...steps: Step[]): PendingEntry => ({
  sequence,
  kind: 'change',
  label: `${sequence}`,
  steps,
  inverse: [],
});
const after = (project: Project, ...steps: Step[]): Project => {
  const applied = applySteps(project, steps);
  if (!applied.ok) throw new Error(applied.reason);
  return applied.project;
};
const none = () => false;

describe('pending entries', () => {
  it('are put on the confirmed project, with what takes each back there', () => {
    const confirmed = after(trialProject, set('t', 'confirmed'));
    const top = onTop(confirmed, [pending(0, set('t', 'one')), pending(1, set('t', 'two'))], none);
    expect(top.project.screens[0]!.children[0]!.props.text).toBe('two');
    const back = top.kept.toReversed().reduce((now, { inverse }) => after(now, ...inverse), top.project);
    expect(back).toEqual(confirmed);
    expect(top.shown).toEqual(top.kept);
  });

  it('that do not fit are lost, with the reason, but for those that may have arrived', () => {
    const entries = [pending(0, set('gone', 'x')), pending(1, set('gone', 'y')), pending(2, set('t', 'z'))];
    const top = onTop(trialProject, entries, ({ sequence }) => sequence === 0);
    expect(top.kept.map(({ sequence }) => sequence)).toEqual([0, 2]);
    expect(top.shown.map((each) => each.label)).toEqual(['2']);
    expect(top.lost.map(({ entry, reason }) => [entry.sequence, reason])).toEqual([
      [1, expect.stringMatching(/is gone|not there|no control|missing/i)],
    ]);
  });

  it('that add what another has added meanwhile add it under another key, with all that was done with it', () => {
    const put = (name: string): Step => ({
      type: 'put',
      of: 'state',
      entity: { name, type: 'text', initial: '' },
    });
    const confirmed = after(trialProject, put('value1'));
    const mine = [
      pending(0, put('value1')),
      pending(1, set('t', '{value1}')),
      // Added by this window itself, after the first one.
      pending(2, put('value2')),
      pending(3, set('t', '{value1} {value2}')),
    ];
    const top = onTop(confirmed, mine, none);
    expect(top.lost).toEqual([]);
    expect(top.renamed).toEqual([{ of: 'state', from: 'value1', to: 'value3' }]);
    expect(top.project.state.map(({ name }) => name)).toEqual(
      expect.arrayContaining(['value1', 'value2', 'value3']),
    );
    expect(top.project.screens[0]!.children[0]!.props.text).toBe('{value3} {value2}');
    const back = top.kept.toReversed().reduce((now, { inverse }) => after(now, ...inverse), top.project);
    expect(back).toEqual(confirmed);
  });

  it('follow what another has renamed, and are the same list where nobody has', () => {
    const gap: Step = { type: 'set', control: 't', property: 'hand.text', value: 'x' };
    const entries = [pending(0, gap)];
    expect(afterRenamings(trialProject, entries, [set('t', 'x')])).toBe(entries);
    const rename: Step = { type: 'rename', of: 'bands', key: 'hand', to: 'palm' };
    const renamed = after(trialProject, rename);
    expect(afterRenamings(renamed, entries, [rename])[0]!.steps).toEqual([{ ...gap, property: 'palm.text' }]);
  });
});

describe('what was refused', () => {
  it('is set aside with the reason and the control', () => {
    const entry = pending(4, set('t', 'x'));
    const refused = [{ sequence: 4, reason: 'It is gone.', control: 't' }];
    const { aside, again, renamed } = afterRefusal(trialProject, refused, [entry], []);
    expect(aside).toEqual([{ entry, reason: 'It is gone. (t)' }]);
    expect([again, renamed]).toEqual([[], []]);
  });

  it('goes again under another key where another window has added the same one, with what follows it', () => {
    const add = (initial: string): Step => ({
      type: 'put',
      of: 'state',
      entity: { name: 'guests', type: 'text', initial },
    });
    const theirs = after(trialProject, add('theirs'));
    const follows = pending(1, set('t', '{guests} guests'));
    const refused = [{ sequence: 0, reason: 'There is one.' }];
    const result = afterRefusal(theirs, refused, [pending(0, add('mine'))], [follows]);
    expect(result.aside).toEqual([]);
    const [{ to } = { to: '' }] = result.renamed;
    expect(to).not.toBe('guests');
    expect(result.again[0]!.steps).toEqual([
      { type: 'put', of: 'state', entity: { name: to, type: 'text', initial: 'mine' } },
    ]);
    expect(result.pending[0]!.steps).toEqual([set('t', `{${to}} guests`)]);
  });
});

describe('what another window took away', () => {
  const takeAway: Step = { type: 'remove', control: 't' };
  const inverse = (applySteps(trialProject, [takeAway]) as { inverse: readonly Step[] }).inverse;
  const entry = { ...pending(0, takeAway), label: 'Delete title', revision: 1, clientId: 'other', time: 0 };

  it('is told to those who had it selected, with how it is put back', () => {
    expect(new TakenAway().notice({ entry, inverse }, ['s'])).toEqual([]);
    const [told] = new TakenAway().notice({ entry, inverse }, ['t']);
    expect(told).toMatchObject({ label: 'title was at hand here', putBack: inverse });
  });

  it('is known to changes of it, and to no others', () => {
    const taken = new TakenAway();
    taken.notice({ entry, inverse }, []);
    expect(taken.by([set('s', 'x'), set('t', 'x')])).toEqual({ label: 'Delete title', putBack: inverse });
    expect(taken.by([set('s', 'x')])).toBeUndefined();
  });
});
