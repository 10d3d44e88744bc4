// Peers for the drawing bench: bare three.js points of the same number and size, in the same kind of target. Runs in the page.
import {
  BloomEffect,
  BrightnessContrastEffect,
  ChromaticAberrationEffect,
  DepthOfFieldEffect,
  Effect,
  EffectAttribute,
  EffectComposer,
  EffectPass,
  HueSaturationEffect,
  LookupTexture,
  LUT3DEffect,
  NoiseEffect,
  RenderPass,
  VignetteEffect,
} from 'postprocessing';
import * as THREE from 'three';
import { RF } from '../../src/core/kernel/scratch';
import { definitionOf } from '../../src/core/layers/kinds';
import { curlAt } from '../../src/core/noise/moment.gen';
import type { Piece } from '../../src/core/piece/schema';
import { worldOf } from '../../src/core/world/layers';
import { shotAt } from '../../src/engine/frame/shot';

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

/** Milliseconds a frame of a scene in a float target, as long as each takes to the end. The renderer is done with afterwards. */
function scenePace(
  renderer: THREE.WebGLRenderer,
  scene: THREE.Scene,
  camera: THREE.Camera,
  [width, height]: readonly [number, number],
  frames: number,
): number {
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
  return scenePace(
    renderer,
    scene,
    new THREE.PerspectiveCamera(28, width / height, 0.03, 100),
    [width, height],
    frames,
  );
}

/** Milliseconds a frame of balls of so many steps around as bare instances that stand in a ring, in the same kind of target. */
export function ballsPace(width: number, height: number, steps: number, count: number, frames: number): number {
  const canvas = new OffscreenCanvas(width, height);
  const renderer = new THREE.WebGLRenderer({ canvas: canvas as unknown as HTMLCanvasElement, antialias: false });
  renderer.setSize(width, height, false);
  const geometry = new THREE.SphereGeometry(0.35, steps, steps / 2);
  const balls = new THREE.InstancedMesh(geometry, new THREE.MeshStandardMaterial({ color: 0x998866 }), count);
  const matrix = new THREE.Matrix4();
  for (let i = 0; i < count; i++) {
    const turn = (2 * Math.PI * i) / count;
    balls.setMatrixAt(i, matrix.makeTranslation(2.4 * Math.sin(turn), 2.4 * Math.cos(turn), -9));
  }
  const light = new THREE.DirectionalLight(0xffffff, 1);
  light.position.set(0.78, 0.5, 0.38);
  const scene = new THREE.Scene().add(balls, light, new THREE.AmbientLight(0xffffff, 0.3));
  return scenePace(
    renderer,
    scene,
    new THREE.PerspectiveCamera(32, width / height, 0.03, 100),
    [width, height],
    frames,
  );
}

/** Milliseconds a frame of so many bare straight lines a pixel wide, added, that stand still in a box. */
export function linesPace(width: number, height: number, count: number, frames: number): number {
  const canvas = new OffscreenCanvas(width, height);
  const renderer = new THREE.WebGLRenderer({ canvas: canvas as unknown as HTMLCanvasElement, antialias: false });
  renderer.setSize(width, height, false);
  const ends = new Float32Array(count * 6);
  for (let i = 0; i < count; i++) {
    // a short way from a place spread evenly, as pieces of ribbons are
    const at = [0.7548, 0.5698, 0.4301].map((step) => ((i * step) % 1) - 0.5);
    const [x, y, z] = [at[0] * 5, at[1] * 5, at[2] * 5 - 7];
    ends.set([x, y, z, x + 0.05 * Math.sin(i), y + 0.05 * Math.cos(i), z], i * 6);
  }
  const geometry = new THREE.BufferGeometry().setAttribute('position', new THREE.BufferAttribute(ends, 3));
  const material = new THREE.LineBasicMaterial({
    color: 0x998866,
    blending: THREE.AdditiveBlending,
    depthWrite: false,
  });
  const scene = new THREE.Scene().add(new THREE.LineSegments(geometry, material));
  return scenePace(
    renderer,
    scene,
    new THREE.PerspectiveCamera(32, width / height, 0.03, 100),
    [width, height],
    frames,
  );
}

