/** `hovrin compare`: what differs between two versions of a project, and at which widths. */
import { execFile } from 'node:child_process';
import { readFile, stat } from 'node:fs/promises';
import { promisify } from 'node:util';
import {
  comparedScreens,
  compareProjects,
  comparisonLines,
  isAlike,
  messageOf,
  type Project,
  problemLine,
  type TreeComparison,
} from '@hovrin/core';
import { isProjectPath, loadShaper, RefusedZip, readFiles, readProject, unpackProject } from '@hovrin/files';
import { BadInput } from './bad-input.ts';
import { readOptions } from './options.ts';
import { readWidth } from './sweep-command.ts';
import { readMode } from './view-options.ts';

const run = promisify(execFile);

/** Most bytes of one file of a revision. */
const largest = 50_000_000;

/** Ids that no other version has. */
function idsOf(version: string): () => string {
  let count = 0;
  return () => `${version}${++count}`;
}

/** The files of a folder as they were in a revision. @throws BadInput where git does not have them. */
async function filesInRevision(folder: string, revision: string): Promise<Map<string, Uint8Array>> {
  const git = (...words: string[]) =>
    run('git', ['-C', folder, ...words], { encoding: 'buffer', maxBuffer: largest });
  try {
    const { stdout } = await git('ls-tree', '-r', '-z', '--name-only', revision, '--', '.');
    const paths = stdout.toString('utf8').split('\0').filter(isProjectPath);
    const files = new Map<string, Uint8Array>();
    for (const path of paths) files.set(path, (await git('show', `${revision}:./${path}`)).stdout);
    return files;
  } catch (error) {
    throw new BadInput(
      `${folder}@${revision}: ${messageOf(error).split('\n').slice(1).join(' ').trim() || messageOf(error)}`,
    );
  }
}

/** A project out of files that were packed, or lie in a revision. */
function fromFiles(files: ReadonlyMap<string, Uint8Array>, version: string, spec: string): Project {
  try {
    return readFiles(files, idsOf(version)).project;
  } catch (error) {
    if (!(error instanceof RefusedZip)) throw error;
    throw new BadInput(`${spec}: ${error.message}`);
  }
}

/** Reads a version: a folder, a screen, a zip, or a folder in a revision of git, `FOLDER@REVISION`. */
async function readVersion(spec: string, version: string): Promise<Project> {
  const found = await stat(spec).catch(() => undefined);
  if (found?.isFile() && spec.endsWith('.zip')) {
    try {
      return fromFiles(unpackProject(await readFile(spec)), version, spec);
    } catch (error) {
      if (!(error instanceof RefusedZip)) throw error;
      throw new BadInput(`${spec}: ${error.message}`);
    }
  }
  if (found) {
    const reading = await readProject(spec, idsOf(version));
    if (!reading.ok) throw new BadInput(reading.problems.map(problemLine).join('\n'));
    return reading.project;
  }
  const at = spec.lastIndexOf('@');
  const [folder, revision] = [spec.slice(0, at) || '.', spec.slice(at + 1)];
  if (at < 0 || revision === '' || revision.startsWith('-') || !(await stat(folder).catch(() => undefined)))
    throw new BadInput(`There is no file or folder ${spec}.`);
  return fromFiles(await filesInRevision(folder, revision), version, spec);
}

const told = ({ list, name, how, changes, layout }: TreeComparison): object => ({
  [list === 'screens' ? 'screen' : 'component']: name,
  how,
  changes: changes.map(({ control, kind, how: what, words }) => ({ control, kind, how: what, words })),
  ...(layout ? { widths: layout.widths, moved: layout.moved } : {}),
});

/** @returns 0 where they are alike, 1 where they differ. */
export async function compareCommand(
  words: readonly string[],
  print: (text: string) => void,
): Promise<number> {
  const { values, positionals } = readOptions(words, {
    from: { type: 'string' },
    to: { type: 'string' },
    height: { type: 'string' },
    rtl: { type: 'boolean' },
    mode: { type: 'string' },
    json: { type: 'boolean' },
  });
  const [one, other, ...more] = positionals;
  if (one === undefined || other === undefined || more.length > 0)
    throw new BadInput(
      'Two versions are needed: `hovrin compare A B`, each a folder, a zip, or FOLDER@REVISION',
    );
  const from = readWidth(values.from ?? '280', '--from');
  const to = readWidth(values.to ?? '1920', '--to');
  if (to < from) throw new BadInput(`The widths end (${to}) before they begin (${from}).`);
  const pair = [await readVersion(one, 'a'), await readVersion(other, 'b')] as const;
  const comparison = compareProjects(...pair);
  const options = {
    from,
    to,
    height: readWidth(values.height ?? '800', '--height'),
    rightToLeft: values.rtl ?? false,
    mode: readMode(values.mode),
  };
  const trees = [...comparedScreens(await loadShaper(), pair, comparison, options)];
  const whole = { ...comparison, trees };
  if (values.json) {
    const { entities, project } = comparison;
    print(
      `${JSON.stringify({ project, entities: entities.map(({ steps: _, ...rest }) => rest), trees: trees.map(told) })}\n`,
    );
  } else
    print(
      `${isAlike(whole) ? 'They are alike.' : comparisonLines(comparison, trees, from, to).join('\n')}\n`,
    );
  return isAlike(whole) ? 0 : 1;
}
