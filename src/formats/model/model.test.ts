import * as THREE from 'three';
import { GLTFExporter } from 'three/examples/jsm/exporters/GLTFExporter.js';
import { MTLLoader } from 'three/examples/jsm/loaders/MTLLoader.js';
import { OBJLoader } from 'three/examples/jsm/loaders/OBJLoader.js';
import { PLYLoader } from 'three/examples/jsm/loaders/PLYLoader.js';
import { STLLoader } from 'three/examples/jsm/loaders/STLLoader.js';
import { beforeAll, describe, expect, it } from 'vitest';
import type { RawModel, RawPart } from '../../core/solids/models/raw';
import { Trouble } from '../../core/trouble';
import { readGltf } from './gltf';
import { modelFormatOf, readModel } from './model';
import { readMtl, roughOf } from './mtl';
import { readObj } from './obj';
import { readPly } from './ply';
import { bodiesOfPoints, MOST_POINTS } from './points';
import { readStl } from './stl';

const bytesOf = (text: string): Uint8Array<ArrayBuffer> => new TextEncoder().encode(text);
const textOf = (bytes: Uint8Array): string => new TextDecoder().decode(bytes);

/** A column of the corners of a part's triangles, one after another. */
const cornersOf = ({ index }: RawPart, column: Float32Array | null, width: number): number[] =>
  [...index].flatMap((v) => [...(column ?? []).slice(v * width, v * width + width)]);

function expectNear(own: readonly number[], theirs: ArrayLike<number>, within = 1e-6): void {
  expect(own.length).toBe(theirs.length);
  let worst = 0;
  for (let i = 0; i < own.length; i++) worst = Math.max(worst, Math.abs(own[i] - theirs[i]));
  expect(worst).toBeLessThan(within);
}

/** The attribute of a geometry's corners, one after another. */
function theirs(geometry: THREE.BufferGeometry, name: string): number[] {
  const column = geometry.toNonIndexed().getAttribute(name);
  return Array.from({ length: column.count * column.itemSize }, (_, i) =>
    column.getComponent(Math.floor(i / column.itemSize), i % column.itemSize),
  );
}

const flipped = (uv: ArrayLike<number>): number[] => Array.from(uv, (v, i) => (i % 2 === 1 ? 1 - v : v));

