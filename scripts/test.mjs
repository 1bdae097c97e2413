/**
 * `npm test`: installs what is missing (browsers too), builds, and runs types, lint and all tests: unit, parity,
 * end to end. Words behind `--` go to Vitest. The last line counts everything: N passed, N failed.
 */
import { spawnSync } from 'node:child_process';
import { existsSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { installPackages, requireNode } from './install.mjs';

const root = dirname(import.meta.dirname);
const bin = (name) => join(root, 'node_modules/.bin', name);
// The build leaves NODE_ENV at "production" in this process; the tests are to run as they do without a build.
const env = { ...process.env, NODE_ENV: 'test' };
const run = (command, words) => spawnSync(command, words, { cwd: root, stdio: 'inherit', env }).status === 0;

/** Asks Debian's packages for programs that are missing. */
function install(...packages) {
  const quiet = {
    stdio: ['ignore', 'ignore', 'inherit'],
    env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
  };
  spawnSync('apt-get', ['update', '-qq'], quiet);
  spawnSync('apt-get', ['install', '-y', '-qq', ...packages], quiet);
}

function installChromium() {
  if (existsSync('/usr/bin/chromium')) return;
  console.log('Installing Chromium …');
  install('chromium');
  if (existsSync('/usr/bin/chromium')) return;
  console.error(
    'Chromium could not be installed; the tests need /usr/bin/chromium (Debian: apt-get install chromium).',
  );
  console.log('0 passed, 1 failed');
  process.exit(1);
}

/** Two more engines that pages are measured in; without them those tests are skipped. */
function installEngines() {
  const missing = [
    ['/usr/bin/firefox-esr', 'firefox-esr'],
    ['/usr/bin/WebKitWebDriver', 'webkit2gtk-driver'],
    ['/usr/bin/Xvfb', 'xvfb'],
  ].flatMap(([file, name]) => (existsSync(file) ? [] : [name]));
  if (missing.length === 0) return;
  console.log(`Installing ${missing.join(', ')} …`);
  install(...missing);
}

requireNode();
installPackages();
installChromium();
installEngines();
const { ensureBuilt } = await import('./build.mjs');
await ensureBuilt(undefined, (name) => console.log(`Building ${name} …`));

let passed = 0;
let failed = 0;
let skipped = 0;
const count = (ok) => (ok ? passed++ : failed++);
const only = process.argv.slice(2);
if (only.length === 0) {
  // Another version stands beside this one, for the workbench; only one of them is in `.bin`.
  count(run(process.execPath, ['node_modules/typescript/bin/tsc', '--noEmit']));
  count(run(bin('biome'), ['check', '--error-on-warnings', '.']));
}
const report = join(tmpdir(), `hovrin-test-${process.pid}.json`);
const ended = run(bin('vitest'), [
  'run',
  '--reporter=default',
  '--reporter=json',
  `--outputFile.json=${report}`,
  ...only,
]);
if (existsSync(report)) {
  const { numPassedTests, numFailedTests, numPendingTests, numTodoTests, testResults } = JSON.parse(
    readFileSync(report, 'utf8'),
  );
  passed += numPassedTests;
  skipped += numPendingTests + numTodoTests;
  // A file that could not even be loaded has no tests to fail.
  failed +=
    numFailedTests +
    testResults.filter((file) => file.status === 'failed' && file.assertionResults.length === 0).length;
  rmSync(report);
} else failed++;
if (!ended && failed === 0) failed++;
console.log(`${passed} passed, ${failed} failed${skipped > 0 ? `, ${skipped} skipped` : ''}`);
process.exit(failed > 0 ? 1 : 0);
