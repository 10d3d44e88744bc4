import { DELIVERY, type Delivery } from './form';
import { formatOf } from './formats';

/** What a delivery begins as: a need, with all that follows from it. */
export interface DeliveryStart {
  kind: string;
  label: string;
  describe: string;
  group: 'To look at' | 'To show' | 'To go on with' | 'Small';
  /** of the piece's own frame */
  share: number;
  /** passes at most */
  samples: number;
  fields: Partial<Delivery>;
}

const MOST = 256;

/** In the order they are offered. */
export const STARTS: readonly DeliveryStart[] = [
  {
    kind: 'proof',
    label: 'Quarter-size proof',
    describe: 'a small MP4, to look at and send about',
    group: 'To look at',
    share: 1 / 4,
    samples: 4,
    fields: { format: 'mp4', rate: 'proof' },
  },
  {
    kind: 'sheet',
    label: 'Contact sheet',
    describe: 'nine frames of the lap side by side',
    group: 'To look at',
    share: 1,
    samples: 16,
    fields: { format: 'sheet' },
  },
  {
    kind: 'film',
    label: 'Video',
    describe: 'H.264 in MP4, at full size: plays everywhere',
    group: 'To show',
    share: 1,
    samples: MOST,
    fields: { format: 'mp4', rate: 'high' },
  },
  {
    kind: 'wall',
    label: 'Smooth darks',
    describe: 'VP9 of ten bits: no steps in dark gradients',
    group: 'To show',
    share: 1,
    samples: MOST,
    fields: { format: 'webm', rate: 'master', tenBits: true },
  },
  {
    kind: 'stage',
    label: 'Stage player',
    describe: 'HAP Q in MOV: unpacked on the graphics card',
    group: 'To show',
    share: 1,
    samples: MOST,
    fields: { format: 'hapQ' },
  },
  {
    kind: 'overlay',
    label: 'Stage player, with alpha',
    describe: 'HAP Alpha in MOV, without what is behind everything',
    group: 'To show',
    share: 1,
    samples: MOST,
    fields: { format: 'hapAlpha', alpha: 'straight' },
  },
  {
    kind: 'edit',
    label: 'Editing',
    describe: 'ProRes 422 HQ in MOV',
    group: 'To go on with',
    share: 1,
    samples: MOST,
    fields: { format: 'prores422' },
  },
  {
    kind: 'editAlpha',
    label: 'Editing, with alpha',
    describe: 'ProRes 4444 in MOV',
    group: 'To go on with',
    share: 1,
    samples: MOST,
    fields: { format: 'prores4444', alpha: 'straight' },
  },
  {
    kind: 'compositing',
    label: 'Compositing',
    describe: 'EXR pictures of the light before all effects, with depth, normals, motion and mattes',
    group: 'To go on with',
    share: 1,
    samples: MOST,
    fields: {
      ...{ format: 'exr', light: 'scene', alpha: 'premultiplied', countFrom: 1001 },
      ...{ depth: true, normal: true, motion: true, mattes: true },
    },
  },
  {
    kind: 'pictures',
    label: 'Pictures',
    describe: 'PNG of sixteen bits, numbered',
    group: 'To go on with',
    share: 1,
    samples: MOST,
    fields: { format: 'png', bits: '16' },
  },
  {
    kind: 'camera',
    label: 'Camera',
    describe: 'its flight as an animation of glTF, for the same camera elsewhere',
    group: 'To go on with',
    share: 1,
    samples: 1,
    fields: { format: 'cameraGlb' },
  },
  {
    kind: 'table',
    label: 'Camera as a table',
    describe: 'place, turn and lens at every frame, as CSV',
    group: 'To go on with',
    share: 1,
    samples: 1,
    fields: { format: 'cameraCsv' },
  },
  {
    kind: 'world',
    label: 'World of one frame',
    describe: 'meshes, points and lines as glTF, with the camera',
    group: 'To go on with',
    share: 1,
    samples: 1,
    fields: { format: 'glb', first: 0, last: 0 },
  },
  {
    kind: 'routes',
    label: 'Routes',
    describe: 'the ways of tunnels and of the camera as curves, in OBJ',
    group: 'To go on with',
    share: 1,
    samples: 1,
    fields: { format: 'routes' },
  },
  {
    kind: 'mail',
    label: 'For a mail',
    describe: 'a GIF of every second frame',
    group: 'Small',
    share: 1 / 4,
    samples: 4,
    fields: { format: 'gif', every: 2 },
  },
  {
    kind: 'page',
    label: 'For a page',
    describe: 'moving WebP, smaller and with all colours',
    group: 'Small',
    share: 1 / 3,
    samples: 16,
    fields: { format: 'webp', every: 2 },
  },
  {
    kind: 'poster',
    label: 'Poster',
    describe: 'one frame at full size',
    group: 'Small',
    share: 1,
    samples: MOST,
    fields: { format: 'poster' },
  },
];

/** Sides are multiples of so many pixels: what films ask for. */
const STEP = 2;
const side = (pixels: number): number => Math.min(8192, Math.max(16, STEP * Math.round(pixels / STEP)));
const PASSES = [256, 64, 16, 4, 1] as const;

/** A delivery of a piece that begins so. */
export function newDelivery(
  piece: { frame: { width: number; height: number }; samples: number },
  { share, samples, fields }: DeliveryStart,
  id: string,
): Delivery {
  const { width, height } = piece.frame;
  const most = Math.min(samples, piece.samples);
  // films have even sides; pictures may have any
  const film = formatOf(fields.format ?? 'mp4').holds === 'film';
  const whole = share === 1 && !(film && (width % 2 === 1 || height % 2 === 1));
  return DELIVERY.schema.parse({
    id,
    width: whole ? width : side(width * share),
    height: whole ? height : side(height * share),
    samples: String(PASSES.find((passes) => passes <= most) ?? 1),
    ...fields,
  });
}

/** @throws RangeError when there is none of that kind */
export function startOf(kind: string): DeliveryStart {
  const found = STARTS.find((start) => start.kind === kind);
  if (!found) throw new RangeError(`deliveries do not begin as "${kind}"`);
  return found;
}
