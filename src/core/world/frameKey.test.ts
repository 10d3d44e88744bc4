import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { animatedIn } from '../forms/walk';
import { startedEffect } from '../look/effects/kinds';
import { definitionOf } from '../layers/kinds';
import { getAt, setAt, type PiecePath } from '../piece/paths';
import { partsOfPiece, type Piece } from '../piece/schema';
import { evaluateAnimated, type Animated, type Key } from '../time/animated';
import { layerBatch } from './batch';
import { cameraPose } from './camera';
import { exposedPiece, exposureOf, openLaps } from './exposed';
import { frameKeys } from './frameKey';
import { parsePiece } from './open';

const demo = (name: string): Piece => {
  const parsed = parsePiece(JSON.parse(readFileSync(`demo/${name}.isomorph.json`, 'utf8')));
  if (!parsed.ok) throw new Error(`${name} does not read`);
  return parsed.piece;
};
const keysOf = (piece: Piece): string[] => {
  const key = frameKeys(piece);
  return Array.from({ length: piece.lap.frames }, (_, frame) => key(frame));
};
const changedFrames = (before: Piece, after: Piece): number[] => {
  const [a, b] = [keysOf(before), keysOf(after)];
  return a.flatMap((key, frame) => (key === b[frame] ? [] : [frame]));
};
const keyed = (values: readonly number[], ease: Key['ease'] = 'linear'): Animated => ({
  law: 'keyed',
  keys: values.map((value, i) => ({ id: `k${i}`, at: i / values.length, value, ease })),
});

const bloom = demo('plankton-bloom');
const { frames } = bloom.lap;
const edit = (path: PiecePath, value: unknown, piece = bloom): Piece => setAt(piece, path, value);

describe('the keys of frames', () => {
  it('are one for each frame, and the same for the same piece', () => {
    const keys = keysOf(bloom);
    expect(new Set(keys).size).toBe(frames);
    expect(keysOf(structuredClone(bloom))).toEqual(keys);
  });

  it('of frames between which no key of a colour acts stay when it is changed', () => {
    const path = ['look', 'background'];
    const held = (middle: string) => ({
      law: 'keyed',
      keys: ['#000000', middle, '#000000', '#102030'].map((value, i) => ({
        ...{ id: `k${i}`, at: i / 4, value },
        ease: 'hold',
      })),
    });
    const changed = changedFrames(edit(path, held('#ff0000')), edit(path, held('#00ff00')));
    // the second quarter, and frames whose shutter reaches into it
    expect(changed.length).toBeGreaterThan(frames / 4 - 2);
    expect(changed.length).toBeLessThan(frames / 4 + 3);
    expect(changed.every((frame) => frame >= frames / 4 - 1 && frame <= frames / 2 + 1)).toBe(true);
  });

  it('are those of the moment that is drawn, where the picture changes in steps', () => {
    const stepped = edit(['look', 'effects'], [...bloom.look.effects, { ...startedEffect('stepped', 's'), steps: 2 }]);
    const path = ['flight', 'focusM'];
    // a key that acts between a sixteenth and three sixteenths alone: in the middle of what the first step shows for half a lap
    const focus = (value: number) => ({
      law: 'keyed',
      keys: [0, 0.0625, 0.125, 0.1875].map((at, i) => ({
        id: `k${i}`,
        at,
        value: i === 2 ? value : 5,
        ease: 'linear',
      })),
    });
    const changed = (piece: Piece): number =>
      changedFrames(edit(path, focus(5), piece), edit(path, focus(9), piece)).length;
    expect(changed(stepped)).toBe(0);
    expect(changed(bloom)).toBeGreaterThan(frames / 10);
    // and one that acts at its beginning changes all that show it
    const first = (value: number) => ({
      law: 'keyed',
      keys: [
        { id: 'a', at: 0, value, ease: 'hold' },
        { id: 'b', at: 0.01, value: 5, ease: 'hold' },
      ],
    });
    expect(changedFrames(edit(path, first(5), stepped), edit(path, first(9), stepped)).length).toBeGreaterThan(
      frames / 2 - 2,
    );
  });

  it('are those of the earlier moments too that a trail shows', () => {
    const at = (value: number) => ({
      law: 'keyed',
      keys: [0, 0.25, 0.26, 0.27].map((at, i) => ({ id: `k${i}`, at, value: i === 2 ? value : 5, ease: 'linear' })),
    });
    const path = ['flight', 'focusM'];
    const changed = (piece: Piece): number[] => changedFrames(edit(path, at(5), piece), edit(path, at(9), piece));
    const trailing = (more: object): Piece =>
      edit(
        ['look', 'effects'],
        [...bloom.look.effects, { ...startedEffect('trails', 't'), copies: 2, lasts: 60, ...more }],
      );
    const own = changed(bloom);
    const first = Math.round(0.25 * frames);
    expect(own.every((frame) => frame >= first - 1 && frame <= first + 0.02 * frames + 1)).toBe(true);
    const later = (by: number): number[] => own.map((frame) => (frame + by) % frames);
    expect(changed(trailing({}))).toEqual([...new Set([...own, ...later(30), ...later(60)])].sort((a, b) => a - b));
    // without gaps, whatever lies between as well
    const without = changed(trailing({ drawnOut: true }));
    expect(without).toEqual(expect.arrayContaining(later(45)));
    expect(changed(trailing({ off: true }))).toEqual(own);
  });

  it('stay where nothing is seen of a change', () => {
    const hidden = edit(['layers', 1, 'hidden'], true);
    expect(changedFrames(bloom, { ...bloom, id: 'other', name: 'Other', samples: 64 })).toEqual([]);
    expect(changedFrames(bloom, edit(['layers', 0, 'name'], 'Other'))).toEqual([]);
    expect(changedFrames(hidden, edit(['layers', 1, 'tint'], '#ff0000', hidden))).toEqual([]);
    expect(changedFrames(bloom, hidden)).toHaveLength(frames);
  });

  it('are others all over the lap where a change is', () => {
    expect(changedFrames(bloom, edit(['look', 'background'], '#102030'))).toHaveLength(frames);
    expect(changedFrames(bloom, edit(['tile'], bloom.tile * 1.01))).toHaveLength(frames);
  });

  it('are others only between the neighbours of a key that is changed', () => {
    const path = ['layers', 0, 'light'];
    const before = edit(path, keyed([1, 1, 1, 1, 1, 1, 1, 1]));
    const after = edit([...path, 'keys', 3, 'value'], 2, before);
    const changed = changedFrames(before, after);
    // from just after the key before to just before the key after, and what an open shutter adds
    const [from, to] = [(2 / 8) * frames, (4 / 8) * frames];
    expect(changed.length).toBeGreaterThan(to - from - 2);
    expect(changed[0]).toBeGreaterThanOrEqual(Math.floor(from));
    expect(changed.at(-1)).toBeLessThanOrEqual(Math.ceil(to));
    // and where it is taken back they are what they were
    expect(changedFrames(before, edit([...path, 'keys', 3, 'value'], 1, after))).toEqual([]);
  });

  it('see what is shown later, and what is summed up over the lap', () => {
    const light = ['layers', 0, 'light'];
    const moved = (piece: Piece): number => {
      const before = edit(light, keyed([1, 1, 1, 1, 1, 1, 1, 1]), piece);
      return changedFrames(before, edit([...light, 'keys', 3, 'value'], 2, before)).length;
    };
    const trailing = edit(['layers', 0, 'treatments'], [{ kind: 'trails', id: 't' }]);
    const parsed = parsePiece({
      ...JSON.parse(readFileSync('demo/plankton-bloom.isomorph.json', 'utf8')),
      piece: trailing,
    });
    if (!parsed.ok) throw new Error('the piece does not read');
    expect(moved(bloom)).toBeLessThan(frames / 2);
    expect(moved(parsed.piece)).toBe(frames);
    const slow = edit(['flight', 'speed'], keyed([1, 1, 1, 1]));
    expect(changedFrames(slow, edit(['flight', 'speed', 'keys', 1, 'value'], 2, slow))).toHaveLength(frames);
  });
});

