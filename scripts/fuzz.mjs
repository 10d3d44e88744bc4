// Reads thousands of damaged piece files and uses those that are accepted: npm run fuzz [-- --count 10000 --seed 1 --first 0]
import { parseArgs } from 'node:util';
import { modulesOf } from './modules.mjs';

const { values } = parseArgs({
  options: { count: { type: 'string' }, seed: { type: 'string' }, first: { type: 'string' } },
});
const [count, seed, first] = [values.count ?? '10000', values.seed ?? '1', values.first ?? '0'].map(Number);
const vite = await modulesOf();
const { tryOne } = await vite.ssrLoadModule('/tests/fuzz/fuzz.ts');
const kinds = new Map();
let accepted = 0;
let slowest = { ms: 0, index: 0 };
for (let index = first; index < first + count; index++) {
  const result = tryOne(seed, index);
  if (result.accepted) accepted++;
  if (result.ms > slowest.ms) slowest = { ms: result.ms, index };
  if (result.mishap) {
    const { what, detail } = result.mishap;
    kinds.set(what, (kinds.get(what) ?? 0) + 1);
    console.log(`${index}: ${what}: ${detail}`);
  }
}
console.log(
  `${count} files, ${accepted} accepted, slowest ${(slowest.ms / 1000).toFixed(1)} s (file ${slowest.index}); ` +
    ([...kinds].map(([what, n]) => `${n} ${what}`).join(', ') || 'nothing went wrong'),
);
await vite.close();
process.exit(kinds.size > 0 ? 1 : 0);
