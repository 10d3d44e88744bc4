import { toLinear } from '../../core/colour/colour';
import { BARE, type ModelMaterial, type RawModel, type RawPart } from '../../core/solids/models/raw';
import { Floats, linesOf, Whole } from './lists';
import { NO_LIBRARY, type Library } from './mtl';
import { fan } from './polygon';
import { checkSize, refuse } from './refuse';

/** A part being gathered: every corner of a face is a vertex of its own, until they are welded. */
class Gathering {
  readonly position = new Floats();
  readonly normal = new Floats();
  readonly uv = new Floats();
  readonly dye = new Floats();
  readonly index = new Whole();
  faced = true;
  placed = true;

  constructor(
    readonly material: string,
    readonly edges: RawPart['edges'],
  ) {}
}

const EDGES = { off: 'hard', '0': 'hard' } as const;

/**
 * A model of lines of text (Wavefront, "Advanced Visualizer" manual, appendix B1: v, vt, vn, f, s, usemtl, mtllib; the rest is passed
 * over), and colours behind places (common practice, no published source). Polygons become triangles; what are lines or points stays out.
 * @param name what the file is called
 * @param library what its materials are; those it lacks are grey
 * @throws Trouble `refused`, naming the line, when it is none
 */
export function readObj(bytes: Uint8Array, name: string, library: Library = NO_LIBRARY): RawModel {
  const [places, normals, uvs, dyes] = [new Floats(), new Floats(), new Floats(), new Floats()];
  const parts = new Map<string, Gathering>();
  let material = '';
  let edges: RawPart['edges'];
  let part: Gathering | null = null;
  let line = 0;
  let triangles = 0;
  let vertices = 0;
  let dyed = false;
  const wrong = (what: string): never => refuse(name, `line ${line}: ${what}`);
  const numbers = (words: readonly string[], count: number, to: Floats): void => {
    for (let k = 1; k <= count; k++) {
      const value = words[k] === undefined ? Number.NaN : Number(words[k]);
      if (!Number.isFinite(value)) wrong(`${count} numbers should follow “${words[0]}”`);
      to.push(value);
    }
  };
  /** A vertex as a face names it: from 1 on, or back from the last. */
  const named = (word: string | undefined, of: Floats, each: number): number => {
    if (word === undefined || word === '') return -1;
    const given = Number(word);
    const count = of.length / each;
    const at = given < 0 ? count + given : given - 1;
    if (!Number.isInteger(given) || at < 0 || at >= count) wrong(`a face names “${word}” of ${count}`);
    return at;
  };
  const gathering = (): Gathering => {
    const key = `${edges ?? ''} ${material}`;
    const found = parts.get(key) ?? new Gathering(material, edges);
    parts.set(key, found);
    return found;
  };
  const face = (words: readonly string[]): void => {
    const own = (part ??= gathering());
    const corners = words.slice(1).map((word) => {
      const [v, t, n] = word.split('/');
      const place = named(v, places, 3);
      if (place < 0) wrong('a corner of a face names no vertex');
      const uv = named(t, uvs, 2);
      const normal = named(n, normals, 3);
      if (uv < 0) own.placed = false;
      if (normal < 0) own.faced = false;
      for (let k = 0; k < 3; k++) {
        own.position.push(places.at(place * 3 + k));
        own.normal.push(normal < 0 ? 0 : normals.at(normal * 3 + k));
        own.dye.push(dyes.at(place * 3 + k));
      }
      // a picture’s rows run down
      own.uv.push(uv < 0 ? 0 : uvs.at(uv * 2));
      own.uv.push(uv < 0 ? 0 : 1 - uvs.at(uv * 2 + 1));
      return own.position.length / 3 - 1;
    });
    if (corners.length < 3) wrong('a face has fewer than three corners');
    vertices += corners.length;
    fan(
      corners,
      (place) => own.position.at(place),
      (a, b, c) => {
        own.index.push(a);
        own.index.push(b);
        own.index.push(c);
        triangles++;
      },
    );
    checkSize(name, vertices, triangles);
  };
  for (const raw of linesOf(bytes)) {
    line++;
    const hash = raw.indexOf('#');
    const text = (hash < 0 ? raw : raw.slice(0, hash)).trim();
    if (text === '') continue;
    const words = text.split(/\s+/);
    switch (words[0]) {
      case 'v': {
        numbers(words, 3, places);
        // colours behind it: red, green, blue
        const own = words.length >= 7;
        for (let k = 4; k <= 6; k++) dyes.push(own ? toLinear(Number(words[k]) || 0) : 1);
        dyed ||= own;
        break;
      }
      case 'vt':
        numbers(words.length === 2 ? [...words, '0'] : words, 2, uvs);
        break;
      case 'vn':
        numbers(words, 3, normals);
        break;
      case 'f':
        face(words);
        break;
      case 's':
        edges = words[1] in EDGES ? EDGES[words[1] as keyof typeof EDGES] : 'soft';
        part = null;
        break;
      case 'usemtl':
        material = text.slice(6).trim();
        part = null;
        break;
    }
  }
  if (triangles === 0) refuse(name, 'it holds no faces');
  const names = [...new Set([...parts.values()].map((own) => own.material))];
  const made = [...parts.values()].filter((own) => own.index.length > 0);
  return {
    name: name.replace(/\.obj$/i, ''),
    parts: made.map((own) => ({
      position: own.position.take(),
      normal: own.faced ? own.normal.take() : null,
      uv: own.placed ? own.uv.take() : null,
      dye: dyed ? own.dye.take() : null,
      index: own.index.take(),
      material: names.indexOf(own.material),
      ...(own.edges ? { edges: own.edges } : {}),
    })),
    materials: names.map(
      (own): ModelMaterial => library.materials.get(own) ?? { ...BARE, name: own, ...(dyed && { colour: [1, 1, 1] }) },
    ),
    pictures: [...library.pictures],
    up: null,
    unit: null,
  };
}
