// The program's own TypeScript for scripts: modules of a tree, translated as they are asked for.
import { createServer } from 'vite';
import { root } from './run.mjs';

/** @param {string} tree */
export const modulesOf = (tree = root) =>
  createServer({
    root: tree,
    configFile: false,
    server: { middlewareMode: true, watch: null, hmr: false, ws: false },
    appType: 'custom',
    logLevel: 'error',
  });
