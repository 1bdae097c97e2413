import { mkdtemp, readFile, rm, writeFile } from 'node:fs/promises';
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
