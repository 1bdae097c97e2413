/** The project's own code: what is read of it, what expressions may call, files, problems, and what the compiler says. */
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import fc from 'fast-check';
import ts from 'typescript-js';
import { describe, expect, it } from 'vitest';
import { codeService } from '../src/code/code-service.ts';
import { codeExports } from '../src/document/code-exports.ts';
import { ownFunctionsOf, sampleOf } from '../src/expression/own-functions.ts';
import {
  applySteps,
  checkTemplate,
  codeTypesText,
  contextOf,
  dropping,
  exporterNamed,
  initialScope,
  printFolder,
  problemsOf,
  putting,
  readFolder,
  stateNameProblem,
} from '../src/index.ts';
import { noPieces, projectFrom } from './documents.ts';

const prices = `import { tax } from './taxes.ts';
// export function hidden() {}
const text = "export function quoted() {}";
/**
 * What a stay costs.
 * @sample 126
 */
export function cost(nights: number, price = 42, ...more: number[]): number {
  function inner() { return 1; }
  return nights * price * tax;
}
export const twice = (n: number): number => n * 2;
/** @sample ['a', 'b'] */
export const words = <T extends { a: string }>(of: readonly T[], by?: (one: T, other: T) => number) => of.map(({ a }) => a);
export const shout = text => text.toUpperCase();
export type Price = { amount: number };
export interface Room { name: string }
export async function later(): Promise<void> {}
export class Shop { export() {} }
export default 5;
`;
const taxes = 'export const tax = 1.1;\n';

const state = [{ name: 'nights', type: 'number', initial: 3 }] as const;
const shows = '<screen name="A"><text name="t" text="{code.cost(nights)} €" /></screen>';
const project = (code: readonly { name: string; text: string }[], source = '<screen name="A" />') =>
  projectFrom({ state, code }, source);

describe('what a file exports', () => {
  it('is found with what it takes, gives and says', () => {
    const { functions, others } = codeExports(prices);
    expect(
      functions.map(({ name, least, most, gives, isAsync }) => [name, least, most, gives, isAsync]),
    ).toEqual([
      ['cost', 1, Number.POSITIVE_INFINITY, 'number', false],
      ['twice', 1, 1, 'number', false],
      ['words', 1, 2, undefined, false],
      ['shout', 1, 1, undefined, false],
      ['later', 0, 0, 'Promise<void>', true],
    ]);
    expect(functions[0]).toMatchObject({ doc: 'What a stay costs.', sample: '126' });
    expect(functions.map(({ name, at }) => prices.slice(at, at + name.length))).toEqual(
      functions.map(({ name }) => name),
    );
    expect(others.map(({ what }) => what)).toEqual(['class', 'default']);
  });

  it.each([
    [
      'export function a(x: { y: number }, z?: () => void): { b: number } { return { b: 1 }; }',
      1,
      2,
      '{ b: number }',
    ],
    ['export function a(x: (y: number) => boolean = () => true): string | null {}', 0, 1, 'string | null'],
    ['export function a({ b, c }: { b: 1; c: 2 }, [d]: number[]) {}', 2, 2, undefined],
    ['export const a: (n: number) => number = (n) => n;', 1, 1, undefined],
    ['export function a<T>(this: Window, t: Map<string, T>): T[] {}', 1, 1, 'T[]'],
    ['const r = /export function b(/; export function a() {}', 0, 0, undefined],
    ['`$' + '{`export function b() {}`}`;\nexport function a() {}', 0, 0, undefined],
  ])('%s', (text, least, most, gives) => {
    expect(codeExports(text).functions).toMatchObject([{ name: 'a', least, most }]);
    expect(codeExports(text).functions[0]!.gives).toBe(gives);
  });

  it('is read of any text, however broken', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.constantFrom(
            'export ',
            'function ',
            'a',
            '(',
            ')',
            '{',
            '}',
            '`',
            '"',
            '/*',
            '*/',
            '=>',
            '<',
            ',',
            '\n',
            '/',
          ),
        ),
        (parts) => {
          const { functions } = codeExports(parts.join(''));
          expect(functions.every(({ name }) => name.length > 0)).toBe(true);
        },
      ),
    );
  });
});

