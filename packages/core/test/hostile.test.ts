/** Projects of somebody who means harm: expressions that reach for what is not theirs, and texts that are no texts. */
import { describe, expect, it } from 'vitest';
import { EvaluationError } from '../src/expression/budget.ts';
import { checkStatements } from '../src/expression/check.ts';
import { evaluateTemplate } from '../src/expression/evaluate.ts';
import { checkTemplate, exporterNamed, type Project, parseStatements, parseTemplate } from '../src/index.ts';
import { Runtime } from '../src/runtime/index.ts';
import { noActing, noCode, noPieces, projectOf } from './documents.ts';

const reaching = [
  'window',
  'globalThis.location',
  'document.cookie',
  'this',
  'self.fetch',
  'process.env',
  'import("node:fs")',
  'require("fs")',
  'new Function("return 1")()',
  'eval("1")',
  'Function("return this")()',
  '(() => 1).constructor("return this")()',
  '"".constructor.constructor("return this")()',
  '[].map.call',
  'name["const" + "ructor"]',
  'name["__pro" + "to__"]',
  'rows.map.constructor',
  'Object.getPrototypeOf(rows)',
  'Object.keys.apply',
  'Reflect.ownKeys(rows)',
  'rows.reduce((a, b) => a.constructor, rows)',
  'Format.number.constructor',
  'Format.constructor',
  '(function () { return this })()',
  // biome-ignore lint/suspicious/noTemplateCurlyInString: the expression's own template.
  '`${window}`',
  'rows?.constructor?.constructor',
  'async () => 1',
  'name.replace(/a/, () => window)',
  'name.__defineGetter__("x", () => 1)',
  'rows.toString.call(window)',
  'super.x',
  'new.target',
  'delete rows.x',
  'void 0',
  'rows instanceof Object',
  '"x" in rows',
  'yield 1',
];
const scope = (name: string) => {
  if (name === 'name') return 'Ilka';
  if (name === 'rows') return [{ who: 'Ilka' }];
  throw new EvaluationError(`There is no ${name}`);
};

describe('an expression', () => {
  it.each(reaching)('%s reaches nothing', (text) => {
    const read = parseTemplate(`{${text}}`);
    if (!read.ok) return;
    let value: unknown;
    try {
      value = evaluateTemplate(read.value, scope);
    } catch (error) {
      expect(error).toBeInstanceOf(EvaluationError);
      return;
    }
    // What is not refused gives nothing, or words.
    expect(['undefined', 'string']).toContain(typeof value);
    expect(String(value)).not.toMatch(/native code|\[object Window\]/);
  });

  it.each([
    "'x'.repeat(1e9)",
    "[...'x'.repeat(1000)].flatMap(a => [...'x'.repeat(1000)])",
    "rows.reduce((a, b) => a + a, 'x'.repeat(900000))",
    'Array.from(rows)',
    '[1,2,3,4,5,6,7,8,9].flatMap(a => [1,2,3,4,5,6,7,8,9].flatMap(b => [1,2,3,4,5,6,7,8,9].flatMap(c => [1,2,3,4,5,6,7,8,9].flatMap(d => [1,2,3,4,5,6,7,8,9].flatMap(e => [1,2,3,4,5,6,7,8,9].map(f => a))))))',
    `${'('.repeat(400)}1${')'.repeat(400)}`,
    `${'[['.repeat(60)}${']]'.repeat(60)}`,
  ])('%.60s ends', (text) => {
    const read = parseTemplate(`{${text}}`);
    // One that does not end never comes to the end of this test.
    let ended: unknown = 'not read';
    if (read.ok)
      try {
        evaluateTemplate(read.value, scope);
        ended = 'with a value';
      } catch (error) {
        ended = error instanceof EvaluationError ? 'with a sentence' : error;
      }
    expect(['not read', 'with a value', 'with a sentence']).toContain(ended);
  });
});

