import { expect, it } from 'vitest';
import { initialScope, inSample, type Project, projectProblem, sampleConditions } from '../src/index.ts';
import { projectOf } from './documents.ts';

const project: Project = {
  ...projectOf('<screen name="s" />'),
  state: [
    {
      name: 'bookings',
      type: 'list',
      initial: [
        { name: 'Ilka', time: '17:10', people: 4 },
        { name: 'Tomas', time: '18:00', people: 2 },
      ],
    },
    { name: 'bunks', type: 'list', initial: [1, 2, 3] },
    {
      name: 'guests',
      type: 'number',
      initial: 0,
      computed: 'bookings.reduce((sum, row) => sum + row.people, 0)',
    },
  ],
};
const rows = (condition: (typeof sampleConditions)[number]) =>
  inSample(project, condition).state[0]!.initial as readonly Record<string, unknown>[];

it('a table is empty, has one row, many that differ, or long texts; what follows it follows', () => {
  expect(inSample(project, 'typical')).toBe(project);
  expect(rows('empty')).toEqual([]);
  expect(rows('one')).toEqual([{ name: 'Ilka', time: '17:10', people: 4 }]);
  const many = rows('many');
  expect(many).toHaveLength(1000);
  expect(new Set(many.map(({ name }) => name)).size).toBe(1000);
  expect(many[999]).toEqual({ name: 'Tomas 1000', time: '18:00', people: 2 });
  const [long] = rows('long');
  expect(String(long!.name).length).toBeGreaterThan(10);
  // What is no words is left alone.
  expect(long!.time).toBe('17:10');
  const guests = sampleConditions.map((condition) => initialScope(inSample(project, condition))('guests'));
  expect(guests).toEqual([6, 0, 4, 3000, 6, 6, 6]);
});

it('lists that are no tables stay, controls stay the same objects, and all of it is valid', () => {
  for (const condition of sampleConditions) {
    const changed = inSample(project, condition);
    expect(changed.state[1]).toBe(project.state[1]);
    expect(changed.screens[0]).toBe(project.screens[0]);
    expect(projectProblem(changed)).toBeUndefined();
  }
});
