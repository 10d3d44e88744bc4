import { defineConfig } from 'vitest/config';
import { ensureKernels } from './scripts/kernels/build.mjs';

await ensureKernels();

export default defineConfig({
  test: {
    include: [
      'src/**/*.test.ts',
      'tests/outside/**/*.test.ts',
      'tests/command/**/*.test.ts',
      'tests/kinds/**/*.test.ts',
    ],
    setupFiles: 'tests/properties.ts',
    testTimeout: 30_000,
  },
});
