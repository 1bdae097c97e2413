/** The command line as a shell runs it. */
import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { workspace } from '@hovrin/files';
import { expect, it } from 'vitest';

const hovrin = (words: string) => {
  const bundle = join(workspace, 'packages/cli/dist/hovrin.mjs');
  const { stdout, stderr } = spawnSync('bash', ['-c', `"${process.execPath}" "${bundle}" ${words}`], {
    cwd: workspace,
    encoding: 'utf8',
  });
  return { stdout, stderr };
};

it('ends quietly where its reader has had enough', () => {
  const { stdout, stderr } = hovrin('sweep demo/velmora-hut --to 330 | head -1; echo $PIPESTATUS');
  expect(stdout).toBe('Tonight\n0\n');
  expect(stderr).toBe('');
});

it('gives an exit code to whoever asks, and help behind any command', () => {
  expect(hovrin('check demo/velmora-hut > /dev/null; echo $?').stdout).toBe('0\n');
  expect(hovrin('layout nowhere.screen.xml --size 1x1 2> /dev/null; echo $?').stdout).toBe('2\n');
  expect(hovrin('sweep --help').stdout).toContain('hovrin sweep FILE');
});
