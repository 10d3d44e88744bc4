// Peers for the drawing bench: bare three.js points of the same number and size, in the same kind of target. Runs in the page.
import { BloomEffect, DepthOfFieldEffect, EffectComposer, EffectPass, type Effect, RenderPass } from 'postprocessing';
import * as THREE from 'three';
import { RF } from '../../src/core/kernel/scratch';
import { curlAt } from '../../src/core/noise/moment.gen';

/** Curl noise as one writes it: hashed at every corner. */
const NO_TABLE = new Float64Array();

const mulberry = (seed: number) => (): number => {
  let t = (seed += 0x6d2b79f5);
  t = Math.imul(t ^ (t >>> 15), t | 1);
  t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
  return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
};

/**
 * Milliseconds a frame: points that stand still, or that are moved by rewriting their buffer on the CPU: by one sine an axis,
 * the least that any drift costs, or by the curl noise that ours are moved by.
 */
export function pointsPace(
  count: number,
  width: number,
  height: number,
  frames: number,
  how: 'still' | 'rewritten' | 'moved',
): number {
  const canvas = new OffscreenCanvas(width, height);
  const renderer = new THREE.WebGLRenderer({ canvas: canvas as unknown as HTMLCanvasElement, antialias: false });
  renderer.setSize(width, height, false);
  const random = mulberry(7);
  const rest = Float32Array.from(
    { length: count * 3 },
    (_, i) => (random() - 0.5) * (i % 3 === 2 ? 8 : i % 3 === 1 ? 5 : 9) - (i % 3 === 2 ? 6 : 0),
  );
  const position = new THREE.BufferAttribute(rest.slice(), 3);
  position.setUsage(THREE.DynamicDrawUsage);
  const geometry = new THREE.BufferGeometry().setAttribute('position', position);
  const material = new THREE.PointsMaterial({
    size: 2,
    sizeAttenuation: false,
    color: 0x445566,
    blending: THREE.AdditiveBlending,
    depthTest: false,
    transparent: true,
  });
  const scene = new THREE.Scene().add(new THREE.Points(geometry, material));
  const camera = new THREE.PerspectiveCamera(40, width / height, 0.1, 100);
  const target = new THREE.WebGLRenderTarget(width, height, { type: THREE.FloatType, depthBuffer: false });
  const gl = renderer.getContext();
  const draw = (frame: number): void => {
    const out = position.array as Float32Array;
    if (how === 'rewritten')
      for (let i = 0; i < out.length; i++) out[i] = rest[i] + 0.2 * Math.sin(rest[(i + 1) % out.length] + frame * 0.1);
    if (how === 'moved')
      for (let i = 0; i < out.length; i += 3) {
        curlAt(
          rest[i] / 2,
          rest[i + 1] / 2,
          rest[i + 2] / 2,
          512,
          512,
          4,
          11,
          frame / 100,
          2,
          NO_TABLE,
          0,
          0,
          0,
          0,
          0,
          0,
          0,
        );
        for (let k = 0; k < 3; k++) out[i + k] = rest[i + k] + 0.3 * RF[k];
      }
    position.needsUpdate = how !== 'still';
    renderer.setRenderTarget(target);
    renderer.render(scene, camera);
    gl.readPixels(0, 0, 1, 1, gl.RGBA, gl.FLOAT, new Float32Array(4));
  };
  draw(0);
  const started = performance.now();
  for (let i = 1; i <= frames; i++) draw(i);
  const pace = (performance.now() - started) / frames;
  renderer.dispose();
  return pace;
}