describe('OBJ, as three’s loader reads it', () => {
  const text = `# a capstan, of two materials
mtllib quay.mtl
o capstan
v 0 0 0
v 1 0 0
v 1 1 0
v 0 1 0
v 0 0 1.5e0
v 1 0 1.5
vt 0 0
vt 1 0
vt 1 0.75
vt 0 0.75
vn 0 0 1
vn 0 -1 0
usemtl iron
f 1/1/1 2/2/1 3/3/1 4/4/1
usemtl brass
f -6/1/2 \\
  -2/2/2 -1/3/2
f 1/1/2 6/3/2 2/2/2
usemtl iron
f 4/1/1 3/2/1 5/3/1`;

  it('every corner of every face, its normal, its place on the picture, and its material', () => {
    const own = readObj(bytesOf(text), 'capstan.obj');
    const group = new OBJLoader().parse(text);
    const mesh = group.children[0] as THREE.Mesh<THREE.BufferGeometry, THREE.Material[]>;
    expect(own.materials.map(({ name }) => name)).toEqual(['iron', 'brass']);
    const all = mesh.geometry;
    for (const [at, material] of own.materials.entries()) {
      const part = own.parts.find((one) => one.material === at);
      const groups = all.groups.filter((one) => mesh.material[one.materialIndex ?? 0].name === material.name);
      const column = (name: string, width: number): number[] =>
        groups.flatMap(({ start, count }) => [
          ...(all.getAttribute(name).array as Float32Array).slice(start * width, (start + count) * width),
        ]);
      if (!part) throw new Error('no such part');
      expectNear(cornersOf(part, part.position, 3), column('position', 3));
      expectNear(cornersOf(part, part.normal, 3), column('normal', 3));
      expectNear(cornersOf(part, part.uv, 2), flipped(column('uv', 2)));
    }
  });

  it('colours behind places are sRGB', () => {
    const dyed = 'v 0 0 0 1 0.5 0\nv 1 0 0 0 0 1\nv 0 1 0 0.25 1 1\nf 1 2 3';
    const [part] = readObj(bytesOf(dyed), 'a.obj').parts;
    const mesh = new OBJLoader().parse(dyed).children[0] as THREE.Mesh;
    expectNear(cornersOf(part, part.dye, 3), theirs(mesh.geometry, 'color'), 1e-5);
  });

  it('what is said of smoothing is kept: off is hard, a group soft, nothing by its angles', () => {
    const said = (s: string): RawPart['edges'] =>
      readObj(bytesOf(`v 0 0 0\nv 1 0 0\nv 0 1 0\n${s}\nf 1 2 3`), 'a.obj').parts[0].edges;
    expect([said('s off'), said('s 0'), said('s 1'), said('')]).toEqual(['hard', 'hard', 'soft', undefined]);
  });

  it('a hollow polygon is cut within its outline', () => {
    // an arrowhead: a fan from its first corner would reach outside
    const arrow = 'v 0 0 0\nv 2 1 0\nv 0 2 0\nv 1 1 0\nf 1 2 3 4';
    const [part] = readObj(bytesOf(arrow), 'a.obj').parts;
    let area = 0;
    const c = cornersOf(part, part.position, 3);
    for (let i = 0; i < c.length; i += 9) {
      const own = ((c[i + 3] - c[i]) * (c[i + 7] - c[i + 1]) - (c[i + 6] - c[i]) * (c[i + 4] - c[i + 1])) / 2;
      expect(own).toBeGreaterThan(0);
      area += own;
    }
    expect(area).toBeCloseTo(1, 9);
  });

  it.each([
    ['v 0 0\nf 1 1 1', 'line 1: 3 numbers should follow “v”'],
    ['v 0 0 0\nv 1 0 0\nv 1 1 0\nf 1 2 4', 'line 4: a face names “4” of 3'],
    ['v 0 0 0\nv 1 0 0\nf 1 2', 'line 3: a face has fewer than three corners'],
    ['v 0 0 0\nl 1 1', 'it holds no faces'],
  ])('%j is refused: %s', (wrong, words) => {
    expect(() => readObj(bytesOf(wrong), 'odd.obj')).toThrow(words);
  });
});

describe('points without faces', () => {
  it('become small bodies about them, each in its colour', () => {
    const text = `ply\nformat ascii 1.0\nelement vertex 3\nproperty float x\nproperty float y\nproperty float z\nproperty uchar red\nproperty uchar green\nproperty uchar blue\nend_header\n0 0 0 255 0 0\n4 0 0 0 255 0\n0 3 0 0 0 255\n`;
    const { parts, materials } = readPly(bytesOf(text), 'scan.ply');
    const [{ position, dye, index }] = parts;
    expect(index.length).toBe(3 * 12);
    [
      [0, 0, 0],
      [4, 0, 0],
      [0, 3, 0],
    ].forEach((point, i) => {
      const corners = [0, 1, 2, 3].map((k) => [...position.subarray((i * 4 + k) * 3, (i * 4 + k) * 3 + 3)]);
      point.forEach((v, k) => expect(corners.reduce((sum, corner) => sum + corner[k], 0) / 4).toBeCloseTo(v, 5));
      expect([...(dye ?? []).slice(i * 12, i * 12 + 3)]).toEqual([0, 1, 2].map((k) => (k === i ? 1 : 0)));
      // closed, and seen from outside
      let volume = 0;
      for (let t = i * 12; t < i * 12 + 12; t += 3) {
        const [a, b, c] = [0, 1, 2].map((k) =>
          [...position.subarray(index[t + k] * 3, index[t + k] * 3 + 3)].map((v, j) => v - point[j]),
        );
        volume +=
          (a[0] * (b[1] * c[2] - b[2] * c[1]) +
            a[1] * (b[2] * c[0] - b[0] * c[2]) +
            a[2] * (b[0] * c[1] - b[1] * c[0])) /
          6;
      }
      expect(volume).toBeGreaterThan(0);
    });
    expect(materials[0].colour).toEqual([1, 1, 1]);
  });

  it('are thinned out evenly where there are more than fit', () => {
    const position = Float32Array.from({ length: (MOST_POINTS + 7000) * 3 }, (_, i) => (i % 3 === 0 ? i / 3 : 0));
    const thin = bodiesOfPoints(position, null);
    expect(thin.index.length).toBe(MOST_POINTS * 12);
    // the last body is about the last point but for what is left out, the first about the first
    expect(thin.position[0]).toBeLessThan(1e3);
    expect(thin.position[thin.position.length - 3]).toBeGreaterThan(MOST_POINTS);
    expect(bodiesOfPoints(new Float32Array(3), null).index.length).toBe(12);
  });
});

