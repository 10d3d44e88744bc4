import * as THREE from 'three';
import type { Piece } from '../../core/piece/schema';
import { rides } from '../../core/world/route';
import { mirrored, mirrorsOf, planeOf, type Plane } from '../../core/world/mirrors';
import { boxOf } from '../../core/elements/extent';
import type { Layer } from '../../core/layers/kinds';
import type { Box } from '../../core/space/box';
import type { Vec3 } from '../../core/space/vector';
import { inMirror, MOST_MIRRORS, type MirrorPicture } from '../drawings/drawing';
import { drawMatter, jobsOf, type ShownLayers, type ShownLight, type ShownMatter } from '../frame/layers';
import { Lighting } from '../frame/lighting';
import type { Shot } from '../frame/shot';
import type { Targets } from '../frame/targets';
import { keepCamera, phaseOf, type Pass, type View } from '../frame/view';
import { visibleParts } from '../frame/visible';
import type { Gpu } from '../gl/gpu';
import { fullscreenMaterial } from '../gl/quad';
import { emptyLight, emptyMatter, floatTarget } from '../gl/target';
import { Sorter, type SortJob } from '../seen/sorter';
import { behind, nearSide, towardsEye } from './behind';
import nearFragment from './near.frag.glsl?raw';

/** One layer that mirrors in a frame, and what it mirrors. */
interface Mirror {
  layer: Layer;
  /** drawings of it */
  surfaces: readonly ShownMatter[];
  things: readonly ShownMatter[];
  lights: readonly ShownLight[];
  /** makes the views of the open shutter those of an eye behind it */
  look(): void;
}

/** Metres of added light over a mirror where there is none, and the least there may be. */
const FAR = 1e9;
const LEAST_ABOVE = 0.05;

const NOWHERE = new THREE.Vector4(0, 0, 0, 0);

/** A target of which all levels are made. */
function levelled(width: number, height: number): THREE.WebGLRenderTarget {
  const target = floatTarget(width, height);
  target.texture.generateMipmaps = true;
  target.texture.minFilter = THREE.LinearMipmapLinearFilter;
  return target;
}

const NOTHING = new THREE.Object3D();

/** Metres of added light over a plane, in the middle; far where there is none. */
function heightOf(lights: readonly ShownLight[], { normal, along }: Plane): number {
  const heights = lights.map(({ frame: { extent } }) => {
    const [least, most] = rangeAlong(boxOf(extent), normal);
    return (Math.max(0, least - along) + Math.max(0, most - along)) / 2;
  });
  return heights.length > 0 ? heights.reduce((sum, height) => sum + height, 0) / heights.length : FAR;
}

/** How far a box reaches along a direction, metres. */
function rangeAlong({ low, high }: Box, way: Vec3): [number, number] {
  const ends = way.map((w, k) => [w * low[k], w * high[k]]);
  return [ends.reduce((sum, [a, b]) => sum + Math.min(a, b), 0), ends.reduce((sum, [a, b]) => sum + Math.max(a, b), 0)];
}

/**
 * What flat surfaces mirror of what stands on them: in every pass it is drawn from behind the surface, from that pass's point of the
 * lens and at its time, so what is mirrored is as sharp and moves as what it is an image of. What is seen through is not mirrored.
 */
export class Mirrors {
  private readonly sorter: Sorter;
  private lighting: Lighting | null = null;
  private readonly rooms: MirrorPicture[] = [];
  private readonly nearness: THREE.RawShaderMaterial;
  private found: readonly Mirror[] = [];

  constructor(
    private readonly gpu: Gpu,
    private readonly view: View,
  ) {
    this.sorter = new Sorter(gpu);
    this.nearness = fullscreenMaterial(nearFragment, view);
  }

  /** Takes a frame: what is seen in each mirror is sorted. */
  begin(piece: Piece, shot: Shot, { matter, glass, light }: ShownLayers): void {
    const all = [...matter, ...glass];
    for (const { drawn } of all) drawn.mirror?.(null, NOWHERE);
    this.found = [];
    const layers = mirrorsOf(piece).slice(0, MOST_MIRRORS);
    if (layers.length === 0) return;
    const jobs: SortJob[] = [];
    const found = layers.flatMap((layer) => {
      const surfaces = all.filter(
        ({ drawn, frame, at }) => drawn.mirror && frame.layer.id === layer.id && at.length > 0,
      );
      const views = [shot.openPhase, shot.phase, shot.closePhase].flatMap((phase, i) => {
        const plane = planeOf(piece, layer, phase);
        return plane ? [{ plane, view: behind([shot.open, shot.mid, shot.close][i], plane) }] : [];
      });
      return surfaces.length > 0 && views.length === 3 ? [{ layer, surfaces, views }] : [];
    });
    this.found = found.map(({ layer, surfaces, views }, number): Mirror => {
      const [open, mid, close] = views.map(({ view }) => view);
      const pose = { ...shot.pose, position: mirrored(views[1].plane, shot.pose.position) };
      const seenIn = <S extends ShownMatter | ShownLight>(shown: readonly S[]): S[] =>
        shown.flatMap((one) => {
          const { drawn, moment, frame } = one;
          // what hangs on the camera is nowhere in the world
          if (frame.layer.id === layer.id || rides(frame.layer)) return [];
          const at = visibleParts(frame, { pose, open, mid, close, back: shot.back }, drawn.parts);
          return at.length > 0 ? [{ ...one, moment: inMirror(moment, number), at }] : [];
        });
      const [things, lights] = [seenIn(matter), seenIn(light)];
      const look = (): void => {
        const { uViewOpen, uViewMid, uViewClose } = this.view;
        [uViewOpen.value, uViewMid.value, uViewClose.value] = [open, mid, close];
      };
      jobs.push(...jobsOf([...things, ...lights], look));
      return { layer, surfaces, things, lights, look };
    });
    if (this.found.length === 0) return;
    this.lighting ??= new Lighting(this.gpu, this.view, {}, true);
    this.lighting.light(piece);
    const restore = keepCamera(this.view);
    this.sorter.sort(jobs);
    restore();
  }

