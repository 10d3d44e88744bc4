import { stateReport } from '../../src/core/seam/report';
import { mixtureAt } from '../../src/core/time/mixed';
import { animatedIn, mixedIn } from '../../src/core/forms/walk';
import { partsOfPiece } from '../../src/core/piece/schema';
import { toDocument } from '../../src/core/piece/document';
import { parsePiece } from '../../src/core/world/open';
import { worldOf } from '../../src/core/world/layers';
import { readdirSync, readFileSync } from 'node:fs';
import { cameraPose, layerBatch, type Piece } from '../../src/core';
import { evaluateAnimated } from '../../src/core/time/animated';
import { definitionOf } from '../../src/core/layers/kinds';

/** Numbers from a seed, the same everywhere: mulberry32, in the public domain (Tommy Ettinger, 2017; from memory). */
export function randomFrom(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = Math.imul(state ^ (state >>> 15), 1 | state);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 2 ** 32;
  };
}

const demos = readdirSync('demo').map((name) => readFileSync(`demo/${name}`, 'utf8'));

/** Values that programs stumble over. */
const ODD: readonly (() => unknown)[] = [
  () => null,
  () => -1,
  () => 0,
  () => 1e-300,
  () => 1e308,
  () => -1e308,
  () => 2 ** 53,
  () => 4294967296,
  () => 0.5,
  () => NaN,
  () => Infinity,
  () => '',
  () => 'toString',
  () => '__proto__',
  () => 'constructor',
  () => '\ud800',
  () => 'x'.repeat(70_000),
  () => [],
  () => {
    const deep: Record<string, unknown> = {};
    let at = deep;
    for (let i = 0; i < 1500; i++) at = at['in'] = {} as Record<string, unknown>;
    return deep;
  },
  () => Array.from({ length: 3000 }, (_, i) => i),
  () => ({}),
  () => ({ law: 'wound', start: 0, perLap: 1e300 }),
  () => ({ law: 'wound', start: 3, perLap: 0.37 }),
  () => ({ law: 'swing', middle: 0, reach: 1e200, cycles: 1000, wave: 'noise', shift: 1e300 }),
  () => ({ law: 'swing', middle: 0, reach: 1, cycles: 0, wave: 'noise', shift: 0.2 }),
  () => ({
    law: 'keyed',
    keys: [
      { id: 'a', at: 0.5, value: 1e300, ease: 'smooth' },
      { id: 'b', at: 0.5, value: -1e300, ease: [0, 5, 1, -4] },
    ],
  }),
  () => ({
    law: 'keyed',
    keys: [
      { id: 'a', at: 0.2, value: 1, ease: 'hold' },
      { id: 'a', at: 0.2, value: 2, ease: 'hold' },
    ],
  }),
  () => ({ law: 'toString' }),
  () => true,
];

type Json = Record<string, unknown>;
type Slot = { owner: Json | unknown[]; key: string | number };

function slotsOf(value: unknown, into: Slot[] = []): Slot[] {
  if (Array.isArray(value))
    value.forEach((item, i) => {
      into.push({ owner: value, key: i });
      slotsOf(item, into);
    });
  else if (typeof value === 'object' && value !== null)
    for (const [key, item] of Object.entries(value)) {
      into.push({ owner: value as Json, key });
      slotsOf(item, into);
    }
  return into;
}

const put = ({ owner, key }: Slot, value: unknown): void => {
  if (Array.isArray(owner)) owner[Number(key)] = value;
  else Object.defineProperty(owner, key, { value, enumerable: true, writable: true, configurable: true });
};

/** A demo piece with one to four things wrong. */
export function mutated(random: () => number): unknown {
  const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)];
  const json = JSON.parse(pick(demos)) as { piece: Json & { layers: Json[] } };
  for (let n = 1 + Math.floor(random() * 4); n > 0; n--) {
    const slots = slotsOf(json);
    const slot = pick(slots);
    const now = (slot.owner as Json)[slot.key];
    switch (Math.floor(random() * 9)) {
      case 0:
        put(slot, pick(ODD)());
        break;
      case 1:
        if (typeof now === 'number') put(slot, now * pick([0, -1, 10, 1000, 1e6, 1e12, 0.001]));
        break;
      case 2:
        if (typeof now === 'number') put(slot, pick([100_000, 2_000_000, 400, 64, 10_000, 1000, 3600]));
        break;
      case 3:
        if (Array.isArray(slot.owner)) slot.owner.splice(Number(slot.key), 1);
        else Reflect.deleteProperty(slot.owner, slot.key);
        break;
      case 4: {
        // a name that no version knows
        const { owner } = pick(slots.filter(({ owner }) => !Array.isArray(owner)));
        put({ owner, key: pick(['law', 'kind', 'extra', '__proto__', 'toString', 'length']) }, pick(ODD)());
        break;
      }
      case 5: {
        const { owner, key } = pick(slots);
        put(slot, structuredClone((owner as Json)[key]));
        break;
      }
      case 6: {
        // references, to itself and in a ring
        const layers = json.piece?.layers;
        if (!Array.isArray(layers)) break;
        const ids = layers.map((layer) => layer?.['id']);
        const layer = pick(layers);
        if (layer && typeof layer === 'object')
          put(
            { owner: layer, key: pick(['follow', 'ground', 'from', 'to']) },
            pick([layer['id'], pick(ids), 'nobody']),
          );
        break;
      }
      case 7:
        if (Array.isArray(now))
          put(
            slot,
            Array.from({ length: pick([2, 70, 600]) }, (): unknown => structuredClone(now[0])),
          );
        break;
      default:
        if (json.piece?.lap && random() < 0.5)
          Object.assign(json.piece.lap, { frames: pick([2, 3, 24, 1000, 100_000]) });
        else Object.assign(json, { version: pick([0, 1, 2, 3, 4, 1.5, -1, '1', 1e9]) });
    }
  }
  return json;
}

