import { defineConfig } from 'vitest/config';

export default defineConfig({
  test: {
    include: ['packages/*/test/**/*.test.ts', 'tests/**/*.test.{ts,tsx}'],
    testTimeout: 180_000,
    hookTimeout: 180_000,
    // As long as what a person would wait for on a busy machine.
    expect: { poll: { timeout: 30_000 } },
    // Three for two cores: while one waits for a browser to load or a server to start, others go on.
    maxWorkers: 3,
  },
});