  /** Draws what is seen in every mirror in a pass, into the targets of its matter, and hands it to what mirrors it. */
  draw(piece: Piece, shot: Shot, pass: Pass, targets: Targets): void {
    const { view, lighting } = this;
    if (this.found.length === 0 || !lighting) return;
    const { t } = pass.lens;
    const phase = phaseOf(shot, pass);
    // none is seen in another
    for (const { surfaces } of this.found) for (const { drawn } of surfaces) drawn.mirror?.(null, NOWHERE);
    const eye = view.uView.value.clone();
    const planes = this.found.map(({ layer }) => planeOf(piece, layer, phase));
    this.found.forEach(({ things, lights, look }, number) => {
      const plane = planes[number];
      if (!plane) return;
      const restore = keepCamera(view);
      look();
      this.lookFrom(behind(eye, plane), plane);
      emptyMatter(this.gpu.renderer, targets.matter);
      drawMatter(things, t, targets.matter);
      const to = this.room(number, targets);
      emptyLight(this.gpu.renderer, to.lit);
      // its levels are made once, when all is in it
      to.lit.texture.generateMipmaps = false;
      lighting.draw(targets, to.lit);
      this.addLight(lights, pass, to.lit);
      to.lit.texture.generateMipmaps = true;
      this.gpu.stage.draw(this.gpu.renderer, NOTHING, to.lit);
      this.gpu.quad.draw(this.gpu.renderer, this.nearness, to.near);
      to.lightAbove = Math.max(heightOf(lights, plane), LEAST_ABOVE);
      restore();
    });
    view.uMatter.value = view.uMatterColour.value = view.uMatterManner.value = null;
    this.found.forEach(({ surfaces }, number) => {
      const plane = planes[number];
      if (!plane) return;
      const { x, y, z } = towardsEye(plane, eye);
      for (const { drawn } of surfaces) drawn.mirror?.(this.rooms[number], new THREE.Vector4(x, y, z, 1));
    });
  }

  /** Adds light to a mirror's matter, which hides what is behind it; all that the passes of a frame would add, for so the mirror takes its share. */
  private addLight(lights: readonly ShownLight[], { lens, total }: Pass, to: THREE.WebGLRenderTarget): void {
    const { view } = this;
    if (lights.length === 0) return;
    view.uSolid.value = true;
    view.uTimes.value = total;
    // the lens is turned over from left to right, and with it the part of it that this pass draws
    view.uPass.value = new THREE.Vector4(lens.a, 1 - lens.b, lens.t, view.uPass.value.w);
    const { x: blades, y: turn, z: squeeze, w: soft } = view.uAperture.value;
    view.uAperture.value = new THREE.Vector4(blades, 0.5 - turn, squeeze, soft);
    view.uLevel.value = 1;
    for (const { drawn, moment } of lights) {
      drawn.show(moment, lens.t);
      drawn.draw({ few: true, level: () => to });
    }
    view.uSolid.value = false;
  }

  /** Makes the view of the lens that of one behind a mirror. */
  private lookFrom(own: THREE.Matrix4, plane: Plane): void {
    const { view } = this;
    const { x: width, y: height } = view.uPicture.value;
    const { x, y } = view.uLens.value;
    const { x: aside, y: up } = view.uJitter.value;
    view.uView.value = own;
    view.uLens.value = new THREE.Vector2(-x, y);
    view.uLensAt.value = new THREE.Vector2(-view.uLensAt.value.x, view.uLensAt.value.y);
    view.uJitter.value = new THREE.Vector2(-aside, up);
    view.uMirror.value = nearSide(plane, own, {
      ...{ width, height, lens: [x, y] },
      pixelFocal: view.uPixelFocal.value,
      flat: view.uFlat.value,
      focus: view.uFocus.value,
      far: view.uAir.value.z,
    });
  }

  private room(number: number, { width, height }: Targets): MirrorPicture {
    const known = this.rooms[number] as MirrorPicture | undefined;
    if (known?.lit.width === width && known.lit.height === height) return known;
    for (const target of known ? [known.lit, known.near] : []) target.dispose();
    return (this.rooms[number] = {
      lit: levelled(width, height),
      near: levelled(width / 2, height / 2),
      lightAbove: FAR,
    });
  }

  dispose(): void {
    this.lighting?.dispose();
    this.sorter.dispose();
    this.nearness.dispose();
    for (const { lit, near } of this.rooms) for (const target of [lit, near]) target.dispose();
  }
}