/** What went wrong with one file. */
export interface Mishap {
  index: number;
  what: 'parsing threw' | 'not storable' | 'report threw' | 'not a number' | 'slow' | 'unreadable again';
  detail: string;
}

const finite = (values: ArrayLike<number>): boolean =>
  Array.prototype.every.call(values, (v: number) => Number.isFinite(v));

/** Everything that is asked of a piece that was accepted. */
function use(piece: Piece): { what: Mishap['what']; detail: string } | null {
  try {
    structuredClone(piece);
    JSON.stringify(piece);
  } catch (error) {
    return { what: 'not storable', detail: String(error) };
  }
  for (const part of partsOfPiece(piece))
    for (const phase of [0, 0.3, 0.77, 1]) {
      const odd = [
        ...animatedIn(part).filter(({ value }) => !Number.isFinite(evaluateAnimated(value, phase))),
        ...mixedIn(part).filter(({ value }) => !finite(mixtureAt(value, phase).of.map(([, share]) => share))),
      ];
      if (odd.length > 0) return { what: 'not a number', detail: odd[0].path.join('.') };
    }
  for (const phase of [0, 0.37, 1]) {
    const { position, quaternion, focusDistance } = cameraPose(piece, phase);
    if (!finite([...position, ...quaternion, focusDistance]))
      return { what: 'not a number', detail: `camera at ${phase}` };
  }
  for (const layer of piece.layers) {
    const count = definitionOf(layer.kind).elementCount(layer, 1, worldOf(piece));
    const { position, scale, color, light } = layerBatch(piece, layer.id, 0.37, Math.min(1, 300 / count));
    if (![position, scale, color, light].every(finite))
      return { what: 'not a number', detail: `layer ${layer.id} (${layer.kind})` };
  }
  const report = stateReport(piece);
  if (!report.findings.every(({ gap, slopeGap }) => finite([gap, slopeGap])))
    return { what: 'not a number', detail: 'report' };
  return null;
}

/** Longest that reading a file, and then using the piece, may take, in milliseconds. */
const MOST_MS = { read: 2000, use: 15_000 };

/** Reads and uses one file. @returns what went wrong, or null */
export function tryOne(seed: number, index: number): { mishap: Mishap | null; accepted: boolean; ms: number } {
  const json = mutated(randomFrom(seed * 1_000_003 + index));
  const started = performance.now();
  let accepted = false;
  const mishap = ((): Mishap | null => {
    let parsed: ReturnType<typeof parsePiece>;
    try {
      parsed = parsePiece(json);
    } catch (error) {
      return { index, what: 'parsing threw', detail: String(error).slice(0, 200) };
    }
    const read = performance.now() - started;
    if (read > MOST_MS.read) return { index, what: 'slow', detail: `read in ${read.toFixed(0)} ms` };
    if (!parsed.ok) return null;
    accepted = true;
    try {
      const found = use(parsed.piece);
      if (found) return { index, ...found };
    } catch (error) {
      return {
        index,
        what: 'report threw',
        detail: error instanceof Error ? `${error.message} ${error.stack?.split('\n')[1] ?? ''}` : String(error),
      };
    }
    const again = parsePiece(JSON.parse(JSON.stringify(toDocument(parsed.piece))));
    if (!again.ok) return { index, what: 'unreadable again', detail: JSON.stringify(again.problems[0]) };
    const all = performance.now() - started;
    return all > MOST_MS.use ? { index, what: 'slow', detail: `used in ${all.toFixed(0)} ms` } : null;
  })();
  return { mishap, accepted, ms: performance.now() - started };
}