describe('MTL, as three’s loader reads it', () => {
  const text = `newmtl iron
Kd 0.2 0.25 0.3
Ke 0 0 0
Ns 98
d 0.5
map_Kd -s 2 2 1 plates/rust.png
newmtl lamp
Kd 1 1 1
Ke 1 0.8 0.4
Pr 0.2
Pm 1`;
  it('colours and how far it is there', () => {
    const picture = Uint8Array.of(1, 2, 3);
    const asked: string[] = [];
    const { materials, pictures } = readMtl(bytesOf(text), (name) => {
      asked.push(name);
      return picture;
    });
    const loader = new MTLLoader().parse(text.replace(/map_.*/, ''), '');
    loader.preload();
    for (const [name, own] of materials) {
      const they = loader.materials[name] as THREE.MeshPhongMaterial;
      expectNear(own.colour, they.color.toArray());
      expectNear(own.glow, they.emissive.toArray());
      expect(own.opaque).toBeCloseTo(they.opacity, 6);
    }
    expect(asked).toEqual(['rust.png']);
    expect(pictures).toEqual([picture]);
    expect(materials.get('iron')?.maps.colour).toBe(0);
    expect(materials.get('lamp')).toMatchObject({ rough: 0.2, metal: 1, blends: false });
  });

  it('a power of 98 is a roughness of √0.141 (Walter et al. 2007: α = √(2/(n + 2)))', () => {
    expect(roughOf(98)).toBeCloseTo(Math.sqrt(Math.sqrt(2 / 100)), 9);
    expect(roughOf(0)).toBe(1);
  });
});

