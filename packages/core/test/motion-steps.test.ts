/** Steps about motions: new ones, keys, other times, and what is done while one is recorded. */
import { describe, expect, it } from 'vitest';
import {
  applySteps,
  easedKeys,
  keyed,
  motionLines,
  newMotion,
  type Project,
  printScreen,
  recorded,
  repeatedKeys,
  retimed,
  type Step,
  timeText,
} from '../src/index.ts';
import { projectFrom } from './documents.ts';

const project = projectFrom(
  {},
  `<screen name="A"><motion name="m" seconds="2"><key control="t" at="0.5" opacity="1" /></motion><row name="r"><text name="t" text="7" /></row></screen>`,
  '<screen name="B"><text name="u" text="8" /></screen>',
);
const [screen, other] = project.screens as [Project['screens'][0], Project['screens'][0]];
const [line] = motionLines(screen) as [Project['screens'][0]];
let last = 0;
const newId = () => `new${last++}`;
const after = (steps: readonly Step[], of = project): Project => {
  const applied = applySteps(of, steps);
  if (!applied.ok) throw new Error(applied.reason);
  return applied.project;
};
const printed = (steps: readonly Step[]) => printScreen(after(steps).screens[0]!, project.bands);

describe('a new motion', () => {
  it('stands before the controls, behind other motions, with a name that is free', () => {
    const { steps } = newMotion(screen, newId);
    expect(printed(steps)).toMatch(/name="m"[\s\S]*<motion name="motion" \/>\s*<row/);
    const next = after(newMotion(other, newId).steps);
    expect(motionLines(next.screens[1]!).map(({ props }) => props.name)).toEqual(['motion']);
    expect(motionLines(after(newMotion(next.screens[1]!, newId).steps, next).screens[1]!)).toHaveLength(2);
  });
});

describe('a key', () => {
  it('is added, or says more where there is one at the time', () => {
    expect(printed(keyed(line, { control: 't', at: 0.25, values: { scale: '2' } }, newId))).toContain(
      '<key control="t" at="0.5" opacity="1" scale="2" />',
    );
    expect(printed(keyed(line, { control: 't', at: 0.333, values: { scale: '2' } }, newId))).toContain(
      '<key control="t" at="33.3%" scale="2" />',
    );
  });

  it('stands at other times, comes otherwise, is said once more', () => {
    expect(printed(retimed(line.children, () => 0.5))).toContain('at="50%"');
    expect(
      retimed(
        line.children.map((key) => ({ ...key, props: { ...key.props, at: '50%' } })),
        () => 0.5,
      ),
    ).toEqual([]);
    expect(printed(easedKeys(line.children, 'bounce'))).toContain('ease="bounce"');
    expect(printed(repeatedKeys(line, line.children, 0.5, newId))).toContain(
      '<key control="t" at="75%" opacity="1" />',
    );
    expect([timeText(1.4), timeText(-1), timeText(1 / 3)]).toEqual(['100%', '0%', '33.33%']);
  });
});

describe('while a motion is recorded', () => {
  const [row] = screen.children.slice(1) as [Project['screens'][0]];
  const text = row.children[0]!;
  const set = (control: string, property: string, value: string): Step => ({
    type: 'set',
    control,
    property,
    value,
  });
  const steps = (...all: Step[]) => recorded(project, { line: line.id, at: 0.5 }, all, newId);

  it('what a key can say becomes one, for any band', () => {
    expect(printed(steps(set(text.id, 'lap.width', '80'), set(text.id, 'opacity', '0.5')))).toContain(
      '<key control="t" at="50%" width="80" opacity="0.5" />',
    );
  });

  it.each([
    ['words', set('', 'text', '9')],
    ['an expression', set('', 'opacity', '{1}')],
  ])('%s stay what they are', (_, step) => {
    const one = { ...step, control: text.id } as Step;
    expect(steps(one)).toEqual([one]);
  });

  it('what is on another screen stays what it is', () => {
    const one = set(other.children[0]!.id, 'opacity', '0.2');
    expect(steps(one)).toEqual([one]);
  });
});
