// Peers for the drawing bench: bare three.js points of the same number and size, in the same kind of target. Runs in the page.
import * as THREE from 'three';

const mulberry = (seed: number) => (): number => {
  let t = (seed += 0x6d2b79f5);
  t = Math.imul(t ^ (t >>> 15), t | 1);
  t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
  return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
};

/** Milliseconds a frame: points that stand still, or that are moved by rewriting their buffer on the CPU. */
export function pointsPace(count: number, width: number, height: number, frames: number, rewrite: boolean): number {
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
    if (rewrite) {
      const out = position.array as Float32Array;
      // what any drift costs at the least: one sine an axis
      for (let i = 0; i < out.length; i++) out[i] = rest[i] + 0.2 * Math.sin(rest[(i + 1) % out.length] + frame * 0.1);
      position.needsUpdate = true;
    }
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
