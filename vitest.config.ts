import { defineConfig } from 'vitest/config';

const patient = {
  testTimeout: 180_000,
  hookTimeout: 180_000,
  // As long as what a person would wait for on a busy machine.
  expect: { poll: { timeout: 30_000 } },
};

export default defineConfig({
  test: {
    // Three for two cores: while one waits for a browser to load or a server to start, others go on.
    maxWorkers: 3,
    projects: [
      {
        test: {
          ...patient,
          name: 'modules',
          include: ['packages/{core,web,page}/test/**/*.test.ts'],
          // These run in one process without files or servers; what they load is loaded once for all of them.
          isolate: false,
        },
      },
      {
        test: {
          ...patient,
          name: 'programs',
          include: ['packages/*/test/**/*.test.ts', 'tests/**/*.test.{ts,tsx}'],
          exclude: ['packages/{core,web,page}/**', '**/node_modules/**'],
        },
      },
    ],
  },
});
