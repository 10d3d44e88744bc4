import * as THREE from 'three';
import type { LightRow } from '../../core/world/lights';
import { lightRows, lightSlots, seesOf } from '../../core/world/lights';
import { lightOf } from '../../core/look/lights/kinds';
import type { Piece } from '../../core/piece/schema';
import { lightPoint } from '../../core/lens/lightPoint';
import { hash4 } from '../../core/random/hash';
import { cornersOf, type Box } from '../../core/space/box';
import { facing } from '../../core/space/frame';
import { add, rotate, scale, type Quaternion, type Vec3 } from '../../core/space/vector';
import { inView } from '../drawings/drawing';
import type { FrameRequest } from '../frame/request';
import type { Shot } from '../frame/shot';
import { keepCamera, phaseOf, type Pass, type View } from '../frame/view';
import { visibleParts, type Onlooker } from '../frame/visible';
import type { Gpu } from '../gl/gpu';
import type { Caster } from '../frame/layers';
import { isLitAnywhere } from '../air/air';
import { Sorter, type SortJob } from '../seen/sorter';
import { boxOf, common, coneAround, fitted } from './fit';
import { shadowSlots, viewsOf, type ShadowSlot } from './slots';

/** Sides of a square, in pixels: as many as the picture is high, within these. */
const LEAST_SIDE = 512;
const MOST_SIDE = 2048;
const MOST_ATLAS = 8192;
/** Pixels at the edge of each of six views, so that neighbours are in both. */
const MARGIN = 2;
/** Radians from the middle of one view to its edge, at most; and by how much a view is wider than it must be. */
const WIDEST = (80 * Math.PI) / 180;
const SLACK = 0.03;
/** The world's own axes. */
const WORLD: readonly [Vec3, Vec3, Vec3] = [
  [1, 0, 0],
  [0, 1, 0],
  [0, 0, 1],
];
/** By how many pixels of a view a shape may differ. */
const ERROR_PX = 1;

/** One view of a light at a moment: world to light, pixels a metre one metre away, without perspective or with, and how far it sees. */
interface LightView {
  view: THREE.Matrix4;
  focal: number;
  flat: number;
  far: number;
}

const worldToLight = (place: Vec3, rotation: Quaternion): THREE.Matrix4 =>
  new THREE.Matrix4()
    .compose(new THREE.Vector3(...place), new THREE.Quaternion(...rotation), new THREE.Vector3(1, 1, 1))
    .invert();

/** How each of six views is turned: along x, y and z, onwards and back, as shadow.glsl takes them apart. */
const AROUND: readonly Quaternion[] = (
  [
    [
      [1, 0, 0],
      [0, 1, 0],
    ],
    [
      [-1, 0, 0],
      [0, 1, 0],
    ],
    [
      [0, 1, 0],
      [0, 0, 1],
    ],
    [
      [0, -1, 0],
      [0, 0, 1],
    ],
    [
      [0, 0, 1],
      [0, 1, 0],
    ],
    [
      [0, 0, -1],
      [0, 1, 0],
    ],
  ] as readonly (readonly [Vec3, Vec3])[]
).map(([forward, up]) => facing(forward, up));

/** All that the shadows of a frame are made from. */
interface Shaded {
  piece: Piece;
  shot: Shot;
  request: FrameRequest;
  casters: readonly Caster[];
  slots: readonly ShadowSlot[];
  things: Box;
}

/**
 * What stands in the way of lights, seen from them: a depth for each of their views, all in one target. In every pass each light is
 * looked from at a point of its own, so that many passes sum to shadows as soft as the light is large; one pass from its middle.
 */
export class Shadows {
  private readonly sorter: Sorter;
  private atlas: THREE.WebGLRenderTarget | null = null;
  private frame: Shaded | null = null;
  private drawn = '';
  private sorted = '';

  constructor(
    private readonly gpu: Gpu,
    private readonly view: View,
  ) {
    this.sorter = new Sorter(gpu);
  }

  /** Takes a frame: what casts shadows in it is sorted for each light. */
  begin(piece: Piece, shot: Shot, request: FrameRequest, casters: readonly Caster[], things: Box): void {
    const { slots, views } = shadowSlots(piece);
    const found = slots.filter((slot) => slot !== null);
    const { view } = this;
    view.uShadowMap.value = null;
    this.frame = null;
    if (found.length === 0) return;
    this.room(views, request.height);
    const phases = [shot.openPhase, shot.phase, shot.closePhase] as const;
    const frame = (this.frame = { piece, shot, request, casters, slots: found, things });
    const key = this.keyOf(frame, phases, 0);
    if (key !== null && key === this.sorted) return;
    this.sorted = key ?? '';
    this.drawn = '';
    const restore = keepCamera(view);
    const at = phases.map((phase) => this.viewsAt(frame, phase, null));
    const jobs = at[1].flatMap((_, index) =>
      this.jobsOf(
        frame,
        at.map((views) => views[index]),
        index,
      ),
    );
    this.sorter.sort(jobs);
    restore();
  }

