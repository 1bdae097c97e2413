/** What a project says of itself: read and printed, set and taken back, and right after a renaming. */
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { printedCollections } from '../src/collections/catalogue.ts';
import { projectValues } from '../src/collections/project-values.ts';
import {
  applyStep,
  applySteps,
  type Project,
  projectProblem,
  projectValueOf,
  projectValueProblem,
  type Step,
  settingProject,
  stepProblem,
} from '../src/index.ts';
import { printProjectFile, readProjectFile } from '../src/source/project-file.ts';
import { projectOf } from './documents.ts';

const asset = { name: 'ridge.png', type: 'image/png', width: 64, height: 64 };
const project: Project = { ...projectOf('<screen name="Tonight" />'), assets: [asset] };

const keys = ['name', 'start', 'language', 'description', 'icon'] as const;
const good: fc.Arbitrary<Pick<Project, 'language' | 'description' | 'icon'>> = fc.record(
  {
    language: fc.constantFrom('en', 'de-CH', 'zh-Hant-TW', 'pt-br'),
    description: fc.string({ maxLength: 300 }),
    icon: fc.constantFrom('ridge.png', 'no-more.svg'),
  },
  { requiredKeys: [] },
);

it('`project.json` has what is set, and only that', () => {
  expect(printProjectFile(project)).not.toMatch(/language|description|icon/);
  fc.assert(
    fc.property(good, (values) => {
      const whole = { ...project, ...values };
      const read = readProjectFile(printProjectFile(whole));
      if (!('project' in read)) throw new Error(read.problem.message);
      expect(read.project).toEqual({ ...whole, screens: [] });
      expect(projectProblem(whole)).toBeUndefined();
    }),
  );
});

it.each([
  ['language', 'germ!', /no language/],
  ['language', '', /no language/],
  ['description', 'x'.repeat(321), /longer than 320/],
  ['icon', 'x'.repeat(101), /file name/],
  ['name', '  ', /needs a name/],
  ['start', 'x'.repeat(65), /name of a screen/],
] as const)('%s is not %j', (key, value, message) => {
  expect(projectValueProblem(projectValueOf(key), value)).toMatch(message);
  expect(stepProblem(project, { type: 'project', key, value })).toMatch(message);
  expect(applyStep(project, { type: 'project', key, value }).ok).toBe(false);
  expect(projectProblem({ ...project, [key]: value })).toMatch(message);
  const read = readProjectFile(printProjectFile({ ...project, start: 'Tonight', [key]: value }));
  // A start without its screen is not printed: the first one opens.
  if (key === 'start') expect('project' in read).toBe(true);
  else expect('problem' in read && read.problem.message).toMatch(message);
});

it.each(keys)('%s is a text', (key) => {
  for (const value of [5, {}, ['en']]) {
    expect(projectProblem({ ...project, [key]: value })).toMatch(/is a text|has no name/);
    expect(stepProblem(project, { type: 'project', key, value })).toMatch(/is a text|has no name/);
  }
});

describe('a step', () => {
  it('sets a value, takes it back, and does nothing where nothing changes', () => {
    fc.assert(
      fc.property(
        good,
        fc.constantFrom(...keys.slice(2)),
        fc.constantFrom(null, 'en', 'ridge.png'),
        (values, key, value) => {
          const before = { ...project, ...values };
          fc.pre(value === null || projectValueProblem(projectValueOf(key), value) === undefined);
          const steps = settingProject(before, key, value);
          if ((before[key] ?? null) === value) {
            expect(steps).toEqual([]);
            return;
          }
          const applied = applySteps(before, steps);
          if (!applied.ok) throw new Error(applied.reason);
          expect(applied.project[key] ?? null).toBe(value);
          expect(stepProblem(before, steps[0])).toBeUndefined();
          const back = applySteps(applied.project, applied.inverse);
          expect(back.ok && back.project).toEqual(before);
        },
      ),
    );
  });

  it('does not fit where another window has set something else', () => {
    const [step] = settingProject(project, 'language', 'de');
    const other = applyStep({ ...project, language: 'fr' }, step as Step);
    expect(other).toMatchObject({ ok: false });
  });
});

it('names of pictures and screens follow a renaming', () => {
  const renamed = (of: string, from: string, to: string) => {
    const applied = applyStep(
      { ...project, start: 'Tonight', icon: 'ridge.png' },
      { type: 'rename', of, key: from, to },
    );
    if (!applied.ok) throw new Error(applied.reason);
    const back = applyStep(applied.project, applied.inverse);
    expect(back.ok && [back.project.start, back.project.icon]).toEqual(['Tonight', 'ridge.png']);
    return applied.project;
  };
  expect(renamed('assets', 'ridge.png', 'peak.png').icon).toBe('peak.png');
  expect(renamed('assets', 'ridge.png', 'peak.png').start).toBe('Tonight');
  expect(renamed('screens', 'Tonight', 'ridge').start).toBe('ridge');
  expect(renamed('screens', 'Tonight', 'ridge').icon).toBe('ridge.png');
});

it('the published schema knows every value of a project, every list, and the fields of their entities', () => {
  const path = join(import.meta.dirname, '../schema/project.schema.json');
  const schema = JSON.parse(readFileSync(path, 'utf8')) as {
    properties: Record<string, { items?: { type?: string; properties?: Record<string, unknown> } }>;
  };
  expect(Object.keys(schema.properties).toSorted()).toEqual(
    [
      '$schema',
      'format',
      'screens',
      ...projectValues.map(({ key }) => key),
      ...printedCollections().map(({ id }) => id),
    ].toSorted(),
  );
  for (const { id, fields, printed, empty } of printedCollections()) {
    const { type, properties = {} } = schema.properties[id]!.items ?? {};
    // What has its values in a file of its own is listed by its key alone.
    if (type === 'string') expect(typeof printed?.(empty('one'))).toBe('string');
    else expect(Object.keys(properties).toSorted()).toEqual([...fields].toSorted());
  }
});
