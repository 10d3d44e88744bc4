import { defineConfig } from 'vitest/config';

export default defineConfig({
  test: {
    include: ['src/**/*.test.ts', 'tests/outside/**/*.test.ts', 'tests/command/**/*.test.ts'],
    setupFiles: 'tests/properties.ts',
    testTimeout: 30_000,
  },
});
