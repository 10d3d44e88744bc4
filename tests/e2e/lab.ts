import { readdirSync, readFileSync } from 'node:fs';
import { test as base, type Page } from '@playwright/test';
import type { Numbers } from '../../src/core/look/channels';
import type { Lab } from '../../src/app/lab/lab';
import { DOCUMENT_VERSION } from '../../src/core/piece/schema';

declare global {
  // what the lab page puts on its window
  var lab: Lab;
}

export const DEMOS = readdirSync('demo').map((name) => name.replace('.isomorph.json', ''));

export const demoJson = (name: string): unknown => JSON.parse(readFileSync(`demo/${name}.isomorph.json`, 'utf8'));

/** Which kinds a document has, and of what: its layers, treatments, routes, effects, lights, matter … */
function kindsIn(value: unknown, of = ''): string[] {
  if (typeof value !== 'object' || value === null) return [];
  if (Array.isArray(value)) return value.flatMap((one: unknown) => kindsIn(one, of));
  return Object.entries(value).flatMap(([name, inner]) =>
    name === 'kind' ? [`${of} ${String(inner)}`] : kindsIn(inner, name),
  );
}

/** Few of the demo pieces in which every kind that is in any stands: each next one has the most that the others lack. */
export function coveringDemos(): string[] {
  const left = new Map(DEMOS.map((name) => [name, new Set(kindsIn(demoJson(name)))]));
  const out: string[] = [];
  for (;;) {
    const [name, kinds] = [...left].reduce((best, one) => (one[1].size > best[1].size ? one : best));
    if (kinds.size === 0) return out;
    out.push(name);
    for (const others of left.values()) if (others !== kinds) for (const kind of kinds) others.delete(kind);
    kinds.clear();
  }
}

/** The page without interface, with the engine started. */
export async function openLab(page: Page): Promise<void> {
  await page.goto('/lab');
  await page.waitForFunction(() => 'lab' in globalThis);
}

/**
 * Tests of what is drawn share one page of the engine in each of Playwright's processes, so that its programs are built
 * once: each must hold whatever was drawn there before. After one that fails the next have a new page.
 */
export const test = base.extend<object, { drawing: Page }>({
  drawing: [
    async ({ browser }, use, { project }) => {
      const page = await browser.newPage({ baseURL: project.use.baseURL ?? '' });
      await openLab(page);
      await use(page);
      await page.close();
    },
    { scope: 'worker' },
  ],
  page: async ({ drawing }, use) => {
    await use(drawing);
    drawing.removeAllListeners();
  },
});

/** Runs kernel code on the GPU for ids 0…count−1; four numbers each, brought back as base64 of their bits. */
export async function probe(page: Page, source: string, body: string, count: number): Promise<ArrayBuffer> {
  const base64 = await page.evaluate(
    async ([code, statements, n]) => {
      const bits = new Uint8Array((await lab.engine.api.probe(code, statements, n)).buffer);
      let text = '';
      for (let i = 0; i < bits.length; i += 32768) text += String.fromCharCode(...bits.subarray(i, i + 32768));
      return btoa(text);
    },
    [source, body, count] as const,
  );
  const bytes = Buffer.from(base64, 'base64');
  return bytes.buffer.slice(bytes.byteOffset, bytes.byteOffset + bytes.byteLength) as ArrayBuffer;
}

/** Of a frame: its linear light, or a channel. */
interface Wanted {
  width: number;
  height: number;
  frameIndex?: number;
  passes?: number;
  channel?: Numbers;
  clear?: boolean;
  /** of the document, where it is an old one */
  version?: number;
}

/** Numbers of a frame, four a pixel, row by row from the bottom: as base64 on their way, for there are many. */
export async function numbersOf(
  page: Page,
  piece: object,
  { version = DOCUMENT_VERSION, ...wanted }: Wanted,
): Promise<Float32Array> {
  const base64 = await page.evaluate(
    async ([p, { channel, ...more }, of]) => {
      const piece = lab.parse({ format: 'isomorph', version: of, piece: p });
      const request = { piece, frameIndex: 0, passes: 1, ...more };
      const numbers = await (channel ? lab.engine.api.channel({ ...request, channel }) : lab.engine.api.light(request));
      const bytes = new Uint8Array(numbers.buffer, numbers.byteOffset, numbers.byteLength);
      let text = '';
      for (let i = 0; i < bytes.length; i += 32768) text += String.fromCharCode(...bytes.subarray(i, i + 32768));
      return btoa(text);
    },
    [piece, wanted, version] as const,
  );
  const bytes = Buffer.from(base64, 'base64');
  return new Float32Array(bytes.buffer.slice(bytes.byteOffset, bytes.byteOffset + bytes.byteLength));
}

/** Linear light of a piece's first frame, red of each pixel, row by row from the bottom. */
export const redOf = async (
  page: Page,
  piece: object,
  size: { width: number; height: number },
  passes = 1,
): Promise<number[]> => [...(await numbersOf(page, piece, { ...size, passes }))].filter((_, i) => i % 4 === 0);
