import * as THREE from 'three';
import type { DrawingOf } from '../../../core/layers/drawing';
import { sources as turnSources } from '../../../core/noise/turn.gen';
import { MIST } from '../../air/air';
import pixelSource from '../../frame/pixel.glsl?raw';
import viewSource from '../../frame/view.glsl?raw';
import { fillAttribute } from '../../gl/fill';
import mirroredSource from '../../mirror/mirrored.glsl?raw';
import { coverVertex } from '../../matter/pattern/program';
import { Lazily, movingMaterial } from '../../matter/moving';
import { hidingMaterial, isSeenThrough, matterMaterial } from '../../matter/program';
import sidesSource from '../../seen/sides.glsl?raw';
import { SortProgram, type Seen } from '../../seen/sorter';
import { SEEN_MOMENTS, WHOLE, type DrawingKind, type MatterDrawn, type MirrorPicture } from '../drawing';
import { GridLines, LINE_CLASSES, maySources, strokesIn } from '../ink/gridLines';
import { bodyUniforms, setMatter, showLit } from '../uniforms';
import blocksSource from './blocks.glsl?raw';
import { besideOneAnother, DETAILS } from './seams';
import fragment from './sheet.frag.glsl?raw';
import cellsSource from './cells.glsl?raw';
import linesSort from './lines.sort.glsl?raw';
import linesVertex from './lines.vert.glsl?raw';
import uprightSource from './upright.glsl?raw';
import vertex from './sheet.vert.glsl?raw';
import sortSource from './sort.glsl?raw';

/** Cells of a block from side to side. */
const BLOCK = 16;
const BLOCKS = `const int BLOCK = ${BLOCK};\n${blocksSource}`;

/** Two triangles for every cell of a block of which only every so manieth vertex is drawn. */
function cellsOf(step: number): THREE.InstancedBufferGeometry {
  const cells = BLOCK / step;
  const index = Array.from({ length: cells * cells }, (_, i) => {
    const a = (Math.floor(i / cells) * (BLOCK + 1) + (i % cells)) * step;
    const b = a + (BLOCK + 1) * step;
    return [a, a + step, b + step, a, b + step, b];
  });
  const geometry = new THREE.InstancedBufferGeometry();
  geometry.setIndex(index.flat());
  geometry.instanceCount = 0;
  return geometry;
}

const geometries = (): THREE.InstancedBufferGeometry[] => Array.from({ length: DETAILS }, (_, k) => cellsOf(2 ** k));

/** A ground between elements, smooth matter under the lights, which may be water: block by block, in as much detail as shows. */
export const sheet: DrawingKind<DrawingOf<'sheet'>> = {
  as: 'sheet',
  turned: () => true,
  make({ across, along }, { gpu, view, made, covered }): MatterDrawn {
    const blocks = [Math.ceil(across / BLOCK), Math.ceil(along / BLOCK)] as const;
    const own = {
      ...bodyUniforms(),
      uRipple: { value: new THREE.Vector3() },
      uEven: { value: false },
      uRippleTile: { value: new THREE.Vector2(1, 1) },
      uStrokeTile: { value: 1 },
      uSheet: { value: [across, along, blocks[0]] },
      uMirrored: { value: null as THREE.Texture | null },
      uMirrorNear: { value: null as THREE.Texture | null },
      uMirrorPlane: { value: new THREE.Vector4(0, 0, 0, 0) },
      uMirrorLight: { value: 1 },
    };
    const uniforms = { ...view, ...own, ...covered.uniforms };
    const { material, take } = matterMaterial(
      made,
      [
        viewSource + BLOCKS + uprightSource + coverVertex(made.cover) + vertex,
        pixelSource + (made.mirrors ? MIST.glsl + mirroredSource : '') + fragment,
      ],
      uniforms,
      THREE.DoubleSide,
      made.mirrors ? { ...turnSources, ...MIST.sources } : turnSources,
    );
    const hiding = hidingMaterial(viewSource + BLOCKS + uprightSource + vertex, uniforms, THREE.DoubleSide);
    const moving = new Lazily(() =>
      movingMaterial(viewSource + BLOCKS + uprightSource + vertex, uniforms, THREE.DoubleSide),
    );
    const program = new SortProgram(viewSource + BLOCKS + sidesSource + sortSource, uniforms, null);
    const cells = viewSource + uprightSource + cellsSource;
    const lines = made.lines === 'none' ? null : new GridLines(gpu, cells, linesVertex, uniforms, made.lines);
    const linesProgram = lines && new SortProgram(cells + sidesSource + maySources + linesSort, uniforms, null);
    const object = new THREE.Mesh(new THREE.BufferGeometry(), material);
    const seen: THREE.InstancedBufferGeometry[][] = [];
    let now = 0;
    const drawAll = (own: THREE.RawShaderMaterial, target: THREE.WebGLRenderTarget): void => {
      object.material = own;
      gpu.stage.drawInstances(gpu.renderer, object, seen[now], target);
    };
    return {
      stage: 'matter',
      casts: true,
      seenThrough: isSeenThrough(made.matter),
      parts: WHOLE,
      sorting: {
        program,
        classes: DETAILS,
        first: 0,
        count: blocks[0] * blocks[1],
        take(moment, found) {
          const all = besideOneAnother(found, ...blocks);
          (seen[moment] ??= geometries()).forEach((geometry, k) => {
            const [from, to] = [found.starts[k], found.starts[k + 1]];
            fillAttribute(geometry, 'aBlock', all.subarray(3 * from, 3 * to), 3);
            geometry.instanceCount = to - from;
          });
        },
      },
      ...(lines &&
        linesProgram && {
          lineSorting: {
            program: linesProgram,
            classes: LINE_CLASSES,
            first: 0,
            count: across * along,
            take: (moment: number, found: Seen) => lines.take(moment, found, 'aCell', 0),
          },
          drawLines: (target: THREE.WebGLRenderTarget) => lines.draw(now, target),
        }),
      ...(made.mirrors && {
        mirror(picture: MirrorPicture | null, plane: THREE.Vector4): void {
          own.uMirrored.value = picture?.lit.texture ?? null;
          own.uMirrorNear.value = picture?.near.texture ?? null;
          own.uMirrorPlane.value.copy(plane);
          own.uMirrorLight.value = picture?.lightAbove ?? 1;
        },
      }),
      update(frame) {
        const { look, piece } = frame;
        const { strength = 0, size = 1, cycles = 0 } = look.ripple ?? {};
        own.uRipple.value.set(strength, 1 / size, cycles);
        own.uRippleTile.value.set(piece.tile, Math.max(1, Math.round(piece.tile / size)));
        own.uEven.value = look.even === true;
        own.uTile.value = piece.tile;
        if (look.lines) own.uStrokeTile.value = strokesIn(piece.tile, look.lines.strokes);
        setMatter(own, frame);
        take(piece);
      },
      show(moment, time) {
        now = moment.index;
        showLit(own, moment, time);
      },
      draw: (_at, target) => drawAll(now < SEEN_MOMENTS ? material : hiding, target),
      drawMotion: (target) => drawAll(moving.get(), target),
      dispose() {
        program.dispose();
        linesProgram?.dispose();
        lines?.dispose();
        for (const geometry of seen.flat()) geometry.dispose();
        material.dispose();
        hiding.dispose();
        moving.dispose();
      },
    };
  },
};
