import { existsSync } from 'node:fs';
import { defineConfig } from 'vitest/config';
import { BaseSequencer, type TestSpecification } from 'vitest/node';

const patient = {
  setupFiles: ['tests/seed.ts'],
  testTimeout: 180_000,
  hookTimeout: 180_000,
  // As long as what a person would wait for on a busy machine.
  expect: { poll: { timeout: 30_000 } },
};

/** Tests of exported pages. */
const pages = [
  'acting',
  'addresses',
  'cells',
  'components',
  'configured',
  'dragging',
  'files-and-ends',
  'handed-over',
  'own-code',
  'page',
  'page-languages',
  'page-messages',
  'page-motions',
  'parts',
  'project-code',
  'repeat',
  'table',
  'transitions',
  'ways',
].map((name) => `tests/e2e/${name}.test.ts`);

/** Projects, those first whose files take longest: the end of a run is filled with short ones. */
const projects = [
  {
    name: 'programs',
    include: ['packages/{server,cli,files}/test/**/*.test.ts', 'tests/**/*.test.{ts,tsx}'],
  },
  // Pages that are handed over, once more in another engine: these wait more than they work.
  ...(existsSync('/usr/bin/firefox-esr')
    ? [{ name: 'firefox', include: pages, env: { TEST_BROWSER: 'firefox' } }]
    : []),
  { name: 'modules', include: ['packages/{core,web}/test/**/*.test.ts'] },
  { name: 'page', include: ['packages/page/test/**/*.test.ts'], environment: 'jsdom' },
];

/**
 * Files of one project come one after the other: a process goes on with the next file of its project and loads the
 * modules that they share once.
 */
class ByProject extends BaseSequencer {
  override async sort(files: TestSpecification[]): Promise<TestSpecification[]> {
    const turn = ({ project }: TestSpecification) => projects.findIndex(({ name }) => name === project.name);
    return (await super.sort(files)).toSorted((a, b) => turn(a) - turn(b));
  }
}

export default defineConfig({
  test: {
    // Three for two cores: while one waits for a browser to load or a server to start, others go on.
    maxWorkers: 3,
    sequence: { sequencer: ByProject },
    projects: projects.map((project) => ({ test: { ...patient, ...project, isolate: false } })),
  },
});
