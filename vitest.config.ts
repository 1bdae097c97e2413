import { defineConfig } from 'vitest/config';

export default defineConfig({
  test: {
    include: ['packages/*/test/**/*.test.ts', 'tests/**/*.test.{ts,tsx}'],
    testTimeout: 180_000,
    hookTimeout: 180_000,
    // As long as what a person would wait for on a busy machine.
    expect: { poll: { timeout: 30_000 } },
    // Two cores: the browser takes one of them.
    maxWorkers: 2,
  },
});
