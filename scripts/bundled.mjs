/** Runs a TypeScript file of the workspace: bundles it beside the other bundles and starts it. */
import { spawnSync } from 'node:child_process';
import { rmSync } from 'node:fs';
import { basename, dirname, join } from 'node:path';
import { installPackages, requireNode } from './install.mjs';

const root = dirname(import.meta.dirname);

/** @returns the exit code. */
export async function runBundled(file, words) {
  requireNode();
  installPackages();
  const { bundleForNode, ensureBuilt } = await import('./build.mjs');
  await ensureBuilt(['fonts', 'page']);
  // Three folders below the root, where bundles look for the workspace's files; two may run at once.
  const outfile = join(root, 'packages/core/dist', `${basename(file, '.ts')}-${process.pid}.mjs`);
  await bundleForNode(file, outfile);
  const { status } = spawnSync(process.execPath, ['--expose-gc', outfile, ...words], {
    cwd: root,
    stdio: 'inherit',
  });
  rmSync(outfile);
  return status ?? 1;
}