/** Sharpening as an effect of the peer. */
class Sharpened extends Effect {
  constructor() {
    const places = ['0.92, 0.38', '-0.92, -0.38', '-0.38, 0.92', '0.38, -0.92'];
    const taps = places.map((at) => `texture2D(inputBuffer, uv + vec2(${at}) * texelSize)`).join(' + ');
    super(
      'Sharpened',
      `void mainImage(const in vec4 c, const in vec2 uv, out vec4 o) {
        o = vec4(max(c.rgb + 0.5 * (c.rgb - 0.25 * (${taps}).rgb), 0.0), c.a);
      }`,
      { attributes: EffectAttribute.CONVOLUTION },
    );
  }
}

/**
 * Milliseconds that effects of the peer add to a frame of 60 boxes in the depth, in float targets. Its usual chain is bloom, grading, a table,
 * vignette and noise in one merged pass, after fringing, which it merges with nothing that looks elsewhere. It has nothing that sharpens: that is an
 * effect written for it here, with as many places as ours, in a pass of its own, as all are that look elsewhere.
 */
export function effectCost(kind: 'bloom' | 'focus' | 'chain', width: number, height: number, frames: number): number {
  const pace = (make: ((camera: THREE.Camera) => Effect[][]) | null): number => {
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
    for (const merged of make?.(camera) ?? [[]]) composer.addPass(new EffectPass(camera, ...merged));
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
  const bloom = (): Effect => new BloomEffect({ mipmapBlur: true, luminanceThreshold: 0.6, intensity: 1 });
  const effects: Record<typeof kind, (camera: THREE.Camera) => Effect[][]> = {
    bloom: () => [[bloom()]],
    focus: (camera) => [[new DepthOfFieldEffect(camera, { worldFocusDistance: 6, worldFocusRange: 4, bokehScale: 3 })]],
    chain: () => [
      [
        new ChromaticAberrationEffect({
          offset: new THREE.Vector2(0.002, 0.001),
          radialModulation: true,
          modulationOffset: 0.2,
        }),
      ],
      [
        bloom(),
        new BrightnessContrastEffect({ contrast: 0.1 }),
        new HueSaturationEffect({ saturation: 0.1 }),
        new LUT3DEffect(LookupTexture.createNeutral(13), { tetrahedralInterpolation: true }),
        new VignetteEffect(),
        new NoiseEffect(),
      ],
      [new Sharpened()],
    ],
  };
  return pace(effects[kind]) - pace(null);
}

/** Decibels between two pictures of encoded values 0..1. */
function decibels(a: ArrayLike<number>, b: ArrayLike<number>): number {
  let sum = 0;
  for (let i = 0; i < a.length; i++) sum += (a[i] - b[i]) ** 2;
  return 10 * Math.log10(a.length / sum);
}

/** Linear light as it is shown, red, green and blue of every pixel, 0..1. */
const shown = (light: ArrayLike<number>): Float32Array =>
  Float32Array.from(
    { length: (light.length / 4) * 3 },
    (_, i) => Math.min(1, light[Math.floor(i / 3) * 4 + (i % 3)]) ** (1 / 2.2),
  );

/** How near two pictures of linear light are as they are shown, decibels. */
export const nearness = (a: ArrayLike<number>, b: ArrayLike<number>): number => decibels(shown(a), shown(b));

/** How near two pictures of red, green, blue and alpha bytes are, decibels; alpha does not count. */
export const bytesNearness = (a: Uint8Array, b: Uint8Array): number => {
  const colours = (bytes: Uint8Array): number[] => [...bytes].filter((_, i) => i % 4 < 3).map((v) => v / 255);
  return decibels(colours(a), colours(b));
};

/** What the peer's depth of field is tried with; the nearest to the truth counts. */
const BOKEH = [0.5, 1, 1.5, 2, 3, 4, 6];
const RANGES = [0.5, 1, 2, 3, 5, 8, 14];

/**
 * How near the peer's depth of field comes to the bodies of a piece's first layer seen through all of its lens, by many cameras
 * of the peer's own: the best of many settings, decibels. The bodies shine by themselves in the colours they are given.
 * @param elements of the layer, as the engine has them
 */
export function focusNearness(piece: Piece, elements: ArrayLike<number>[], width: number, height: number): number {
  const [places, looks, turns] = elements;
  const [layer] = piece.layers;
  const [bodies] = definitionOf(layer.kind).drawings(layer, 1, worldOf(piece));
  if (bodies.as !== 'bodies') throw new RangeError('the first layer is not made of bodies');
  const canvas = new OffscreenCanvas(width, height);
  const renderer = new THREE.WebGLRenderer({ canvas: canvas as unknown as HTMLCanvasElement, antialias: false });
  renderer.setSize(width, height, false);
  const geometry = new THREE.BufferGeometry();
  geometry.setAttribute('position', new THREE.BufferAttribute(bodies.mesh.position, 3));
  geometry.setIndex(new THREE.BufferAttribute(bodies.mesh.index, 1));
  const scene = new THREE.Scene();
  for (let i = 0; i < places.length / 4; i++)
    for (let tile = -1; tile < 4; tile++) {
      const colour = new THREE.Color().setRGB(looks[i * 4], looks[i * 4 + 1], looks[i * 4 + 2]);
      const body = new THREE.Mesh(geometry, new THREE.MeshBasicMaterial({ color: colour }));
      body.position.set(places[i * 4], places[i * 4 + 1], places[i * 4 + 2] - tile * piece.tile);
      body.quaternion.set(turns[i * 4], turns[i * 4 + 1], turns[i * 4 + 2], turns[i * 4 + 3]);
      body.scale.setScalar(places[i * 4 + 3]);
      scene.add(body);
    }
  const { pose, pixelFocal, apertureHalfM } = shotAt(piece, 0, { width, height }, null);
  const { focusDistance: focus } = pose;
  const camera = new THREE.PerspectiveCamera(
    (2 * Math.atan(height / (2 * pixelFocal)) * 180) / Math.PI,
    width / height,
    0.1,
    100,
  );
  const place = new THREE.Vector3(...pose.position);
  camera.quaternion.set(...pose.quaternion);
  const straight = camera.projectionMatrix.clone();
  const gl = renderer.getContext();

  // many pinholes over the lens, each sheared so that what is in focus stays where it is
  const target = new THREE.WebGLRenderTarget(width, height, { type: THREE.FloatType });
  const sum = new Float64Array(width * height * 4);
  const POINTS = 256;
  const one = new Float32Array(width * height * 4);
  for (let n = 0; n < POINTS; n++) {
    const [radius, turn] = [apertureHalfM * Math.sqrt((n + 0.5) / POINTS), n * 2.399963];
    const [x, y] = [radius * Math.cos(turn), radius * Math.sin(turn)];
    const [jitterX, jitterY] = [((n * 0.754877666) % 1) - 0.5, ((n * 0.569840291) % 1) - 0.5];
    camera.position.copy(place).add(new THREE.Vector3(x, y, 0).applyQuaternion(camera.quaternion));
    camera.projectionMatrix.copy(straight);
    camera.projectionMatrix.elements[8] -= (2 * (pixelFocal * x)) / focus / width + (2 * jitterX) / width;
    camera.projectionMatrix.elements[9] -= (2 * (pixelFocal * y)) / focus / height + (2 * jitterY) / height;
    renderer.setRenderTarget(target);
    renderer.render(scene, camera);
    gl.readPixels(0, 0, width, height, gl.RGBA, gl.FLOAT, one);
    for (let i = 0; i < sum.length; i++) sum[i] += one[i] / POINTS;
  }
  const truth = shown(sum);

  camera.position.copy(place);
  camera.projectionMatrix.copy(straight);
  let best = 0;
  const bytes = new Uint8Array(width * height * 4);
  for (const bokehScale of BOKEH)
    for (const worldFocusRange of RANGES) {
      const composer = new EffectComposer(renderer, { frameBufferType: THREE.FloatType });
      composer.setSize(width, height, false);
      composer.addPass(new RenderPass(scene, camera));
      const effect = new DepthOfFieldEffect(camera, { worldFocusDistance: focus, worldFocusRange, bokehScale });
      composer.addPass(new EffectPass(camera, effect));
      composer.render(0.04);
      gl.bindFramebuffer(gl.FRAMEBUFFER, null);
      gl.readPixels(0, 0, width, height, gl.RGBA, gl.UNSIGNED_BYTE, bytes);
      // the canvas is encoded; the truth in the same manner
      const linear = Float32Array.from(bytes, (v) => {
        const encoded = v / 255;
        return encoded <= 0.04045 ? encoded / 12.92 : ((encoded + 0.055) / 1.055) ** 2.4;
      });
      best = Math.max(best, decibels(shown(linear), truth));
      composer.dispose();
    }
  renderer.dispose();
  return best;
}