describe('an event', () => {
  const around = {
    names: new Map([
      ['name', 'text'],
      ['rows', 'list'],
    ]),
    screens: new Set(['s']),
  };

  it.each([
    'window.location = "https://elsewhere.example"',
    'rows.__proto__.polluted = 1',
    'rows["__proto__"].polluted = 1',
    'rows.constructor.prototype.polluted = 1',
    'name.constructor = 1',
    'fetch("https://elsewhere.example")',
    'handlers.constructor.constructor("return this")()',
    'handlers["constructor"]()',
    'while (true) {}',
    'for (;;) {}',
    'for (const x in rows) {}',
    'throw name',
    'function f() {}',
    'const x = 1',
    'import("x")',
    'debugger',
    'with (rows) {}',
  ])('%s is refused, or changes nothing but the state', (text) => {
    const checked = checkStatements(text, around);
    if (checked.ok) {
      const runtime = new Runtime(
        {
          state: [
            { name: 'name', type: 'text', initial: 'Ilka' },
            { name: 'rows', type: 'list', initial: [] },
          ],
          screens: [],
        },
        { acting: noActing, problem: () => {} },
      );
      runtime.run(checked.value);
    }
    expect(({} as { polluted?: unknown }).polluted).toBeUndefined();
    expect(([] as { polluted?: unknown }).polluted).toBeUndefined();
  });

  it('that computes the name of a prototype does not reach it', () => {
    const problems: string[] = [];
    const runtime = new Runtime(
      { state: [{ name: 'box', type: 'record', initial: {} }], screens: [] },
      { acting: noActing, problem: (text) => problems.push(text) },
    );
    const run = (text: string) => {
      const parsed = parseStatements(text);
      if (parsed.ok) runtime.run(parsed.value);
    };
    run('box["__pro" + "to__"] = { polluted: 1 }');
    run('box["__pro" + "to__"].polluted = 1');
    run('box["constr" + "uctor"].polluted = 1');
    expect(problems).toHaveLength(3);
    expect(({} as { polluted?: unknown }).polluted).toBeUndefined();
  });
});

describe('texts in a page', () => {
  const harm = '"><script>alert(1)</script><img src=x onerror=alert(1)>';
  const attribute = harm.replaceAll('"', '&quot;').replaceAll('<', '&lt;').replaceAll('>', '&gt;');
  const project: Project = {
    ...projectOf(
      `<screen name="s" title="${attribute}"><text text="${attribute}" /><link text="go" to="{'java' + 'script:alert(1)'}" />
        <button text="${attribute}" on.press="message('${attribute.replaceAll('&quot;', '')}')" /><textField label="${attribute}" hint="${attribute}" placeholder="${attribute}" />
        <select label="x" options="${attribute.replaceAll('|', '')}" /><repeat each="{[]}" empty="${attribute}"><text text="x" /></repeat></screen>`,
    ),
    name: harm,
    state: [
      { name: 'guests', type: 'number', initial: 3 },
      { name: 'name', type: 'text', initial: `</script>${harm}` },
      { name: 'late', type: 'boolean', initial: false },
    ],
  };

  it('stay texts in its HTML, its script and its links', () => {
    const files = exporterNamed('html')!.files(project, {
      fonts: { files: [], standIns: [] },
      script: 'var hovrinPage;',
      pieces: noPieces,
      compileCode: noCode,
    }).files;
    const html = files.get('index.html')!;
    expect(html).not.toMatch(/<script>alert|<img src=x|onerror=alert\(1\)[^&]*>|href="javascript:/i);
    for (const [path, text] of files) if (path !== 'index.html') expect(text).not.toContain('</script>');
  });

  it('with a name that closes a tag are refused as names', () => {
    expect(() => projectOf('<screen name="s"><text name="a b" text="x" /></screen>')).toThrow();
    expect(() => projectOf('<screen name="s"><link to="javascript:alert(1)" /></screen>')).toThrow();
    expect(checkTemplate('{</script>}', { names: new Map(), screens: new Set() }).ok).toBe(false);
  });
});