describe('PLY, as three’s loader reads it', () => {
  const head = (format: string, faces = 2): string => `ply
format ${format} 1.0
comment made by hand
element vertex 4
property float x
property float y
property double z
property float nx
property float ny
property float nz
property uchar red
property uchar green
property uchar blue
property float s
property float t
element face ${faces}
property list uchar int vertex_indices
element spare 1
property list uchar short many
end_header
`;
  const rows = [
    [0, 0, 0.5, 0, 0, 1, 255, 128, 3, 0, 0],
    [1, 0, -0.25, 0, 1, 0, 0, 255, 60, 1, 0],
    [1, 1, 0, 1, 0, 0, 12, 0, 255, 1, 0.5],
    [0, 1, 2e-3, 0, 0, -1, 80, 90, 100, 0, 1],
  ];
  const text = `${head('ascii')}${rows.map((row) => row.join(' ')).join('\n')}\n4 0 1 2 3\n3 2 1 0\n2 7 9\n`;
  const binary = (little: boolean): Uint8Array<ArrayBuffer> => {
    const view = new DataView(new ArrayBuffer(400));
    let at = 0;
    const put = (as: 'Float32' | 'Float64' | 'Uint8' | 'Int32' | 'Int16', v: number): void => {
      if (as === 'Uint8') view.setUint8(at, v);
      else view[`set${as}`](at, v, little);
      at += { Float32: 4, Float64: 8, Uint8: 1, Int32: 4, Int16: 2 }[as];
    };
    for (const row of rows) row.forEach((v, k) => put(k === 2 ? 'Float64' : k >= 6 && k < 9 ? 'Uint8' : 'Float32', v));
    for (const face of [
      [4, 0, 1, 2, 3],
      [3, 2, 1, 0],
    ])
      face.forEach((v, k) => put(k === 0 ? 'Uint8' : 'Int32', v));
    [2, 7, 9].forEach((v, k) => put(k === 0 ? 'Uint8' : 'Int16', v));
    const first = bytesOf(head(little ? 'binary_little_endian' : 'binary_big_endian'));
    const out = new Uint8Array(first.length + at);
    out.set(first);
    out.set(new Uint8Array(view.buffer, 0, at), first.length);
    return out;
  };
  it.each([
    ['text', bytesOf(text)],
    ['binary', binary(true)],
    ['binary, the other way round', binary(false)],
  ])('%s: every vertex, normal, colour and place on a picture', (_, bytes) => {
    const [part] = readPly(bytes, 'a.ply').parts;
    const geometry = new PLYLoader().parse(bytes.buffer);
    expectNear(cornersOf(part, part.position, 3), theirs(geometry, 'position'));
    expectNear(cornersOf(part, part.normal, 3), theirs(geometry, 'normal'));
    // theirs are rounded to code values
    expectNear(cornersOf(part, part.dye, 3), theirs(geometry, 'color'), 0.51 / 255);
    expectNear(cornersOf(part, part.uv, 2), flipped(theirs(geometry, 'uv')));
  });

  it.each([
    [head('ascii'), 'it ends too early'],
    [`${head('ascii', 1e9)}${rows.map((row) => row.join(' ')).join('\n')}`, 'it says that it has 1000000000 of “face”'],
    [head('text'), 'its format, “format text 1.0”, is not known'],
    ['ply\nformat ascii 1.0\n', 'its head has no end'],
  ])('refused: %#', (wrong, words) => {
    expect(() => readPly(bytesOf(wrong), 'odd.ply')).toThrow(words);
  });
});

describe('STL, as three’s loader reads it', () => {
  const facets = Float32Array.from([0, 0, 1, 0, 0, 0, 1, 0, 0, 0, 1, 0.25, 0, 1, 0, 1, 0, 0, 1, 1, 1, 0, 1, 0.5]);
  const text = `solid block\n${[0, 12]
    .map((f) => {
      const v = facets.subarray(f, f + 12);
      const corner = (k: number): string => `vertex ${v.subarray(3 + k * 3, 6 + k * 3).join(' ')}`;
      return `facet normal ${v.subarray(0, 3).join(' ')}\nouter loop\n${[0, 1, 2].map(corner).join('\n')}\nendloop\nendfacet`;
    })
    .join('\n')}\nendsolid block\n`;
  const binary = ((): Uint8Array<ArrayBuffer> => {
    const view = new DataView(new ArrayBuffer(84 + 2 * 50));
    // a head that begins as the text does, as some programs write it
    bytesOf('solid, and yet binary').forEach((v, i) => view.setUint8(i, v));
    view.setUint32(80, 2, true);
    for (let f = 0; f < 2; f++)
      for (let k = 0; k < 12; k++) view.setFloat32(84 + f * 50 + k * 4, facets[f * 12 + k], true);
    return new Uint8Array(view.buffer);
  })();
  it.each([
    ['text', bytesOf(text)],
    ['binary', binary],
  ])('%s: every corner', (_, bytes) => {
    const [part] = readStl(bytes, 'block.stl').parts;
    expectNear(cornersOf(part, part.position, 3), theirs(new STLLoader().parse(bytes.buffer), 'position'));
  });
  it('is refused where a corner is no number, or lacking', () => {
    expect(() => readStl(bytesOf(text.replace('0.25', 'x')), 'a.stl')).toThrow('line 6 should say three numbers');
    expect(() => readStl(bytesOf(text.replace(/vertex 1 1 1/, '')), 'a.stl')).toThrow('lacks a corner');
    expect(() => readStl(bytesOf('solid\nendsolid'), 'a.stl')).toThrow('no triangles');
  });
});

