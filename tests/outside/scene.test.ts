// What is given to other programs, read by theirs: three's loaders, and the validator of the Khronos Group.
import { readdirSync, readFileSync } from 'node:fs';
import * as THREE from 'three';
import { GLTFLoader, type GLTF } from 'three/addons/loaders/GLTFLoader.js';
import { OBJLoader } from 'three/addons/loaders/OBJLoader.js';
import { PLYLoader } from 'three/addons/loaders/PLYLoader.js';
import { validateBytes } from 'gltf-validator';
import { describe, expect, it } from 'vitest';
import { cameraPose } from '../../src/core/world/camera';
import { givenCamera, givenWorld, type GivenWorld } from '../../src/core/world/given';
import type { Piece } from '../../src/core/piece/schema';
import { parsePiece } from '../../src/core/world/open';
import { cameraCsv } from '../../src/formats/scene/csv';
import { cameraGlb, worldGlb } from '../../src/formats/scene/glb';
import { givenRoutes } from '../../src/core/world/givenRoutes';
import { routesObj, worldObj } from '../../src/formats/scene/obj';
import { pointsPly } from '../../src/formats/scene/ply';

const DEMOS = readdirSync('demo').map((name) => name.replace('.isomorph.json', ''));
function demo(name: string): Piece {
  const parsed = parsePiece(JSON.parse(readFileSync(`demo/${name}.isomorph.json`, 'utf8')));
  if (!parsed.ok) throw new Error(name);
  const few = (layer: object): object =>
    'count' in layer ? { ...layer, count: Math.min(60, Number(layer.count)) } : layer;
  return { ...parsed.piece, layers: parsed.piece.layers.map((layer) => few(layer) as typeof layer) };
}

const read = (bytes: Uint8Array<ArrayBuffer>): Promise<GLTF> =>
  new Promise((resolve, reject) => new GLTFLoader().parse(bytes.buffer, '', resolve, reject));

async function errorsOf(bytes: Uint8Array): Promise<string[]> {
  const report = await validateBytes(bytes, { ignoredIssues: ['UNSUPPORTED_EXTENSION'] });
  return report.issues.messages
    .filter(({ severity }) => severity < 2)
    .map(({ code, pointer, message }) => `${code} ${pointer ?? ''} ${message}`);
}

/** Corners of the box about all that is given. */
function boxOf({ layers }: GivenWorld): THREE.Box3 {
  const box = new THREE.Box3();
  const at = new THREE.Vector3();
  const add = (p: ArrayLike<number>, i: number, ahead: number): void =>
    void box.expandByPoint(at.set(p[i * 3], p[i * 3 + 1], p[i * 3 + 2] - ahead));
  const turn = new THREE.Quaternion();
  for (const { bodies, meshes, points, lines, repeats } of layers)
    for (const ahead of repeats) {
      for (const list of [...meshes, points, lines])
        if (list) for (let i = 0; i < list.position.length / 3; i++) add(list.position, i, ahead);
      for (const { mesh, count, position, rotation, scale } of bodies)
        for (let b = 0; b < count; b++)
          for (let v = 0; v < mesh.position.length; v += 3) {
            at.fromArray(mesh.position, v)
              .multiplyScalar(scale[b])
              .applyQuaternion(turn.fromArray(rotation, b * 4));
            box.expandByPoint(
              at.add(new THREE.Vector3(position[b * 3], position[b * 3 + 1], position[b * 3 + 2] - ahead)),
            );
          }
    }
  return box;
}

/** The box of what three has read, instances one by one. */
function boxIn(scene: THREE.Object3D): THREE.Box3 {
  const box = new THREE.Box3();
  scene.updateMatrixWorld(true);
  scene.traverse((object) => {
    const { geometry } = object as THREE.Mesh;
    if (!(geometry instanceof THREE.BufferGeometry)) return;
    const places = geometry.getAttribute('position');
    const matrix = new THREE.Matrix4();
    const count = object instanceof THREE.InstancedMesh ? object.count : 1;
    for (let i = 0; i < count; i++) {
      if (object instanceof THREE.InstancedMesh) object.getMatrixAt(i, matrix);
      const whole = new THREE.Matrix4().multiplyMatrices(object.matrixWorld, matrix);
      for (let v = 0; v < places.count; v++)
        box.expandByPoint(new THREE.Vector3().fromBufferAttribute(places, v).applyMatrix4(whole));
    }
  });
  return box;
}
const near = (found: THREE.Box3, wanted: THREE.Box3): number =>
  Math.max(found.min.distanceTo(wanted.min), found.max.distanceTo(wanted.max)) /
  Math.max(1, wanted.getSize(new THREE.Vector3()).length());

