// Draws on a bare page, with the made-up kinds in the lists: see tests/e2e/kinds.spec.ts, which bundles it.
import { parsePiece } from '../../src/core/world/open';
import { Renderer } from '../../src/engine/frame/renderer';

const WIDTH = 160;
const HEIGHT = 90;

/** The bytes of a frame of a document, red, green, blue, alpha. */
function drawn(json: unknown): number[] {
  const parsed = parsePiece(json);
  if (!parsed.ok) throw new Error(parsed.problems.map(({ where, what }) => `${where} ${what}`).join('; '));
  const renderer = new Renderer(new OffscreenCanvas(16, 16));
  renderer.setPiece(parsed.piece);
  const frame = { phase: 0, frameIndex: 0, width: WIDTH, height: HEIGHT, passes: 1 };
  renderer.draw({
    ...frame,
    working: false,
    density: 1,
    coarseness: 1,
    texture: false,
    elementMotion: true,
    channel: { of: 'picture' },
    clear: false,
    step: 1,
    also: [],
  });
  const bytes = [...renderer.readBytes(WIDTH, HEIGHT)];
  renderer.dispose();
  return bytes;
}

Object.assign(globalThis, { drawn });