  /** Makes the room for so many views, at the height of the picture. */
  private room(views: number, height: number): void {
    const columns = Math.ceil(Math.sqrt(views));
    const wanted = 2 ** Math.floor(Math.log2(Math.min(MOST_SIDE, Math.max(LEAST_SIDE, height))));
    const side = Math.min(wanted, 2 ** Math.floor(Math.log2(MOST_ATLAS / columns)));
    const rows = Math.ceil(views / columns);
    if (this.atlas?.width !== columns * side || this.atlas.height !== rows * side) {
      this.atlas?.dispose();
      const depthTexture = new THREE.DepthTexture(columns * side, rows * side, THREE.FloatType);
      this.atlas = new THREE.WebGLRenderTarget(columns * side, rows * side, {
        depthTexture,
        minFilter: THREE.NearestFilter,
        magFilter: THREE.NearestFilter,
      });
      this.sorted = this.drawn = '';
    }
    this.view.uShadowSide.value = side;
    this.view.uShadowColumns.value = columns;
    this.view.uShadowFocal.value = side / 2 - MARGIN;
  }

  /** Every view of the lights at a phase, from the points of a pass or from their middles. */
  private viewsAt({ piece, shot, slots, things }: Shaded, phase: number, pass: Pass | null): LightView[] {
    const side = this.view.uShadowSide.value;
    const rows = lightRows(piece, phase, shot.phase * piece.lap.frames);
    const all = lightSlots(piece);
    const seen = boxOf(seenCorners(shot, this.view), WORLD);
    // shadows fall on what there is, and on air wherever it is seen
    const both = isLitAnywhere(piece) ? seen : common(seen, things);
    return slots.flatMap(({ row }): LightView[] => {
      const { light } = all[row];
      const sees = seesOf(all[row], phase);
      const record = rows[row];
      const shift = hash4(...idNumbers(light.id))[0];
      const own = pass && pass.total > 1 ? lightPoint(pass.index, pass.total, shift) : null;
      const point: Vec3 = (own && lightOf(light.kind).pointOf?.(light, phase, own)) ?? [0, 0, 0];
      if (sees?.as === 'parallel') return [this.parallel(shot, things, record, point, side)];
      const place = add(record.place ?? [0, 0, 0], rotate(record.rotation, point));
      const far = Math.max(0.1, record.reach ?? 1);
      if (sees?.as === 'around')
        return AROUND.map((turn) => ({ view: worldToLight(place, turn), focal: side / 2 - MARGIN, flat: 0, far }));
      const wide = sees?.as === 'cone' ? Math.min(sees.half, WIDEST) : 1;
      // where all that is seen lies in a narrower cone than the light's own, it looks at that alone
      const near = both && coneAround(both, record.place ?? place);
      const narrow = near !== null && near.half + SLACK < wide;
      const half = narrow ? near.half + SLACK : wide;
      const rotation = narrow ? facing(near.way, [0, 1, 0]) : record.rotation;
      return [{ view: worldToLight(place, rotation), focal: (side / 2 - MARGIN) / Math.tan(half), flat: 0, far }];
    });
  }

  /** A light that comes along one way looks at all that is seen, and at what is before it. */
  private parallel(shot: Shot, things: Box, { from }: LightRow, point: Vec3, side: number): LightView {
    const level = facing(scale(from, -1), [0, 1, 0]);
    const back = add(from, rotate(level, point));
    const rotation = facing(scale(back, -1), [0, 1, 0]);
    const axes = [rotate(rotation, [1, 0, 0]), rotate(rotation, [0, 1, 0]), rotate(rotation, [0, 0, 1])] as const;
    const { middle, half, before, behind } = fitted(seenCorners(shot, this.view), cornersOf(things), axes, side);
    const place = add(
      add(scale(axes[0], middle[0]), scale(axes[1], middle[1])),
      scale(axes[2], middle[2] + before + 0.1),
    );
    return { view: worldToLight(place, rotation), focal: side / (2 * half), flat: 1, far: before + behind + 0.2 };
  }

  /** Makes the view of the lens that of a light. */
  private look({ view, focal, flat, far }: LightView, side: number, wider: number): void {
    const to = this.view;
    to.uPicture.value = new THREE.Vector2(side, side);
    to.uPixelFocal.value = focal * wider;
    to.uApertureHalf.value = 0;
    to.uFocus.value = 1;
    to.uFlat.value = flat;
    to.uAir.value = new THREE.Vector4(0, 1e9, far, 0);
    to.uAperture.value = new THREE.Vector4(0, 0, 1, 0);
    to.uErrorPx.value = ERROR_PX;
    to.uView.value = to.uViewMid.value = view;
    to.uLens.value = new THREE.Vector2();
    to.uLensAt.value = new THREE.Vector2();
    to.uJitter.value = new THREE.Vector2();
  }

