// Draws the moving thumbnails of the recipes into stock/strips, one picture of 24 frames each, named by what the recipe
// looks like, so that the first screen need not draw them. Run it after changing a recipe: npm run strips
// After a change of documents that changes no picture (npm run same says so): npm run strips -- --same, which keeps what
// is drawn and gives it the new names.
import { readdirSync, readFileSync, renameSync, rmSync, writeFileSync, mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { launchBrowser } from '../bin/browser.mjs';
import { startServer } from '../bin/server.mjs';
import { ensureBuilt, root } from './run.mjs';

await ensureBuilt();
const folder = join(root, 'stock/strips');
mkdirSync(folder, { recursive: true });
const server = await startServer();
const browser = await launchBrowser();
const page = await browser.newPage();
await page.goto(`${server.url}/lab`);
await page.waitForFunction(() => 'lab' in globalThis);
const wanted = new Set();
for (const file of readdirSync(join(root, 'demo')).filter((name) => name.endsWith('.json'))) {
  const json = JSON.parse(readFileSync(join(root, 'demo', file), 'utf8'));
  const key = await page.evaluate((piece) => globalThis.lab.contentKey(globalThis.lab.parse(piece)), json);
  const name = `${file.split('.')[0]}.${key}.webp`;
  wanted.add(name);
  const known = readdirSync(folder);
  if (known.includes(name)) continue;
  const former = known.find((other) => other.startsWith(`${file.split('.')[0]}.`));
  if (process.argv.includes('--same') && former) {
    renameSync(join(folder, former), join(folder, name));
    continue;
  }
  const base64 = await page.evaluate((piece) => globalThis.lab.strip(globalThis.lab.parse(piece)), json);
  writeFileSync(join(folder, name), Buffer.from(base64, 'base64'));
  console.log(name);
}
for (const name of readdirSync(folder)) if (!wanted.has(name)) rmSync(join(folder, name));
await browser.close();
await server.close();
process.exit(0);
