/** Installs the packages when they are missing or older than the lock file. */
import { spawnSync } from 'node:child_process';
import { existsSync, statSync } from 'node:fs';
import { dirname, join } from 'node:path';

const root = dirname(import.meta.dirname);

/** Ends the process with a sentence where Node is too old. */
export function requireNode() {
  const [major, minor] = process.versions.node.split('.').map(Number);
  if (major > 20 || (major === 20 && minor >= 19)) return;
  console.error(`Hovrin needs Node.js 20.19 or newer; this is ${process.versions.node}.`);
  process.exit(1);
}

/** Installs what is missing. */
export function installPackages() {
  const marker = join(root, 'node_modules/.package-lock.json');
  const lock = join(root, 'package-lock.json');
  if (existsSync(marker) && statSync(marker).mtimeMs >= statSync(lock).mtimeMs) return;
  console.log('Installing packages (the first time this takes a few minutes) …');
  const { status } = spawnSync('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error'], {
    cwd: root,
    stdio: 'inherit',
  });
  if (status !== 0) {
    console.error('The packages could not be installed; npm says why above.');
    process.exit(status ?? 1);
  }
}