describe('an expression', () => {
  const code = [
    { name: 'prices', text: prices },
    { name: 'taxes', text: taxes },
  ];
  const check = (text: string) => {
    const checked = checkTemplate(text, contextOf(project(code)));
    return checked.ok ? '' : checked.problem.message;
  };

  it('may call what the project’s code exports, with as many values as it takes', () => {
    expect(check('{code.cost(nights)}')).toBe('');
    expect(check('{code.cost(nights, 2, 3, 4)}')).toBe('');
    expect(check('{code.cost()}')).toBe('`code.cost` takes 1 or more values.');
    expect(check('{code.twice(1, 2)}')).toBe('`code.twice` takes 1 value.');
    expect(check('{code.words([], 1, 2)}')).toBe('`code.words` takes 1 to 2 values.');
    expect(check('{code.cots(nights)}')).toBe(
      'The project’s code has no function `cots`. Did you mean `cost`?',
    );
    expect(check('{[nights].map(n => code.twice(...[n]))}')).toBe('');
    expect(check('{code.cost(days)}')).toContain('There is no state variable `days`');
  });

  it('is worked out with samples where the code does not run', () => {
    const scope = initialScope(project(code));
    expect(scope('code.cost')).toBe(126);
    expect(() => scope('code.nothing')).toThrow('no function `nothing`');
    const of = (text: string) => sampleOf([...ownFunctionsOf({ code: [{ name: 'm', text }] }).values()][0]!);
    expect(of('export function a(): string {}')).toBe('');
    expect(of('export function a(): readonly number[] {}')).toEqual([]);
    expect(of('export function a() {}')).toBe(null);
    expect(of("/** @sample ['a', { b: 2 }] */\nexport function a() {}")).toEqual(['a', { b: 2 }]);
    expect(() => of('/** @sample nights */\nexport function a() {}')).toThrow('it stands for itself');
    expect(() => of('/** @sample ( */\nexport function a() {}')).toThrow('@sample');
  });

  it('a variable may be called `code`, too', () => {
    const named = projectFrom({ state: [{ name: 'code', type: 'text', initial: ' x ' }], code });
    const checked = checkTemplate('{code.trim()}{code.length}', contextOf(named));
    expect(checked.ok).toBe(true);
    expect(stateNameProblem(named, 'code2')).toBeUndefined();
  });
});

describe('in a project', () => {
  const code = [
    { name: 'prices', text: prices },
    { name: 'taxes', text: taxes },
  ];
  const whole = project(code, shows);

  it('lies in files of its own, and comes back as it was', () => {
    const files = printFolder(whole);
    expect(files.get('code/prices.ts')).toBe(prices);
    let ids = 0;
    const read = readFolder(files, () => `n${++ids}`);
    expect(read.ok && read.project.code).toEqual(whole.code);
    const bad = readFolder(new Map([...files, ['code/hovrin.ts', '']]), () => `n${++ids}`);
    expect(bad.ok ? [] : bad.problems).toMatchObject([{ file: 'code/hovrin.ts' }]);
    // Types beside it are not a part of it.
    const typed = readFolder(new Map([...files, ['code/more.d.ts', '']]), () => `n${++ids}`);
    expect(typed.ok && typed.project.code).toHaveLength(2);
  });

  it('changes by steps; imports follow a renamed file', () => {
    const renamed = applySteps(whole, [{ type: 'rename', of: 'code', key: 'taxes', to: 'rates' }]);
    expect(renamed.ok && renamed.project.code?.map(({ name }) => name)).toEqual(['prices', 'rates']);
    expect(renamed.ok && renamed.project.code![0]!.text).toContain("from './rates.ts'");
    const put = applySteps(whole, [putting('code', { name: 'a', text: '' })]);
    expect(put.ok && put.project.code?.map(({ name }) => name)).toEqual(['a', 'prices', 'taxes']);
    const dropped = applySteps(whole, [dropping('code', code[1]!), dropping('code', code[0]!)]);
    expect(dropped.ok && 'code' in dropped.project).toBe(false);
  });

  it('is a script in front of the page’s', () => {
    const { files } = exporterNamed('html')!.files(whole, {
      fonts: { files: [], standIns: [] },
      script: '',
      pieces: noPieces,
      compileCode: (modules) => modules.map(({ name }) => name).join(),
    });
    expect(files.get('code.js')).toBe('prices,taxes');
    expect(files.get('index.html')).toMatch(/src="code.js" defer><\/script>\s*<script src="script.js"/);
    expect(files.get('index.html')).toContain('126 €');
  });
});