  private jobsOf({ shot, casters }: Shaded, [open, mid, close]: readonly LightView[], index: number): SortJob[] {
    const side = this.view.uShadowSide.value;
    const from: Onlooker = {
      pose: shot.pose,
      open: open.view,
      mid: mid.view,
      close: close.view,
      // how deep it looks is its own
      back: mid.far,
    };
    return casters.flatMap(({ drawn, moment, frame }) => {
      const { sorting } = drawn;
      if (!sorting) return [];
      const at = visibleParts(frame, from, drawn.parts);
      const own = inView(moment, index);
      const show = (): void => {
        // a little wider than it sees: in a pass it looks from a point aside of its middle
        this.look(mid, side, 0.92);
        this.view.uViewOpen.value = open.view;
        this.view.uViewClose.value = close.view;
        drawn.show(own, 0.5);
      };
      return [{ sorting, moment: own.index, at, show }];
    });
  }

  /** Draws what every light sees in a pass. */
  draw(pass: Pass): void {
    const { frame, atlas, view, gpu } = this;
    if (!frame || !atlas) return;
    const phase = phaseOf(frame.shot, pass);
    const lights = this.viewsAt(frame, phase, pass);
    this.tell(frame.slots, lights);
    const key = this.keyOf(frame, [phase], pass.total === 1 ? 1 : pass.index + 2);
    if (key !== null && key === this.drawn) {
      view.uShadowMap.value = atlas.depthTexture;
      return;
    }
    this.drawn = key ?? '';
    view.uShadowMap.value = null;
    const restore = keepCamera(view);
    const side = view.uShadowSide.value;
    const columns = view.uShadowColumns.value;
    const { renderer } = gpu;
    atlas.viewport.set(0, 0, atlas.width, atlas.height);
    renderer.setRenderTarget(atlas);
    renderer.clear(true, true, false);
    lights.forEach((light, square) => {
      this.look(light, side, 1);
      view.uViewOpen.value = view.uViewClose.value = light.view;
      atlas.viewport.set((square % columns) * side, Math.floor(square / columns) * side, side, side);
      for (const { drawn, moment } of frame.casters) {
        drawn.show(inView(moment, square), pass.lens.t);
        // what was sorted for it
        drawn.draw([], atlas);
      }
    });
    restore();
    view.uShadowMap.value = atlas.depthTexture;
  }

  /** Tells the programs from where each light that is one view looks. */
  private tell(slots: readonly ShadowSlot[], lights: readonly LightView[]): void {
    for (const { square, number, sees } of slots) {
      const { view, focal, flat, far } = lights[square];
      if (viewsOf(sees) > 1) {
        this.view.uShadowEye.value[number].setFromMatrixPosition(view.clone().invert());
        continue;
      }
      this.view.uShadowView.value[number].copy(view);
      this.view.uShadowLens.value[number].set(focal, flat, far, 0);
    }
  }

  /** What the views hold follows from this; null where it is not known. */
  private keyOf(frame: Shaded, phases: readonly number[], pass: number): string | null {
    const casters = frame.casters.map(({ keyOf }) => keyOf(phases));
    if (casters.includes(null)) return null;
    const views = phases.flatMap((phase) => this.viewsAt(frame, phase, null));
    const numbers = views.flatMap(({ view, focal, far }) => [...view.elements, focal, far].map((n) => Math.fround(n)));
    return [pass, frame.request.working, casters.join(), ...numbers].join(' ');
  }

  dispose(): void {
    this.atlas?.dispose();
    this.sorter.dispose();
  }
}

/** Four numbers of a name. */
const idNumbers = (id: string): [number, number, number, number] => {
  const out: [number, number, number, number] = [0, 0, 0, 71];
  for (let i = 0; i < id.length; i++) out[i % 3] = (Math.imul(out[i % 3], 31) + id.charCodeAt(i)) >>> 0;
  return out;
};

/** The corners of what the lens sees when the shutter opens, half-way and when it closes, metres in the world. */
function seenCorners({ open, mid, close, flat }: Shot, view: View): Vec3[] {
  const { x: width, y: height } = view.uPicture.value;
  const far = view.uAir.value.z;
  return [open, mid, close].flatMap((matrix) => {
    const toWorld = matrix.clone().invert();
    return [0, far].flatMap((d) =>
      [-1, 1].flatMap((x) =>
        [-1, 1].map((y): Vec3 => {
          const over = (flat > 0 ? flat : d) / view.uPixelFocal.value / 2;
          return new THREE.Vector3(x * width * over, y * height * over, -d).applyMatrix4(toWorld).toArray();
        }),
      ),
    );
  });
}
