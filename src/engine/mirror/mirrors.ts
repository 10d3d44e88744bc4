import * as THREE from 'three';
import type { Piece } from '../../core/piece/schema';
import { rides } from '../../core/world/route';
import { mirrored, mirrorsOf, planeOf, type Plane } from '../../core/world/mirrors';
import type { Layer } from '../../core/layers/kinds';
import { inMirror, MOST_MIRRORS, type MirrorPicture } from '../drawings/drawing';
import { drawMatter, jobsOf, type ShownLayers, type ShownMatter } from '../frame/layers';
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
}

const NOWHERE = new THREE.Vector4(0, 0, 0, 0);

/** A target of which all levels are made. */
function levelled(width: number, height: number): THREE.WebGLRenderTarget {
  const target = floatTarget(width, height);
  target.texture.generateMipmaps = true;
  target.texture.minFilter = THREE.LinearMipmapLinearFilter;
  return target;
}

const NOTHING = new THREE.Object3D();

/**
 * What flat surfaces mirror of what stands on them: in every pass it is drawn from behind the surface, from that pass's point of the
 * lens and at its time, so what is mirrored is as sharp and moves as what it is an image of. What is seen through, and what is added as
 * light, is not mirrored.
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
  begin(piece: Piece, shot: Shot, { matter, glass }: ShownLayers): void {
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
      const things = matter.flatMap(({ drawn, moment, frame }): ShownMatter[] => {
        // what hangs on the camera is nowhere in the world
        if (frame.layer.id === layer.id || rides(frame.layer)) return [];
        const at = visibleParts(frame, { pose, open, mid, close, back: shot.back }, drawn.parts);
        return at.length > 0 ? [{ drawn, moment: inMirror(moment, number), frame, at }] : [];
      });
      jobs.push(
        ...jobsOf(things, () => {
          for (const [name, view] of [
            ['uViewOpen', open],
            ['uViewMid', mid],
            ['uViewClose', close],
          ] as const)
            this.view[name].value = view;
        }),
      );
      return { layer, surfaces, things };
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
    this.found.forEach(({ things }, number) => {
      const plane = planes[number];
      if (!plane) return;
      const restore = keepCamera(view);
      this.look(behind(eye, plane), plane);
      emptyMatter(this.gpu.renderer, targets.matter);
      drawMatter(things, t, targets.matter);
      const to = this.room(number, targets);
      emptyLight(this.gpu.renderer, to.lit);
      // its levels are made once, when all is in it
      to.lit.texture.generateMipmaps = false;
      lighting.draw(targets, to.lit);
      to.lit.texture.generateMipmaps = true;
      this.gpu.stage.draw(this.gpu.renderer, NOTHING, to.lit);
      this.gpu.quad.draw(this.gpu.renderer, this.nearness, to.near);
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

  /** Makes the view of the lens that of one behind a mirror. */
  private look(own: THREE.Matrix4, plane: Plane): void {
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
    return (this.rooms[number] = { lit: levelled(width, height), near: levelled(width / 2, height / 2) });
  }

  dispose(): void {
    this.lighting?.dispose();
    this.sorter.dispose();
    this.nearness.dispose();
    for (const { lit, near } of this.rooms) for (const target of [lit, near]) target.dispose();
  }
}
