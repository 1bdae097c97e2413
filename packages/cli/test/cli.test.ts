import { mkdir, mkdtemp, readdir, readFile, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { run } from '../src/main.ts';

let folder: string;
beforeAll(async () => {
  folder = await mkdtemp(join(tmpdir(), 'hovrin-cli-'));
  await writeFile(
    join(folder, 'a.screen.xml'),
    '<screen name="Tonight"><row gap="10px"><text text="Supper" width="share" /><text text="{guests}" /></row></screen>',
  );
  await writeFile(join(folder, 'bad.screen.xml'), '<screen>\n  <row gpa="1" />\n</screen>');
});
afterAll(() => rm(folder, { recursive: true }));

async function hovrin(...words: string[]) {
  let out = '';
  let err = '';
  const code = await run(
    words,
    (text) => {
      out += text;
    },
    (text) => {
      err += text;
    },
  );
  return { code, out, err };
}

describe('hovrin layout', () => {
  it('prints the boxes in tree order; controls without a name get one from their kind', async () => {
    const { code, out } = await hovrin('layout', join(folder, 'a.screen.xml'), '--size', '390x844');
    expect(code).toBe(0);
    expect(JSON.parse(out)).toMatchObject([
      { name: 'Tonight', kind: 'screen', x: 0, y: 0, width: 390, height: 844 },
      { name: 'row1', kind: 'row', width: 390 },
      { name: 'text1', kind: 'text', x: 0, y: 0 },
      { name: 'text2', kind: 'text' },
    ]);
  });

  it('prints the boxes of an instant of a motion', async () => {
    const file = join(folder, 'moving.screen.xml');
    await writeFile(
      file,
      '<screen name="A"><motion name="grow" seconds="2"><key control="t" at="0" width="100" /><key control="t" at="100%" width="200" /></motion><text name="t" text="7" /></screen>',
    );
    const at = async (...words: string[]) => hovrin('layout', file, '--size', '390x844', ...words);
    const { out } = await at('--motion', 'grow', '--at', '1.5');
    expect(JSON.parse(out)).toMatchObject([{ name: 'A' }, { name: 't', width: 175 }]);
    expect(await at('--motion', 'gro')).toMatchObject({ code: 2, err: expect.stringContaining('`grow`') });
    expect(await at('--motion', 'grow', '--at', 'soon')).toMatchObject({
      code: 2,
      err: expect.stringContaining('no time'),
    });
  });

  it('prints one line for each of several sizes', async () => {
    const file = join(folder, 'a.screen.xml');
    const { out } = await hovrin(
      'layout',
      file,
      '--size',
      '390x844',
      '--size',
      '1280x800',
      '--text-scale',
      '1.3',
      '--rtl',
    );
    const lines = out
      .trim()
      .split('\n')
      .map((line) => JSON.parse(line) as { file: string; size: string; boxes: { width: number }[] });
    expect(lines.map(({ file: from, size, boxes }) => [from, size, boxes[0]!.width])).toEqual([
      [file, '390x844', 390],
      [file, '1280x800', 1280],
    ]);
  });

  it.each([
    [['layout', 'nowhere.xml', '--size', '390x844'], 'There is no file or folder nowhere.xml.'],
    [['layout', '--size', '390x844'], 'Which file?'],
    [['layout', 'x', '--size', 'big'], '`big` is not a size'],
    [['layout', 'x', '--sise', '1x1'], "Unknown option '--sise'"],
    [['lay'], 'There is no command `lay`.'],
    [['export', 'pdf'], '`pdf` cannot be written'],
  ])('%j is bad input', async (words, message) => {
    const { code, out, err } = await hovrin(...words);
    expect([code, out]).toEqual([2, '']);
    expect(err).toContain(message);
  });

  it('lengthens all texts in the trial locale, and in no other', async () => {
    const file = join(folder, 'words.screen.xml');
    await writeFile(file, '<screen><row><text name="t" text="Arrivals" /></row></screen>');
    const wide = async (...locale: string[]) => {
      const { out } = await hovrin('layout', file, '--size', '390x844', ...locale);
      return (JSON.parse(out) as { name: string; width: number }[]).find(({ name }) => name === 't')!.width;
    };
    const plain = await wide();
    expect(await wide('--locale', 'de')).toBe(plain);
    expect(await wide('--locale', 'x-long')).toBeGreaterThan(plain * 1.25);
  });

  it('names file, line and column of what is wrong', async () => {
    const { code, err } = await hovrin('layout', join(folder, 'bad.screen.xml'), '--size', '1x1');
    expect(code).toBe(2);
    expect(err).toContain('bad.screen.xml:2:8: A row has no attribute `gpa`. Did you mean `gap`?');
  });
});

describe('hovrin export html', () => {
  it('writes a page whose words cannot become markup', async () => {
    const file = join(folder, 'hostile.screen.xml');
    await writeFile(
      file,
      '<screen name="Tonight"><text name="t" text="&lt;script&gt;alert(1)&lt;/script&gt; &amp; &quot;so&quot;" /><textField name="f" label="x" placeholder="&quot; onfocus=&quot;alert(1)" /></screen>',
    );
    const out = join(folder, 'out');
    expect((await hovrin('export', 'html', file, '--out', out)).code).toBe(0);
    const html = await readFile(join(out, 'index.html'), 'utf8');
    expect(html).toContain('data-name="t">&lt;script&gt;alert(1)&lt;/script&gt; &amp; "so"</p>');
    expect(html).toContain('placeholder="&quot; onfocus=&quot;alert(1)"');
    expect((await readFile(join(out, 'style.css'), 'utf8')).length).toBeGreaterThan(500);
    expect((await readFile(join(out, 'script.js'), 'utf8')).includes('hovrinPage.start(')).toBe(true);
  });
});

describe('hovrin export html, once more', () => {
  it('removes what is no part of it any more, keeps what somebody changed, leaves what is a person’s own', async () => {
    const file = join(folder, 'again.screen.xml');
    const out = join(folder, 'again');
    const path = (name: string) => join(out, name);
    const write = (words: string) => writeFile(file, `<screen name="Again">${words}</screen>`);
    await write('<text weight="700" text="ΑΒΓ" /><button text="Ring" on.press="handlers.ring(2)" />');
    expect((await hovrin('export', 'html', file, '--out', out)).out).not.toContain('Removed');
    const fonts = await readdir(path('fonts'));
    expect(fonts.some((name) => name.includes('greek'))).toBe(true);
    expect(await readFile(path('handlers.js'), 'utf8')).toContain("console.info('handlers.ring', value1);");
    await writeFile(path('handlers.js'), 'window.handlers = {};');
    await writeFile(path('style.css'), 'body {}');
    await writeFile(path('notes.txt'), 'mine');
    await write('<button text="Ring" on.press="handlers.ring(3)" />');
    const { out: told } = await hovrin('export', 'html', file, '--out', out);
    expect(told).toMatch(/Removed, no part of it any more: .*greek/);
    expect(told).toContain('Left as it is, your own: handlers.js');
    expect(told).toContain('style.css was not as it had been written; that one is style.css.changed now.');
    expect((await readdir(path('fonts'))).some((name) => name.includes('greek'))).toBe(false);
    expect(await readFile(path('handlers.js'), 'utf8')).toBe('window.handlers = {};');
    expect(await readFile(path('style.css.changed'), 'utf8')).toBe('body {}');
    expect(await readFile(path('notes.txt'), 'utf8')).toBe('mine');
    await writeFile(path('style.css'), 'p {}');
    const { out: again } = await hovrin('export', 'html', file, '--out', out);
    expect(again).not.toContain('Removed');
    expect(again).toContain('that one is style.css.changed-2 now.');
    expect(await readFile(path('style.css.changed-2'), 'utf8')).toBe('p {}');
    // Without a list, too, nothing is written over; what is the same is no change.
    await rm(path('hovrin-files.json'));
    await writeFile(path('fonts.css'), 'mine');
    const { out: unlisted } = await hovrin('export', 'html', file, '--out', out);
    expect(unlisted.match(/that one is/g)).toHaveLength(1);
    expect(await readFile(path('fonts.css.changed'), 'utf8')).toBe('mine');
    // A list that names what lies elsewhere touches nothing there.
    await writeFile(join(folder, 'safe.txt'), 'safe');
    await writeFile(
      path('hovrin-files.json'),
      JSON.stringify({ files: { '../safe.txt': 'x', 'fonts/../../safe.txt': 'x' } }),
    );
    await hovrin('export', 'html', file, '--out', out);
    expect(await readFile(join(folder, 'safe.txt'), 'utf8')).toBe('safe');
  });
});

describe('hovrin why', () => {
  const ask = (...words: string[]) =>
    hovrin('why', join(folder, 'a.screen.xml'), '--size', '390x844', ...words);

  it('says it in words, with the arithmetic, what was set and what would change it', async () => {
    const { code, out } = await ask('--control', 'text1', '--axis', 'width');
    expect(code).toBe(0);
    expect(out).toMatch(/^width: `text1` is [\d.]+ wide: `row1` is 390 wide inside/);
    expect(out).toMatch(/left over: 390 /);
    expect(out).toMatch(/width: share \(set here\)/);
  });

  it('calls controls by their names, and says of others whose a value is', async () => {
    const { out } = await ask('--control', 'text1', '--axis', 'height');
    expect(out).toMatch(/`row1` \w[\w-]*: /);
    const { out: json } = await ask('--control', 'text1', '--json');
    const found = JSON.parse(json) as {
      control: string;
      mentions: string[];
      sources: { control: string }[];
      fixes: { steps: { control: string }[] }[];
    }[];
    const called = found.flatMap(({ control, mentions, sources, fixes }) => [
      ...[control, ...mentions, ...sources.map((source) => source.control)],
      ...fixes.flatMap(({ steps }) => steps.map((step) => step.control)),
    ]);
    const { out: boxes } = await hovrin('layout', join(folder, 'a.screen.xml'), '--size', '390x844');
    const names = (JSON.parse(boxes) as { name: string }[]).map(({ name }) => name);
    expect(called.filter((name) => !names.includes(name))).toEqual([]);
    expect(new Set(called)).toContain('row1');
  });

  it('answers all four questions as JSON', async () => {
    const { out } = await ask('--control', 'text2', '--json');
    const found = JSON.parse(out) as { question: string; workings: unknown[]; value: number }[];
    expect(found.map(({ question }) => question)).toEqual(['width', 'height', 'x', 'y']);
    expect(found.every(({ workings, value }) => workings.length > 0 && Number.isFinite(value))).toBe(true);
  });

  it.each([
    [['--control', 'txet1'], 'Did you mean `text1`?'],
    [['--control', 'text1', '--axis', 'depth'], 'is no axis'],
    [[], 'Which control?'],
  ])('refuses %j', async (words, message) => {
    const { code, err } = await ask(...words);
    expect(code).toBe(2);
    expect(err).toContain(message);
  });
});

describe('hovrin sweep', () => {
  const ask = (...words: string[]) => hovrin('sweep', join(folder, 'a.screen.xml'), ...words);

  it('prints stretches and what happens between them', async () => {
    const { code, out } = await ask('--from', '300', '--to', '600', '--control', 'text1');
    expect(code).toBe(0);
    expect(out).toMatch(/^300 to 559\.9844: text1 [\d.]+ x [\d.]+ to/);
    expect(out).toContain('560: `lap` begins');
  });

  it('as JSON has every box at both ends of each stretch', async () => {
    const { out } = await ask('--from', '300', '--to', '600', '--json');
    const found = JSON.parse(out) as { from: number; to: number; boxes: { name: string }[] }[];
    expect([found[0]!.from, found.at(-1)!.to]).toEqual([300, 600]);
    expect(found[0]!.boxes.map(({ name }) => name)).toEqual(['Tonight', 'row1', 'text1', 'text2']);
  });

  it.each([
    [['--from', '900', '--to', '300'], 'ends (300) before it begins'],
    [['--from', 'wide'], 'takes a length'],
    [['--control', 'nobody'], 'There is no control'],
  ])('refuses %j', async (words, message) => {
    const { code, err } = await ask(...words);
    expect(code).toBe(2);
    expect(err).toContain(message);
  });
});

describe('hovrin check', () => {
  it('names handlers that the application’s own code lacks, where that is at hand', async () => {
    const own = join(folder, 'own');
    await mkdir(join(own, 'screens'), { recursive: true });
    await writeFile(
      join(own, 'screens/s.screen.xml'),
      '<screen name="s"><heading level="1" text="x" /><button name="a" text="x" min-width="60" min-height="44" on.press="handlers.quote(5)" /></screen>',
    );
    expect((await hovrin('check', own)).code).toBe(0);
    await writeFile(join(own, 'handlers.js'), 'window.handlers = { qoute() {} };');
    const { code, out } = await hovrin('check', own);
    expect(code).toBe(1);
    expect(out).toContain('s.a: error: No such handler\n  `on.press` calls `handlers.quote`');
    expect(out).toContain('1 error,');
    const json = JSON.parse((await hovrin('check', own, '--json')).out);
    expect(json[0]).toMatchObject({ check: 'no-handler', control: 'a', attribute: 'on.press' });
    const other = join(folder, 'other.js');
    await writeFile(other, 'window.handlers = { quote() {} };');
    expect((await hovrin('check', own, '--handlers', other)).code).toBe(0);
    expect((await hovrin('check', own, '--handlers', join(folder, 'none.js'))).code).toBe(2);
    await writeFile(other, 'window.handlers = {');
    expect(await hovrin('check', own, '--handlers', other)).toMatchObject({ code: 2 });
  });

  it('says what is wrong, where, and what would mend it; exit code 1', async () => {
    const file = join(folder, 'wide.screen.xml');
    await writeFile(file, '<screen name="s"><row><column name="a" width="400" height="9" /></row></screen>');
    const { code, out } = await hovrin('check', file);
    expect(code).toBe(1);
    expect(out).toContain('s.a: error: Outside the screen, 280–399 px');
    expect(out).toContain('`a` reaches up to 120 px out of the screen.');
    expect(out).toContain('→ Let `a` be at most as wide as `row1`');
    expect(out).toContain('1 error, 0 warnings, 0 pieces of advice');
    const json = await hovrin('check', file, '--json', '--from', '300', '--to', '500');
    expect(JSON.parse(json.out)).toMatchObject([
      {
        screen: 's',
        check: 'off-screen',
        severity: 'error',
        control: 'a',
        where: [{ from: 300 }, {}, {}, {}],
      },
    ]);
  });
  it('is content with the demo, also from right to left', async () => {
    const demo = join(import.meta.dirname, '../../../demo/velmora-hut');
    for (const words of [[demo], [demo, '--rtl']]) {
      const { code, out } = await hovrin('check', ...words);
      expect(out).toMatch(/^0 errors, 0 warnings/m);
      expect(code).toBe(0);
    }
  });
  it('refuses what it cannot read', async () => {
    expect((await hovrin('check')).code).toBe(2);
    expect((await hovrin('check', join(folder, 'bad.screen.xml'))).code).toBe(2);
    expect((await hovrin('check', join(folder, 'a.screen.xml'), '--from', '900', '--to', '300')).code).toBe(
      2,
    );
  });
});

describe('hovrin strings', () => {
  let project: string;
  beforeAll(async () => {
    project = join(folder, 'translated');
    await mkdir(join(project, 'screens'), { recursive: true });
    await writeFile(
      join(project, 'project.json'),
      JSON.stringify({ format: 2, name: 'Hut', locales: ['en', 'de', 'ar'], screens: ['Tonight'] }),
    );
    await writeFile(
      join(project, 'screens/Tonight.screen.xml'),
      '<screen name="Tonight"><heading name="title" text="Tonight" /><row><text name="soup" text="Soup" /></row></screen>',
    );
  });

  it('goes out, comes in and is laid out in its language, from right to left where it is written so', async () => {
    const out = join(folder, 'strings.csv');
    expect((await hovrin('strings', project)).out).toBe(
      'de: 0 of 2 translated, 2 missing\nar: 0 of 2 translated, 2 missing\n',
    );
    expect(await hovrin('strings', project, '--out', out, '--locale', 'de')).toMatchObject({ code: 0 });
    await writeFile(out, 'key,text\nTonight.soup.text,Eine sehr lange Suppe\n');
    expect(await hovrin('strings', project, '--in', out, '--locale', 'de')).toMatchObject({ code: 0 });
    expect(JSON.parse(await readFile(join(project, 'strings/de.json'), 'utf8'))).toEqual({
      'Tonight.soup.text': { text: 'Eine sehr lange Suppe', source: 'Soup' },
    });
    const boxes = async (...words: string[]) => {
      const told = await hovrin('layout', project, '--size', '390x844', ...words);
      return JSON.parse(told.out) as { name: string; x: number; width: number }[];
    };
    const soup = (all: { name: string; x: number; width: number }[]) =>
      all.find(({ name }) => name === 'soup')!;
    const [plain, german, arabic] = [
      soup(await boxes()),
      soup(await boxes('--locale', 'de')),
      soup(await boxes('--locale', 'ar')),
    ];
    expect(german.width).toBeGreaterThan(plain.width * 2);
    expect(arabic.x).toBeGreaterThan(300);
    expect(await hovrin('layout', project, '--size', '390x844', '--locale', 'fr')).toMatchObject({ code: 2 });
  });

  it('takes nothing of a file that is not right, or on request what is', async () => {
    const file = join(folder, 'wrong.csv');
    await writeFile(file, 'key,text\nTonight.soup.text,Suppe\nTonight.bread.text,Brot\n');
    const refused = await hovrin('strings', project, '--in', file, '--locale', 'de');
    expect(refused).toMatchObject({ code: 2, err: expect.stringContaining('no text `Tonight.bread.text`') });
    const taken = await hovrin('strings', project, '--in', file, '--locale', 'de', '--partly');
    expect(taken.code).toBe(1);
    expect(await readFile(join(project, 'strings/de.json'), 'utf8')).toContain('"Suppe"');
  });

  it.each([
    [['nowhere'], 'no folder'],
    [['--out', 'x.pdf', '--locale', 'de'], 'go as .xlf'],
    [['--out', 'x.csv'], 'Which language'],
    [['--out', 'x.csv', '--locale', 'fr'], 'none of the languages'],
  ])('says what is wrong with %j', async (words, message) => {
    const all = words[0] === 'nowhere' ? words : [project, ...words];
    expect(await hovrin('strings', ...all)).toMatchObject({ code: 2, err: expect.stringContaining(message) });
  });

  it('what only one language has wrong is told with it', async () => {
    await writeFile(
      join(project, 'strings/de.json'),
      JSON.stringify({
        'Tonight.soup.text': { text: 'Donaudampfschifffahrtsgesellschaftskapitänsmützenabzeichensuppe' },
      }),
    );
    const { out } = await hovrin('check', project, '--from', '320', '--to', '400');
    expect(out).toMatch(/Tonight\.soup: error[\s\S]*In de\./);
    expect(
      (await hovrin('check', project, '--from', '320', '--to', '400', '--locale', 'ar')).out,
    ).not.toContain('In de.');
  });
});