describe('problems', () => {
  const told = (code: readonly { name: string; text: string }[], source?: string) =>
    problemsOf(project(code, source))
      .filter(({ kind }) => kind === 'code' || kind === 'no-handler')
      .map(({ sentence }) => sentence);

  it('name exports that nothing can call', () => {
    expect(
      told([
        { name: 'a', text: 'export function one() {}\nexport async function two() {}\nexport default 1;' },
        {
          name: 'b',
          text: 'export function one() {}\nexport function trim() {}\n/** @sample ) */\nexport function c() {}',
        },
      ]),
    ).toEqual([
      expect.stringContaining('`two` is async'),
      expect.stringContaining('`export default` cannot be called'),
      expect.stringContaining('`one` is exported by `a` already'),
      expect.stringContaining('method of a variable'),
      expect.stringContaining('@sample'),
    ]);
  });

  it('name handlers that events call and the code does not have, where it has some', () => {
    const source = '<screen name="A"><button name="b" text="B" on.press="handlers.send(nights)" /></screen>';
    expect(told([{ name: 'handlers', text: 'export async function sent(n: number) {}' }], source)).toEqual([
      '`code/handlers.ts` does not export `send`, which lies beside the page then. Did you mean `sent`?',
    ]);
    expect(told([{ name: 'a', text: '' }], source)).toEqual([]);
  });
});

describe('the compiler', () => {
  const libs = join(import.meta.dirname, '../../../node_modules/typescript-js/lib');
  const service = codeService(ts, (name) => {
    try {
      return readFileSync(join(libs, name), 'utf8');
    } catch {
      return undefined;
    }
  });
  const source = '<screen name="A"><button name="b" text="B" on.press="handlers.send(nights)" /></screen>';
  const handlers =
    "import { state, go } from 'hovrin';\nimport { twice } from './math';\nexport async function send(nights: number): Promise<void> {\n  state.nights = twice(nights);\n  go('A');\n}\n";
  const math = 'export const twice = (n: number): number => n * 2;\n';
  const set = (...code: { name: string; text: string }[]) =>
    service.set(code, codeTypesText(project(code, source)));

  it('knows the state, the screens and other files', () => {
    set({ name: 'handlers', text: handlers }, { name: 'math', text: math });
    expect(service.problems()).toEqual([]);
    const at = handlers.indexOf('state.nights') + 'state.'.length;
    expect(service.complete('handlers', at).map(({ label }) => label)).toContain('nights');
    expect(service.about('handlers', handlers.indexOf('twice(nights)'))).toMatchObject({
      type: expect.stringContaining('twice(n: number): number'),
    });
    expect(service.about('nothing', 0)).toBeUndefined();
  });

  it('says what is wrong, and where', () => {
    const wrong = handlers.replace("go('A')", "go('B')").replace('state.nights = ', 'state.nigths = ');
    set({ name: 'handlers', text: wrong }, { name: 'math', text: math });
    expect(service.problems().map(({ from, to }) => wrong.slice(from, to))).toEqual(['nigths', "'B'"]);
    set({ name: 'handlers', text: 'export const send = (nights: string, room: string) => 5;' });
    expect(service.problems()).toMatchObject([
      { module: 'handlers', message: expect.stringContaining('send') },
    ]);
    set({ name: 'broken', text: 'export function (' });
    expect(service.problems().length).toBeGreaterThan(0);
  });
});