describe('glTF that three’s exporter writes', () => {
  beforeAll(() => {
    // what the exporter asks of a browser
    class Reader {
      result: unknown = null;
      onloadend: () => void = () => undefined;
      readAsArrayBuffer(blob: Blob): void {
        void blob.arrayBuffer().then((bytes) => {
          this.result = bytes;
          this.onloadend();
        });
      }
      readAsDataURL(blob: Blob): void {
        void blob.arrayBuffer().then((bytes) => {
          this.result = `data:application/octet-stream;base64,${Buffer.from(bytes).toString('base64')}`;
          this.onloadend();
        });
      }
    }
    Object.assign(globalThis, { FileReader: Reader });
  });

  const scene = (): THREE.Scene => {
    const made = new THREE.Scene();
    const outer = new THREE.Group();
    outer.position.set(1, 2, -3);
    outer.rotation.set(0.3, -0.8, 1.1);
    outer.scale.set(2, 0.5, 1.25);
    const ball = new THREE.SphereGeometry(1, 12, 8);
    const colours = Float32Array.from({ length: ball.getAttribute('position').count * 3 }, (_, i) => (i % 7) / 7);
    ball.setAttribute('color', new THREE.BufferAttribute(colours, 3));
    const metal = new THREE.MeshStandardMaterial({
      ...{ name: 'brass', color: 0xc9a35a, roughness: 0.3, metalness: 0.9, vertexColors: true },
    });
    const first = new THREE.Mesh(ball, metal);
    first.position.set(0.5, 0, 0);
    // mirrored: its triangles run the other way round
    const second = new THREE.Mesh(
      new THREE.BoxGeometry(1, 2, 3).toNonIndexed(),
      new THREE.MeshStandardMaterial({ emissive: 0xff8800, emissiveIntensity: 3, side: THREE.DoubleSide }),
    );
    second.scale.set(-1, 1, 1);
    second.rotation.y = 0.4;
    first.add(second);
    outer.add(first);
    made.add(outer);
    made.updateMatrixWorld(true);
    return made;
  };
  const exported = async (of: THREE.Object3D, binary: boolean): Promise<Uint8Array<ArrayBuffer>> => {
    const out = await new GLTFExporter().parseAsync(of, { binary });
    return out instanceof ArrayBuffer ? new Uint8Array(out) : bytesOf(JSON.stringify(out));
  };

  it.each([true, false])('binary: %s; places, normals and colours are where the scene has them', async (binary) => {
    const of = scene();
    const bytes = await exported(of, binary);
    expect(modelFormatOf(bytes)).toBe('gltf');
    const own = await readModel(bytes, 'quay.glb');
    const meshes: THREE.Mesh[] = [];
    of.traverse((object) => object instanceof THREE.Mesh && meshes.push(object as THREE.Mesh));
    expect(own.parts.length).toBe(meshes.length);
    meshes.forEach((mesh, i) => {
      const geometry = mesh.geometry.toNonIndexed().applyMatrix4(mesh.matrixWorld);
      const turned = mesh.matrixWorld.determinant() < 0;
      // what is mirrored is turned round, corner for corner
      const inOrder = (list: ArrayLike<number>, width: number): number[] =>
        Array.from({ length: list.length / width }, (_, v) => {
          const from = turned ? v - (v % 3) + [0, 2, 1][v % 3] : v;
          return Array.from(list).slice(from * width, from * width + width);
        }).flat();
      const part = own.parts[i];
      expectNear(cornersOf(part, part.position, 3), inOrder(theirs(geometry, 'position'), 3), 1e-5);
      expectNear(cornersOf(part, part.normal, 3), inOrder(theirs(geometry, 'normal'), 3), 1e-5);
      if (i === 0) expectNear(cornersOf(part, part.dye, 3), inOrder(theirs(geometry, 'color'), 3), 1e-5);
      expectNear(cornersOf(part, part.uv, 2), inOrder(theirs(geometry, 'uv'), 2), 1e-6);
      // faces look out still: normals agree with the order of the corners
      const [p, n] = [cornersOf(part, part.position, 3), cornersOf(part, part.normal, 3)];
      for (let t = 0; t < p.length; t += 9) {
        const [a, b, c] = [0, 3, 6].map((k) => new THREE.Vector3(p[t + k], p[t + k + 1], p[t + k + 2]));
        const across = b.sub(a).cross(c.sub(a));
        if (across.length() > 1e-6) expect(across.dot(new THREE.Vector3(n[t], n[t + 1], n[t + 2]))).toBeGreaterThan(0);
      }
    });
    expect(own.materials[0]).toMatchObject({ name: 'brass', open: false, rough: 0.3, metal: 0.9 });
    expectNear(own.materials[0].colour, new THREE.Color(0xc9a35a).toArray(), 1e-6);
    expect(own.materials[1].open).toBe(true);
    expectNear(own.materials[1].glow, new THREE.Color(0xff8800).multiplyScalar(3).toArray(), 1e-5);
  });

  const small = async (): Promise<Record<string, unknown>> =>
    JSON.parse(textOf(await exported(new THREE.Mesh(new THREE.PlaneGeometry()), false))) as Record<string, unknown>;

  it('fetches nothing: what it names and is not there is asked for', async () => {
    const json = await small();
    (json.buffers as { uri: string }[])[0].uri = 'https://example.invalid/quay.bin';
    const asked: unknown[] = [];
    const before = globalThis.fetch;
    globalThis.fetch = ((...at: unknown[]) => {
      asked.push(at);
      return Promise.reject(new Error('no'));
    }) as typeof fetch;
    try {
      await expect(readGltf(bytesOf(JSON.stringify(json)), 'quay.gltf')).rejects.toThrow('it lacks “quay.bin”');
    } finally {
      globalThis.fetch = before;
    }
    expect(asked).toEqual([]);
  });

  it('takes files beside it by their names', async () => {
    const json = await small();
    const [buffer] = json.buffers as { uri: string }[];
    const bin = Uint8Array.from(Buffer.from(buffer.uri.split(',')[1], 'base64'));
    buffer.uri = 'parts/quay%20wall.bin';
    const bytes = bytesOf(JSON.stringify(json));
    const own = await readGltf(bytes, 'quay.gltf', new Map([['quay wall.bin', bin]]));
    expect(own.parts[0].index.length).toBe(6);
  });

  it.each<[string, (json: Record<string, never>) => void, string]>([
    [
      'a list past its bytes',
      (json) => ((json['accessors'][0] as { count: number }).count = 1e9),
      'reaches past their end',
    ],
    [
      'a node within itself',
      (json) => (json['nodes'] as object[]).push({ children: [1] }),
      'a node stands within itself',
    ],
    [
      'compression that is not known',
      (json) => Object.assign(json, { extensionsRequired: ['KHR_draco_mesh_compression'] }),
      'it needs KHR_draco_mesh_compression',
    ],
    ['another version', (json) => ((json['asset'] as { version: string }).version = '1.0'), 'version 1.0'],
  ])('%s is refused in words', async (_, spoil, words) => {
    const json = await small();
    spoil(json as Record<string, never>);
    const reading: Promise<RawModel> = readGltf(bytesOf(JSON.stringify(json)), 'odd.gltf');
    await expect(reading).rejects.toThrow(words);
    await expect(reading).rejects.toBeInstanceOf(Trouble);
  });
});
