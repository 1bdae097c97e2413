/** A project as its application begins: what comes from outside has not come yet. */
import { expect, it } from 'vitest';
import { asBegun, exporterNamed, type Feed, type StateVariable } from '../src/index.ts';
import { noCode, noPieces, projectWith } from './documents.ts';

const feed: Feed = { address: 'stand-ins/mast', as: 'events', every: 1, status: 'mastStatus' };
const mast: StateVariable = { name: 'mast', type: 'record', initial: { wind: 6 }, feed };
const status: StateVariable = { name: 'mastStatus', type: 'text', initial: 'live' };
const begun = (...state: readonly StateVariable[]) =>
  Object.fromEntries(
    asBegun(projectWith(state, '<screen name="A" />')).state.map(({ name, initial }) => [name, initial]),
  );

it('a status waits, and what a feed gives is what it says of its beginning, else the sample', () => {
  expect(begun(mast, status)).toEqual({ mast: { wind: 6 }, mastStatus: 'waiting' });
  expect(begun({ ...mast, feed: { ...feed, start: {} } }, status)).toEqual({
    mast: {},
    mastStatus: 'waiting',
  });
});

it('what follows, what is no text, and what has come with the page stay', () => {
  const computed: StateVariable = { ...status, computed: "'live'" };
  expect(begun(mast, computed).mastStatus).toBe('live');
  const rows = (initial: readonly object[], rows: number): StateVariable => ({
    name: 'stays',
    type: 'list',
    initial,
    table: { id: 't', rows, status: 'mastStatus' },
  });
  expect(begun(rows([{ a: 1 }], 1), status).mastStatus).toBe('live');
  expect(begun(rows([{ a: 1 }], 2), status).mastStatus).toBe('waiting');
});

it('a page is written so: it does not say that anything is live before it is', () => {
  const project = projectWith(
    [{ ...mast, feed: { ...feed, start: {} } }, status],
    '<screen name="A"><text name="t" text="{mastStatus}, {mast.wind ?? \'–\'}" /></screen>',
  );
  const { files } = exporterNamed('html')!.files(project, {
    fonts: { files: [], standIns: [] },
    script: '',
    pieces: noPieces,
    compileCode: noCode,
  });
  expect(files.get('index.html')).toContain('waiting, –');
  expect(files.get('script.js')).toContain('"initial":"waiting"');
});