describe.each(DEMOS)('%s', (name) => {
  const piece = demo(name);
  const aspect = piece.frame.width / piece.frame.height;

  it('the camera that three plays is the core’s, at frames and between them', async () => {
    const frames = Array.from({ length: piece.lap.frames + 1 }, (_, i) => i);
    const bytes = await cameraGlb(givenCamera(piece, frames), aspect);
    expect(await errorsOf(bytes)).toEqual([]);
    const { cameras, animations, scene } = await read(bytes);
    const [camera] = cameras;
    const mixer = new THREE.AnimationMixer(scene);
    const action = mixer.clipAction(animations[0]);
    action.loop = THREE.LoopOnce;
    action.clampWhenFinished = true;
    action.play();
    const hz = piece.lap.rate.num / piece.lap.rate.den;
    let [place, turn] = [0, 0];
    for (let i = 0; i <= 24; i++) {
      const frame = Math.round((i * piece.lap.frames) / 24);
      mixer.setTime(frame / hz);
      scene.updateMatrixWorld(true);
      const pose = cameraPose(piece, frame / piece.lap.frames);
      const at = camera.getWorldPosition(new THREE.Vector3());
      place = Math.max(place, at.distanceTo(new THREE.Vector3(...pose.position)) / (1 + at.length()));
      const dot = camera.getWorldQuaternion(new THREE.Quaternion()).dot(new THREE.Quaternion(...pose.quaternion));
      turn = Math.max(turn, 1 - Math.abs(dot));
    }
    expect(place).toBeLessThan(1e-4);
    expect(turn).toBeLessThan(1e-6);
    if (camera instanceof THREE.PerspectiveCamera) {
      const { views } = givenCamera(piece, [0]);
      const wide = (2 * Math.atan(Math.tan((camera.fov * Math.PI) / 360) * camera.aspect) * 180) / Math.PI;
      expect(wide).toBeCloseTo(views[0], 4);
    }
  });

  it('the world is where it is, in every file', async () => {
    const phase = 10 / piece.lap.frames;
    const world = givenWorld(piece, phase, 2);
    const wanted = boxOf(world);
    const glb = await worldGlb(world, givenCamera(piece, [10]), aspect);
    expect(await errorsOf(glb)).toEqual([]);
    const { scene, cameras } = await read(glb);
    expect(cameras).toHaveLength(1);
    if (wanted.isEmpty()) {
      expect(world.without.length).toBeGreaterThan(0);
      return;
    }
    expect(near(boxIn(scene), wanted)).toBeLessThan(1e-4);
    expect(near(boxIn(new OBJLoader().parse(new TextDecoder().decode(worldObj(world)))), wanted)).toBeLessThan(1e-4);
    const points = world.layers.reduce(
      (sum, { bodies, points: own, repeats }) =>
        sum + repeats.length * (bodies.reduce((n, { count }) => n + count, 0) + (own?.size.length ?? 0)),
      0,
    );
    const ply = new PLYLoader().parse(pointsPly(world).buffer);
    expect(ply.getAttribute('position')?.count ?? 0).toBe(points);
  });
});

it('a camera as a table has a row a frame, and the numbers of the core', () => {
  const piece = demo('ropewalk-tunnel');
  const frames = [0, 5, 249];
  const [head, ...rows] = new TextDecoder()
    .decode(cameraCsv(givenCamera(piece, frames), frames))
    .trim()
    .split('\r\n');
  const columns = head.split(',');
  expect(rows).toHaveLength(3);
  rows.forEach((row, i) => {
    const of = (name: string): number => Number(row.split(',')[columns.indexOf(name)]);
    const pose = cameraPose(piece, frames[i] / piece.lap.frames);
    expect([of('x_m'), of('y_m'), of('z_m')]).toEqual(pose.position.map((v) => Number(v.toPrecision(12))));
    expect(of('focal_mm')).toBeCloseTo(pose.focalMm, 9);
    expect(of('frame')).toBe(frames[i]);
    expect(of('seconds')).toBeCloseTo((frames[i] * piece.lap.rate.den) / piece.lap.rate.num, 9);
  });
});

describe('routes as curves, by three’s OBJ loader', () => {
  it('are lines along the way of every tunnel and of the camera, as long as that is', () => {
    let tunnels = 0;
    for (const name of DEMOS) {
      const piece = demo(name);
      const given = givenRoutes(piece);
      const loaded = new OBJLoader().parse(new TextDecoder().decode(routesObj(given)));
      expect(loaded.children.map((child) => [child.type, child.name])).toEqual(
        given.map((route) => ['LineSegments', route.name.replace(/\s+/g, '_')]),
      );
      given.forEach(({ position, closed }, i) => {
        const ends = (loaded.children[i] as THREE.LineSegments).geometry.getAttribute('position');
        // two ends a line, and a line back where it closes
        const count = position.length / 3;
        expect(ends.count).toBe(2 * (closed ? count : count - 1));
        for (let v = 0; v < count - 1; v++)
          for (let k = 0; k < 3; k++) expect(Math.abs(ends.array[v * 6 + k] - position[v * 3 + k])).toBeLessThan(1e-4);
      });
      // the camera's own places are those of its poses
      const camera = given[given.length - 1].position;
      [0, 7, piece.lap.frames - 1].forEach((frame) => {
        const { position } = cameraPose(piece, frame / piece.lap.frames);
        for (let k = 0; k < 3; k++) expect(Math.abs(camera[frame * 3 + k] - position[k])).toBeLessThan(1e-4);
      });
      tunnels += given.length - 1;
    }
    expect(tunnels).toBeGreaterThan(3);
  });

  it('a helix is as long as its law says', () => {
    const spiral = givenRoutes(demo('slipway-spiral'))[0].position;
    let length = 0;
    for (let v = 3; v < spiral.length; v += 3)
      length += Math.hypot(...[0, 1, 2].map((k) => spiral[v + k] - spiral[v - 3 + k]));
    const layer = demo('slipway-spiral').layers.find(({ kind }) => kind === 'tunnel');
    if (layer?.kind !== 'tunnel') throw new Error('it has a tunnel');
    // √((2πrn)² + h²), of n turns about a cylinder
    const law = Math.hypot(2 * Math.PI * layer.helixRadius * layer.helixTurns, demo('slipway-spiral').tile);
    expect(Math.abs(length / law - 1)).toBeLessThan(1e-3);
  });
});
