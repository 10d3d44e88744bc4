import node from '@astrojs/node';
import react from '@astrojs/react';
import { defineConfig } from 'astro/config';
import { ensureKernels } from './scripts/kernels/build.mjs';

await ensureKernels();

process.env.ASTRO_TELEMETRY_DISABLED = '1';
process.env.ASTRO_DISABLE_UPDATE_CHECK = 'true';

export default defineConfig({
  output: 'server',
  adapter: node({ mode: 'middleware' }),
  integrations: [react()],
  devToolbar: { enabled: false },
  security: { checkOrigin: true },
  server: { host: '127.0.0.1' },
  vite: {
    worker: { format: 'es' },
    optimizeDeps: { entries: ['src/**/*.{astro,tsx}', 'src/**/worker.ts'] },
    // nothing inlined: the content security policy allows fonts and scripts from the server only
    build: { chunkSizeWarningLimit: 1500, assetsInlineLimit: 0 },
  },
});
