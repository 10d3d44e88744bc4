import { defineConfig } from 'vitest/config';
import { ensureKernels } from './scripts/kernels/build.mjs';

await ensureKernels();

/** Tests that put something in the place of a module, or look at what nobody has known before: each has all modules to itself. */
const ALONE = ['tests/kinds/**/*.test.ts', 'src/core/world/pattern.test.ts'];

// long: no test asserts a time, and machines that are shared may be four times as slow
const shared = { setupFiles: 'tests/properties.ts', testTimeout: 120_000, hookTimeout: 120_000 };

export default defineConfig({
  test: {
    // one is the default of two cores; what runs beside the tests is done long before them
    maxWorkers: 2,
    projects: [
      { test: { ...shared, name: 'alone', include: ALONE } },
      {
        test: {
          ...shared,
          name: 'together',
          // modules are loaded once a worker, which takes half the time
          isolate: false,
          include: ['src/**/*.test.ts', 'tests/outside/**/*.test.ts', 'tests/command/**/*.test.ts'],
          exclude: ALONE,
        },
      },
    ],
  },
});
