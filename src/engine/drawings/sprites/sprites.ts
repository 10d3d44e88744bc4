import * as THREE from 'three';
import type { DrawingOf } from '../../../core/layers/drawing';
import { SPRITE_INDEX } from '../../../core/layers/base';
import { joinSources } from '../../../core/kernel/kernel';
import { sources as litSources } from '../../../core/air/lit.gen';
import type { Piece } from '../../../core/piece/schema';
import { lampsProgram } from '../../lights/lamps';
import type { LitRow } from '../../lights/program';
import { LitProgram, shadingSource } from '../../matter/program';
import { sources as apertureSources } from '../../../core/lens/aperture.gen';
import { MIST, mistProgram } from '../../air/air';
import { CRISP_PX } from '../../frame/levels';
import { LEVELS } from '../../frame/targets';
import hidingSource from '../../frame/hiding.glsl?raw';
import viewSource from '../../frame/view.glsl?raw';
import type { Uniforms } from '../../gl/gpu';
import { fillAttribute } from '../../gl/fill';
import { ADDITIVE, constants, rawMaterial, setVertex } from '../../gl/quad';
import { GROUP, placesOf } from '../../layer/picked';
import type { DrawingKind, DrawingMeans, LightDrawn } from '../drawing';
import { SortProgram } from '../../seen/sorter';
import { particleUniforms, showElements } from '../uniforms';
import { pictureUniforms, showPicture } from './picture';
import particleSource from './particle.glsl?raw';
import smallFragment from './small.frag.glsl?raw';
import fragment from './sprites.frag.glsl?raw';
import sortSource from './sort.glsl?raw';
import vertex from './sprites.vert.glsl?raw';

/** Radius in pixels under which particles are drawn by the cheap program: see sprites.vert.glsl. */
const SMALL_PX = 4;

const APERTURE = joinSources(apertureSources);
const SPRITES = constants('SPRITE', SPRITE_INDEX);
const PARTICLE = SPRITES + APERTURE + viewSource + particleSource;
const VERTEX = SPRITES + viewSource + mistProgram(apertureSources) + particleSource + vertex;
/** The same where lamps light them. */
const litVertex = (lights: readonly LitRow[]): string =>
  `#define LAMPS\n${SPRITES}${viewSource}${shadingSource(lights, { ...apertureSources, ...litSources, ...MIST.sources })}${MIST.glsl}${lampsProgram(lights)}${particleSource}${vertex}`;
const FRAGMENT = SPRITES + APERTURE + hidingSource + fragment;
const SORT = `const float SMALL_PX = ${SMALL_PX.toFixed(1)};\nconst float CRISP_PX = ${CRISP_PX.toFixed(1)};\n${PARTICLE}${sortSource}`;

/** Of the classes that particles are sorted into the first is of small ones; the others are one for each target. */
const CLASSES = 1 + LEVELS.length;

/** What is seen of the particles at one moment: one class after another. */
interface SeenParticles {
  geometry: THREE.BufferGeometry;
  starts: readonly number[];
}

/** One program of particles, and the same where lamps light them. */
class Particles {
  readonly points: THREE.Points<THREE.BufferGeometry, THREE.RawShaderMaterial>;
  private readonly own: THREE.RawShaderMaterial;
  private lit: LitProgram | null = null;

  /** @param head put in front of the vertex program */
  constructor(
    private readonly head: string,
    private readonly fragment: string,
    private readonly uniforms: Uniforms,
  ) {
    this.own = rawMaterial(head + VERTEX, fragment, uniforms, ADDITIVE);
    this.points = new THREE.Points(new THREE.BufferGeometry(), this.own);
  }

  /** @param piece whose lamps light them; null where they shine themselves */
  take(piece: Piece | null): void {
    if (piece) {
      const source = (lights: readonly LitRow[]): string => this.head + litVertex(lights);
      this.lit ??= new LitProgram(rawMaterial(source([]), this.fragment, this.uniforms, ADDITIVE), source, setVertex);
      this.lit.light(piece);
    }
    this.points.material = piece && this.lit ? this.lit.material : this.own;
  }

  dispose(): void {
    this.own.dispose();
    this.lit?.material.dispose();
  }
}

/** Particles: those under four pixels by a program of their own. */
export const sprites: DrawingKind<DrawingOf<'sprites'>> = {
  as: 'sprites',
  make({ order, parts, fair = 0, rows = false }, { gpu, view }: DrawingMeans): LightDrawn {
    const own = { ...particleUniforms(), ...pictureUniforms() };
    const uniforms = { ...view, ...own };
    const large = new Particles('', FRAGMENT, uniforms);
    const small = new Particles('#define SMALL\n', hidingSource + smallFragment, uniforms);
    const program = new SortProgram(SORT, uniforms, order);
    const seen: SeenParticles[] = [];
    let shown = 0;
    let gain = 1;
    let picked = GROUP;
    const draw = ({ points }: Particles, k: number, target: THREE.WebGLRenderTarget): void => {
      const { geometry, starts } = seen[shown];
      points.geometry = geometry;
      geometry.setDrawRange(starts[k], starts[k + 1] - starts[k]);
      gpu.stage.draw(gpu.renderer, points, target);
    };
    const any = (k: number): boolean => seen[shown].starts[k + 1] > seen[shown].starts[k];
    return {
      stage: 'light',
      parts,
      thins: fair > 1 || rows ? order.length : 0,
      sorting: {
        program,
        classes: CLASSES,
        first: 0,
        count: order.length,
        placesOf: (stretch) => placesOf(stretch, picked),
        take(moment, { pairs, starts }) {
          seen[moment] ??= { geometry: new THREE.BufferGeometry(), starts: [] };
          fillAttribute(seen[moment].geometry, 'aElement', pairs.subarray(0, 2 * starts[CLASSES]), 2);
          seen[moment].starts = starts;
        },
      },
      update({ look, piece, density, picked: now }) {
        picked = rows ? now : GROUP;
        const kept = Math.ceil(fair * density);
        own.uKept.value.set(kept, fair);
        // those that are left shine for the others
        gain = fair > 0 ? fair / kept : GROUP / picked;
        own.uTile.value = piece.tile;
        own.uSoftness.value = look.softness;
        own.uSprite.value = look.sprite;
        for (const particles of [large, small]) particles.take(look.lit === true ? piece : null);
        showPicture(own, look.sprite === SPRITE_INDEX.picture ? (look.picture ?? '') : null);
      },
      show(moment) {
        shown = moment.index;
        showElements(own, moment);
        own.uLight.value *= gain;
      },
      draw({ level, few }) {
        if (few && any(0)) draw(small, 0, level(0));
        for (let n = 0; n < LEVELS.length; n++) if (any(n + 1)) draw(large, n + 1, level(n));
      },
      dispose() {
        showPicture(own, null);
        program.dispose();
        seen.forEach(({ geometry }) => geometry.dispose());
        large.dispose();
        small.dispose();
      },
    };
  },
};
