import { zipSync } from 'fflate';
import { describe, expect, it } from 'vitest';
import { stockBytes } from '../../../tests/stock';
import { preparedModel } from './prepared';
import { bundled, modelAmong, modelIn } from './bundle';
import { readModel } from './model';

const text = (words: string): Uint8Array<ArrayBuffer> => new TextEncoder().encode(words);
const OBJ = `mtllib crate.mtl
v 0 0 0
v 1 0 0
v 1 0 1
v 0 2 0
vt 0 0
vt 1 0
vt 1 1
usemtl planks
f 1/1 3/3 2/2
s 1
usemtl lamp
f 1/1 2/2 4/3`;
const MTL = `newmtl planks
Kd 0.5 0.25 1
map_Kd textures\\planks.WEBP
newmtl lamp
Kd 0 0 0
Ke 1 0.5 0.25
d 0.5`;
const planks = stockBytes('pictures/weathered-planks.webp');
const files = [
  { name: 'crate.obj', bytes: text(OBJ) },
  { name: 'crate.mtl', bytes: text(MTL) },
  { name: 'planks.webp', bytes: planks },
  { name: 'other.png', bytes: text('x') },
];

describe('a model with the files that it needs', () => {
  it('is told from files that came with it', () => {
    expect(modelAmong(files)?.model.name).toBe('crate.obj');
    expect(modelAmong(files.slice(1))).toBeNull();
    expect(modelAmong([files[0]])).toBeNull();
    expect(modelAmong([...files, { name: 'b.gltf', bytes: text('') }])).toBeNull();
  });

  it('is one file afterwards, that says the same', async () => {
    const made = await bundled(files[0], files.slice(1));
    expect(made.name).toBe('crate.glb');
    expect([...made.used].sort()).toEqual(['crate.mtl', 'planks.webp']);
    const raw = await readModel(made.bytes, made.name);
    expect(raw.pictures).toEqual([planks]);
    expect(raw.materials.map(({ name }) => name)).toEqual(['planks', 'lamp']);
    expect(raw.materials[0].maps.colour).toBe(0);
    expect(raw.materials[1]).toMatchObject({ opaque: 0.5, blends: true, maps: { colour: null } });
    raw.materials[1].glow.forEach((v, k) => expect(v).toBeCloseTo([1, 0.2140411, 0.0508761][k], 5));
    expect([...raw.parts[0].position]).toEqual([0, 0, 0, 1, 0, 1, 1, 0, 0]);
    expect([...(raw.parts[0].uv ?? [])]).toEqual([0, 1, 1, 0, 1, 1]);
    // what its own file did not say is not said now
    expect(raw).toMatchObject({ up: null, unit: null });
    expect(raw.parts.map(({ edges, normal }) => [edges, normal])).toEqual([
      [undefined, null],
      ['soft', null],
    ]);
    expect((await preparedModel(made.bytes, made.name)).facts.upSaid).toBe(false);
  });

  it('comes out of an archive, from whatever folder', async () => {
    const packed = zipSync({
      'a/b/crate.obj': files[0].bytes,
      'a/crate.mtl': files[1].bytes,
      'a/readme.txt': text('hello'),
    });
    expect((await readModel((await modelIn(packed, 'crate.zip')).bytes, 'crate.glb')).materials.length).toBe(2);
    const alone = zipSync({ 'cleat.glb': stockBytes('models/cleat.glb') });
    expect((await modelIn(alone, 'c.zip')).bytes).toEqual(stockBytes('models/cleat.glb'));
  });

  it('an archive without one, with two, or damaged is refused in words', async () => {
    await expect(modelIn(zipSync({ 'a.txt': text('') }), 'a.zip')).rejects.toThrow('holds no model');
    await expect(modelIn(zipSync({ 'a.stl': text(''), 'b.stl': text('') }), 'a.zip')).rejects.toThrow('holds 2 models');
    await expect(modelIn(text('PK\x03\x04nothing'), 'a.zip')).rejects.toThrow('damaged');
    await expect(modelIn(zipSync({ '../a.stl': text('') }), 'a.zip')).rejects.toThrow('outside of itself');
  });
});
