/** Handlers of the application's own code that events call and that are not there. */
import { describe, expect, it } from 'vitest';
import { effectiveNames, handlersAtHand, missingHandlers } from '../src/index.ts';
import { projectOf } from './documents.ts';

const found = (text: string) => {
  const read = handlersAtHand(text);
  return 'problem' in read ? read.problem : [[...read.names].toSorted(), read.more];
};

it.each([
  [
    'window.handlers = { quote(nights) {}, async book() {}, "other-name": () => {} };',
    [['book', 'other-name', 'quote'], false],
  ],
  ['globalThis["handlers"] = { [`a`]: 1 };', [[], true]],
  ['var handlers = {}; handlers.quote = () => 5; handlers["book"] = f;', [['book', 'quote'], false]],
  ['(() => { self.handlers = { ...others, quote }; })();', [['quote'], true]],
  ['window.handlers = makeThem();', [[], true]],
  ['window.handlers ??= {}; Object.assign(window.handlers, others);', [[], true]],
  ['const handlers = { quote() {} };', 'it does not set `window.handlers`'],
  ['// nothing', 'it does not set `window.handlers`'],
])('%s', (text, expected) => {
  expect(found(text)).toEqual(expected);
});

it('a file that cannot be read says where', () => {
  expect(found('window.handlers = {')).toMatch(/\(1:19\)/);
});

describe('an event that calls what is not set', () => {
  const project = projectOf(
    `<screen name="s"><button name="a" text="x" on.press="handlers.quote(5)" /><row on.press="handlers.book()" /></screen>`,
  );
  const names = effectiveNames(project.screens[0]!);
  const missing = (text: string) => {
    const read = handlersAtHand(text);
    if ('problem' in read) throw new Error(read.problem);
    return missingHandlers(project, read, (_, control) => names.get(control)!);
  };

  it('is told with its control, and with what may be meant', () => {
    expect(missing('window.handlers = { qoute() {} }')).toEqual([
      {
        ...{ screen: 's', control: 'row1', event: 'press' },
        sentence: '`on.press` calls `handlers.book`, which the code does not set.',
      },
      {
        ...{ screen: 's', control: 'a', event: 'press' },
        sentence: '`on.press` calls `handlers.quote`, which the code does not set. Did you mean `qoute`?',
      },
    ]);
  });

  it('is not told where all are set, or others may be', () => {
    expect(missing('window.handlers = { quote() {}, book() {} }')).toEqual([]);
    expect(missing('window.handlers = { ...others }')).toEqual([]);
  });
});