/** What a frame's picture is made of, at moments that its key does not look at. */
function stateOf(piece: Piece, frame: number): unknown {
  const phase = frame / piece.lap.frames;
  const open = openLaps(piece, phase);
  const seen = exposedPiece(piece, exposureOf(piece, phase));
  return [-0.4, 0.1, 0.35].map((share) => {
    const at = phase + share * open;
    const look = partsOfPiece(seen)
      .filter(({ path }) => path[0] === 'look' || path.length === 1)
      .flatMap((part) => animatedIn(part))
      .filter(({ field }) => !field.control?.summed)
      .map(({ value }) => evaluateAnimated(value, at));
    const layers = seen.layers
      .filter(({ hidden }) => !hidden)
      .map((layer) => [definitionOf(layer.kind).light(layer, at), layerBatch(seen, layer.id, at, 0.004)]);
    return JSON.stringify([cameraPose(seen, at), look, layers], (_, value: unknown) =>
      value instanceof Float64Array ? [...value.subarray(0, 12)] : value,
    );
  });
}

describe.each(['plankton-bloom', 'star-wake', 'slipway-spiral', 'lantern-buoy'])('of %s', (name) => {
  // works out a whole flight for each of its fields
  it('differ wherever what is drawn does, whatever is keyed', () => {
    const piece = demo(name);
    const all = partsOfPiece(piece).flatMap((part) =>
      animatedIn(part).map(({ path, value }) => ({ path, at: evaluateAnimated(value, 0.3) })),
    );
    // how much of an effect there is, and where, is said of each in the same fields, and of layers and treatments of one kind in
    // all: those of one are enough
    const kindAt = (path: PiecePath): unknown =>
      path[1] === 'effects' ? '' : (getAt(piece, path) as { kind?: string } | undefined)?.kind;
    const field = ({ path }: (typeof all)[number]): string =>
      path.map((step, i) => (typeof step === 'number' ? kindAt(path.slice(0, i + 1)) : step)).join();
    const places = all.filter((place, i) => all.findIndex((one) => field(one) === field(place)) === i);
    expect(places.length).toBeGreaterThan(10);
    let kept = 0;
    for (const { path, at } of places) {
      const before = setAt(piece, path, keyed([at, at * 1.01, at, at, at, at]));
      const after = setAt(before, [...path, 'keys', 2, 'value'], at === 0 ? 0.1 : at * 1.07);
      if (getAt(after, path) === undefined) continue;
      const [a, b] = [frameKeys(before), frameKeys(after)];
      for (const share of [0.05, 0.34, 0.55]) {
        const frame = Math.round(share * piece.lap.frames);
        if (a(frame) !== b(frame)) continue;
        kept++;
        expect([path, stateOf(after, frame)]).toEqual([path, stateOf(before, frame)]);
      }
    }
    expect(kept).toBeGreaterThan(places.length);
  });
});
