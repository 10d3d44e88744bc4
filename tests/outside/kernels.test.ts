import { describe, expect, it } from 'vitest';
import { translate } from '../../scripts/kernels/translate.mjs';

const options = { file: 'k.glsl', exports: ['f'], loops: [], inline: () => true, scratchArgs: true };
const refuse = (source: string): string => {
  try {
    translate(source, options);
  } catch (error) {
    return (error as Error).message.split('\n')[0];
  }
  return 'translated';
};

// The language of GLSL ES 3.00 (Khronos specification 3.00.6); what the subset leaves out must be refused with its place.
/** The function f of a translation. */
const made = <F>(body: string): F => (new Function(`${body}\nreturn f;`) as () => F)();
const run = (source: string): ((...args: (number | Float64Array)[]) => number) =>
  made(
    translate(source, options)
      .code.replace(/: (number|void|boolean|Float64Array)/g, '')
      .replace(/export /g, ''),
  );

describe('kernel translator', () => {
  it.each([
    ['float f(float x) { return y; }', /1:\d+/],
    ['float f(float x) {\n  int i = x;\n  return x;\n}', /2:\d+/],
    ['float f(float x) { return x + 1; }', /1:\d+/],
    ['float f(vec3 v) { return v; }', /1:\d+/],
    ['float f(vec2 v) { return v.z; }', /1:\d+/],
    ['uniform float u;\nfloat f(float x) { return u; }', /1|2/],
    ['float f(float x) { return texture(s, vec2(x)).r; }', /1:\d+/],
    ['float f(sampler2D s, vec2 v) { return texture(s, v).r; }', /1:\d+/],
    ['float f(sampler2D s, int i) { return texelFetch(s, ivec2(0, i), 0).r; }', /1:\d+/],
    ['float f(sampler2D s, int i) { return texelFetch(s, ivec2(i, 0), 1).r; }', /1:\d+/],
    ['float f(sampler2D s, int i, int j) { return texelFetch(s, ivec2(i & 1023, j >> 10), 0).r; }', /1:\d+/],
    ['float f(float to) { for (int i = 0; i < to; i++) {} return to; }', /1:\d+/],
  ])('refuses %j with its place', (source, place) => {
    const words = refuse(source);
    expect(words).not.toBe('translated');
    expect(words).toMatch(place);
  });

  it('reads tables as texelFetch does: four numbers an entry, of the first row', () => {
    const f = run(
      'vec4 entry(sampler2D t, int i) { return texelFetch(t, ivec2(i, 0), 0); }\nfloat f(sampler2D t, int i) { vec2 v = entry(t, i + 1).zx; return v.x * 10.0 + v.y; }',
    );
    expect(
      f(
        Float64Array.from({ length: 12 }, (_, i) => i),
        0,
      ),
    ).toBe(64);
    expect(
      f(
        Float64Array.from({ length: 12 }, (_, i) => i),
        1,
      ),
    ).toBe(108);
  });

  it('reads tables of many rows, 1024 entries each, where the place in them is written so', () => {
    const f = run(
      'float f(sampler2D t, int i) { int at = i + 1; return texelFetch(t, ivec2(at & 1023, at >> 10), 0).y; }',
    );
    const table = Float64Array.from({ length: 4 * 3000 }, (_, k) => k);
    expect(f(table, 2100)).toBe(2101 * 4 + 1);
  });

  it('translates loops from one integer to another that are known only later', () => {
    const f = run(
      'float f(int from, int to) { float s = 0.0; for (int i = from; i < to; i++) s += float(i) + 0.5; return s; }',
    );
    expect(f(2, 5)).toBe(2 + 3 + 4 + 1.5);
    expect(f(5, 5)).toBe(0);
  });

  it('translates arithmetic, vectors and loops to the same numbers', () => {
    const { code } = translate(
      'float f(float x, int n) { vec3 v = vec3(x, 2.0, 3.0); float s = 0.0; for (int i = 0; i < 8; i++) { if (i >= n) break; s += v.x * float(i); } return s * dot(v.zyx, vec3(1.0)); }',
      options,
    );
    const body = code.replace(/: (number|void|boolean)/g, '').replace(/export /g, '');
    const f = made<(x: number, n: number) => number>(body);
    expect(f(1.5, 4)).toBeCloseTo(1.5 * 6 * 6.5, 9);
  });
});
