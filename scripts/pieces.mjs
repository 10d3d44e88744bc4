// Writes docs/pieces.md: which demo piece has what. Run it after changing a recipe: npm run pieces
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { modulesOf } from './modules.mjs';
import { root } from './run.mjs';

const vite = await modulesOf();
const { standing } = await vite.ssrLoadModule('/tests/standing.ts');
writeFileSync(join(root, 'docs/pieces.md'), standing());
await vite.close();
