import { readdirSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { demoPiece, pieceOf } from '../../../tests/pieces';
import { newEffect } from '../look/effects/kinds';
import { levelIn } from '../look/stretch';
import { newTreatment, type Treatment } from '../treatments/kinds';
import { cameraPose } from '../world/camera';
import { evaluateAnimated } from '../time/animated';
import { lengthened } from './lengthen';
import { partsOfPiece, type Piece } from './schema';
import { valueAt } from '../forms';
import { animatedIn, heldBy } from '../forms/walk';

const demos = readdirSync('demo').map((name) => name.replace('.isomorph.json', ''));
const over = (piece: Piece, laps: number): Piece => {
  const longer = lengthened(piece, laps);
  if (!longer) throw new Error(`${piece.name} cannot be lengthened`);
  return longer;
};

describe('a lap lengthened', () => {
  it('the numbers of each lap in it are those of the one, in every demo piece that can be', () => {
    let compared = 0;
    const cannot: string[] = [];
    for (const name of demos) {
      const piece = demoPiece(name);
      const longer = lengthened(piece, 3);
      if (!longer) {
        cannot.push(name);
        continue;
      }
      expect(longer.lap.frames).toBe(3 * piece.lap.frames);
      const now = new Map(
        partsOfPiece(longer)
          .flatMap(animatedIn)
          .map(({ path, value }) => [path.join('.'), value]),
      );
      for (const { path, value: was } of partsOfPiece(piece).flatMap(animatedIn)) {
        const will = now.get(path.join('.'));
        // noise is another in a lap with more of it
        if (will === undefined || typeof was === 'number' || (was.law === 'swing' && was.wave === 'noise')) continue;
        for (const phase of [0, 0.13, 0.71, 1.4, 2.9]) {
          const [a, b] = [evaluateAnimated(was, phase), evaluateAnimated(will, phase / 3)];
          expect(Math.abs(a - b)).toBeLessThan(1e-9 * (1 + Math.abs(a)));
        }
        compared++;
      }
    }
    expect(compared).toBeGreaterThan(100);
    // its figures come and go on frames of the lap
    expect(cannot).toEqual(['bell-carousel']);
  });

  it('a camera without noise goes the same way as often as there are laps', () => {
    const still = { handAside: 0, handUp: 0, handAlong: 0, handPitch: 0, handYaw: 0, handRoll: 0, handAmount: 0 };
    let compared = 0;
    for (const name of demos) {
      const piece = demoPiece(name);
      const calm = { ...piece, flight: { ...piece.flight, ...still } } as Piece;
      const noise = partsOfPiece(calm)
        .flatMap(animatedIn)
        .some(({ value }) => typeof value === 'object' && value.law === 'swing' && value.wave === 'noise');
      // what is followed may be carried by noise of its own
      if (noise || 'to' in calm.flight.route || calm.flight.aim === 'target') continue;
      const longer = over(calm, 2);
      for (const phase of [0, 0.2, 0.77, 1.3]) {
        const [a, b] = [cameraPose(calm, phase), cameraPose(longer, phase / 2)];
        const gap = Math.hypot(...a.position.map((v, i) => v - b.position[i]));
        // a speed curve is summed up in as many steps whatever the lap
        expect([name, phase, gap < (typeof calm.flight.speed === 'number' ? 1e-6 : 1e-4)]).toEqual([name, phase, true]);
      }
      compared++;
    }
    expect(compared).toBeGreaterThan(5);
  });

  it('what is said to be per lap is all that is multiplied, and every such field says so', () => {
    const seen = new Map<string, boolean>();
    for (const name of demos)
      for (const part of partsOfPiece(demoPiece(name)))
        for (const { field } of heldBy(part)) {
          const { control } = field;
          if (!control || control.control === 'animated') continue;
          if (/\blap$/.test(control.unit ?? '')) seen.set(control.label, control.perLap === true);
        }
    expect(seen.size).toBeGreaterThan(8);
    expect([...seen].filter(([, said]) => !said)).toEqual([]);
  });

  it('cycles become whole, keys are gone through again, and what is on for a stretch is so in every lap', () => {
    const piece = pieceOf(
      { kind: 'field', count: 20, treatments: [{ ...newTreatment('drift', 'd'), cycles: 2.5 } as Treatment] },
      {
        lap: { frames: 100, rate: { num: 25, den: 1 }, tempo: { beats: 8, bpm: 120 } },
        flight: { route: { kind: 'run', tilesPerLap: 1.5 } },
        look: {
          effects: [
            newEffect('tone', 't'),
            { ...newEffect('vignette', 'v'), acts: 'stretch', from: 90, to: 10, fadeIn: 0, fadeOut: 0 },
          ],
        },
      },
    );
    const longer = over(piece, 2);
    expect(longer.lap).toMatchObject({ frames: 200, tempo: { beats: 16, bpm: 120 } });
    expect(longer.layers[0].treatments[0]).toMatchObject({ cycles: 5 });
    expect(longer.flight.route).toMatchObject({ tilesPerLap: 3 });
    const stretches = longer.look.effects.filter(({ kind }) => kind === 'vignette');
    expect(stretches.map((one) => ['from', 'to'].map((name) => valueAt(one, name)))).toEqual([
      [90, 110],
      [190, 10],
    ]);
    const on = (frame: number): number => stretches.reduce((sum, one) => sum + levelIn(one as never, frame, 200), 0);
    expect([0, 9, 10, 89, 90, 109, 110, 189, 190].map(on)).toEqual([1, 1, 0, 0, 1, 1, 0, 0, 1]);
  });

  it('stations are come to and left in each of the laps as in the one', () => {
    const stop = (id: string, aside: number) => ({ id, aside, above: 0, ahead: 0, yaw: 0, pitch: 0, roll: 0 });
    const route = { kind: 'stations', stops: [stop('a', 0), stop('b', 2)] };
    const piece = pieceOf({ kind: 'copies' }, { flight: { route, aim: 'own' } });
    const longer = over(piece, 3);
    for (const phase of [0, 0.21, 0.5, 0.83, 1.4, 2.9])
      expect(cameraPose(longer, phase / 3).position[0]).toBeCloseTo(cameraPose(piece, phase).position[0], 6);
  });

  it('is none where something is there on frames of the lap alone, or would be too many', () => {
    const there = pieceOf({ kind: 'copies', treatments: [newTreatment('appear', 'a')] });
    expect(lengthened(there, 2)).toBeNull();
    const gone = pieceOf({
      kind: 'copies',
      treatments: [{ ...newTreatment('appear', 'a'), how: 'gone' } as Treatment],
    });
    expect(lengthened(gone, 2)?.layers[0].treatments.map(({ id }) => id)).toEqual(['a', 'a.1']);
    const long = pieceOf({ kind: 'copies' }, { lap: { frames: 60_000, rate: { num: 25, den: 1 } } });
    expect(lengthened(long, 2)).toBeNull();
  });
});
