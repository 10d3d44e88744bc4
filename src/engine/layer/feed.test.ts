import * as THREE from 'three';
import { describe, expect, it } from 'vitest';
import { pipelineOf } from '../../core/world/layers';
import { demoPiece } from '../../../tests/pieces';
import { definitionOf } from '../../core/layers/kinds';
import { Feed } from './feed';

const piece = demoPiece('ropewalk-tunnel');
const steps = piece.layers.flatMap((layer) => {
  const { element, space } = pipelineOf(piece, layer, 1);
  return [[...element, ...space]];
});

describe('uniforms of a pipeline', () => {
  it('every parameter of every step has a value, and follows the phase', () => {
    let moved = 0;
    for (const own of steps) {
      const feed = new Feed(own, () => ({ of: () => new THREE.Texture(), dispose: () => undefined }));
      const at = (phase: number): string => {
        feed.at(own, phase);
        return JSON.stringify(
          Object.entries(feed.uniforms).map(([name, { value }]: [string, { value: unknown }]) => [
            name,
            value instanceof THREE.Texture ? 't' : value,
          ]),
        );
      };
      const [first, later] = [at(0.1), at(0.35)];
      expect(first).not.toContain('null');
      for (const step of own)
        expect(
          Object.keys(feed.uniforms).some((name) => name.startsWith(step.prefix)) || step.kernel.signature.length < 3,
        ).toBe(true);
      if (first !== later) moved++;
      feed.dispose();
    }
    expect(moved).toBeGreaterThan(0);
  });

  it('a table is one texture for as long as it is the same table', () => {
    const layer = piece.layers.find(({ kind }) => definitionOf(kind).route);
    if (!layer) throw new Error('the demo has no route');
    const { element } = pipelineOf(piece, layer, 1);
    const table = new Float64Array(8);
    let given = table;
    const [step] = element;
    const fake = {
      ...step,
      values: (phase: number) => ({ ...step.values(phase), ...tables(step.values(phase), given) }),
    };
    const feed = new Feed([fake]);
    const textures = (): THREE.DataTexture[] =>
      Object.values(feed.uniforms).flatMap(({ value }) => (value instanceof THREE.DataTexture ? [value] : []));
    feed.at([fake], 0);
    const before = textures();
    expect(before.length).toBeGreaterThan(0);
    feed.at([fake], 0.5);
    expect(textures()).toEqual(before);
    expect(textures()[0]).toBe(before[0]);
    given = new Float64Array(8);
    let freed = 0;
    before[0].addEventListener('dispose', () => freed++);
    feed.at([fake], 0.5);
    expect(textures()[0]).not.toBe(before[0]);
    expect(freed).toBe(1);
    textures()[0].addEventListener('dispose', () => freed++);
    feed.dispose();
    expect(freed).toBe(2);
  });
});

/** Every table among some values replaced by another. */
const tables = (values: Readonly<Record<string, unknown>>, table: Float64Array): Record<string, Float64Array> =>
  Object.fromEntries(
    Object.entries(values).flatMap(([name, value]) => (value instanceof Float64Array ? [[name, table]] : [])),
  );
