import * as THREE from 'three';
import type { DrawingOf } from '../../../core/layers/drawing';
import { SPRITE_INDEX } from '../../../core/layers/base';
import { joinSources } from '../../../core/kernel/kernel';
import { sources as apertureSources } from '../../../core/lens/aperture.gen';
import viewSource from '../../frame/view.glsl?raw';
import { ADDITIVE, bareGeometry, constants, rawMaterial } from '../../gl/quad';
import type { DrawingKind, DrawingMeans, LightDrawn } from '../drawing';
import { elementUniforms, showElements } from '../uniforms';
import { pictureUniforms, showPicture } from './picture';
import smallFragment from './small.frag.glsl?raw';
import fragment from './sprites.frag.glsl?raw';
import vertex from './sprites.vert.glsl?raw';

/** Radius in pixels under which particles are drawn by the cheap program: see sprites.vert.glsl. */
const SMALL_PX = 4;

const APERTURE = joinSources(apertureSources);
const SPRITES = constants('SPRITE', SPRITE_INDEX);
const VERTEX = `#define SMALL_PX ${SMALL_PX.toFixed(1)}\n${SPRITES}${APERTURE}${viewSource}${vertex}`;
const FRAGMENT = SPRITES + APERTURE + fragment;

/** Particles: those under four pixels by a program of their own. */
export const sprites: DrawingKind<DrawingOf<'sprites'>> = {
  as: 'sprites',
  make({ order, parts }, { gpu, view }: DrawingMeans): LightDrawn {
    const own = { ...elementUniforms(), ...pictureUniforms(), uSoftness: { value: 0 }, uSprite: { value: 0 } };
    const uniforms = { ...view, ...own };
    const geometry = bareGeometry(0, order);
    const large = new THREE.Points(geometry, rawMaterial(VERTEX, FRAGMENT, uniforms, ADDITIVE));
    const small = new THREE.Points(
      geometry,
      rawMaterial(`#define SMALL\n${VERTEX}`, smallFragment, uniforms, ADDITIVE),
    );
    return {
      stage: 'light',
      parts,
      shown: null,
      update({ look }) {
        own.uSoftness.value = look.softness;
        own.uSprite.value = look.sprite;
        showPicture(own, look.sprite === SPRITE_INDEX.picture ? (look.picture ?? '') : null);
      },
      show: (moment) => showElements(own, moment),
      draw({ offset, part }, { least, most }, { target, full, few }) {
        own.uTileOffset.value = offset;
        if (Number.isFinite(part.count)) geometry.setDrawRange(part.first, part.count);
        if (full && few && least < SMALL_PX) gpu.stage.draw(gpu.renderer, small, target);
        if (!full || most > SMALL_PX) gpu.stage.draw(gpu.renderer, large, target);
      },
      dispose() {
        showPicture(own, null);
        geometry.dispose();
        large.material.dispose();
        small.material.dispose();
      },
    };
  },
};