/** Milliseconds a frame of 20 000 bevelled boxes as bare instances that stand still, in the same kind of target. */
export function boxesPace(width: number, height: number, frames: number): number {
  const canvas = new OffscreenCanvas(width, height);
  const renderer = new THREE.WebGLRenderer({ canvas: canvas as unknown as HTMLCanvasElement, antialias: false });
  renderer.setSize(width, height, false);
  // as many vertices and triangles as our box of one bevel step: sixteen vertices and nine squares a face
  const geometry = new THREE.BoxGeometry(0.18, 0.18, 0.18, 3, 3, 3);
  const boxes = new THREE.InstancedMesh(geometry, new THREE.MeshStandardMaterial({ color: 0x998866 }), 20_000);
  const matrix = new THREE.Matrix4();
  let i = 0;
  for (let z = 0; z < 20; z++)
    for (let y = 0; y < 25; y++)
      for (let x = 0; x < 40; x++)
        boxes.setMatrixAt(i++, matrix.makeTranslation((x - 19.5) * 0.3, (y - 12) * 0.3, -14 - (z - 9.5) * 0.3));
  const scene = new THREE.Scene().add(boxes, new THREE.AmbientLight(0xffffff, 0.3));
  for (const [x, y, z] of [
    [0.78, 0.5, 0.38],
    [-0.86, 0.12, 0.49],
    [-0.25, 0.55, -0.8],
  ]) {
    const light = new THREE.DirectionalLight(0xffffff, 1);
    light.position.set(x, y, z);
    scene.add(light);
  }
  const camera = new THREE.PerspectiveCamera(28, width / height, 0.03, 100);
  const target = new THREE.WebGLRenderTarget(width, height, { type: THREE.FloatType, depthBuffer: true });
  const gl = renderer.getContext();
  const draw = (): void => {
    renderer.setRenderTarget(target);
    renderer.render(scene, camera);
    gl.readPixels(0, 0, 1, 1, gl.RGBA, gl.FLOAT, new Float32Array(4));
  };
  draw();
  const started = performance.now();
  for (let n = 0; n < frames; n++) draw();
  const pace = (performance.now() - started) / frames;
  renderer.dispose();
  return pace;
}

/** Milliseconds that an effect of the peer adds to a frame of 60 boxes in the depth, in float targets. */
export function effectCost(kind: 'bloom' | 'focus', width: number, height: number, frames: number): number {
  const pace = (make: ((camera: THREE.Camera) => Effect) | null): number => {
    const canvas = new OffscreenCanvas(width, height);
    const renderer = new THREE.WebGLRenderer({ canvas: canvas as unknown as HTMLCanvasElement, antialias: false });
    renderer.setSize(width, height, false);
    const scene = new THREE.Scene();
    const random = mulberry(3);
    for (let i = 0; i < 60; i++) {
      const box = new THREE.Mesh(
        new THREE.BoxGeometry(0.7, 0.7, 0.7),
        new THREE.MeshBasicMaterial({ color: 0xffeecc }),
      );
      box.position.set((random() - 0.5) * 8, (random() - 0.5) * 5, -2 - random() * 18);
      scene.add(box);
    }
    const camera = new THREE.PerspectiveCamera(40, width / height, 0.1, 100);
    const composer = new EffectComposer(renderer, { frameBufferType: THREE.FloatType });
    composer.setSize(width, height, false);
    composer.addPass(new RenderPass(scene, camera));
    composer.addPass(make ? new EffectPass(camera, make(camera)) : new EffectPass(camera));
    const gl = renderer.getContext();
    const draw = (): void => {
      composer.render(0.04);
      gl.readPixels(0, 0, 1, 1, gl.RGBA, gl.UNSIGNED_BYTE, new Uint8Array(4));
    };
    draw();
    const started = performance.now();
    for (let n = 0; n < frames; n++) draw();
    const ms = (performance.now() - started) / frames;
    composer.dispose();
    renderer.dispose();
    return ms;
  };
  const effects: Record<typeof kind, (camera: THREE.Camera) => Effect> = {
    bloom: () => new BloomEffect({ mipmapBlur: true, luminanceThreshold: 0.6, intensity: 1 }),
    focus: (camera) => new DepthOfFieldEffect(camera, { worldFocusDistance: 6, worldFocusRange: 4, bokehScale: 3 }),
  };
  return pace(effects[kind]) - pace(null);
}
