/** A thousand bindings: an assignment that few follow against one that all follow, and how often all could follow a second. */

import { parseStatements, parseTemplate } from '@hovrin/core';
import { Runtime } from '@hovrin/core/runtime';
import { noActing } from '../packages/core/test/documents.ts';
import { compare, type Measured, median, time } from './measure.ts';

const bindings = 1000;

const template = (text: string) => {
  const read = parseTemplate(text);
  if (!read.ok) throw new Error(read.problem.message);
  return read.value;
};
const statements = (text: string) => {
  const read = parseStatements(text);
  if (!read.ok) throw new Error(read.problem.message);
  return read.value;
};

export function runs(): Measured[] {
  const nothing = () => {};
  const runtime = new Runtime(
    {
      state: [
        { name: 'wind', type: 'number', initial: 0 },
        { name: 'rare', type: 'number', initial: 0 },
      ],
      screens: [],
    },
    { acting: noActing, problem: nothing },
  );
  for (let index = 0; index < bindings; index++)
    runtime.bind(
      template(index % 100 === 0 ? `{wind * ${index} + rare} km/h` : `{wind * ${index}} km/h`),
      nothing,
    );
  const all = statements('wind = wind + 1');
  const few = statements('rare = rare + 1');
  const second = () => {
    for (let frame = 0; frame < 60; frame++) runtime.run(all);
  };
  second();
  const took = median(Array.from({ length: 9 }, () => time(second)));
  globalThis.gc?.();
  const before = process.memoryUsage().heapUsed;
  for (let change = 0; change < 10_000; change++) runtime.run(few);
  globalThis.gc?.();
  const grown = process.memoryUsage().heapUsed - before;
  return [
    {
      name: 'an assignment that 10 of 1,000 bindings follow',
      against: 'one that all of them follow',
      ratio: compare(
        () => runtime.run(few),
        () => runtime.run(all),
      ),
      aim: null,
    },
    {
      name: '1,000 bindings, 60 changes',
      against: 'the second that they may take',
      ratio: Number((1000 / took).toFixed(2)),
      aim: 1,
    },
    {
      name: 'growth of the heap over 10,000 changes',
      against: '1 MB',
      ratio: Number((1_000_000 / Math.max(1000, grown)).toFixed(2)),
      aim: 1,
      unit: 'smaller',
    },
  ];
}
