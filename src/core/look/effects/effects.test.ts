import { readdirSync, readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { DOCUMENT_VERSION } from '../../piece/schema';
import { valueFindings } from '../../seam/values';
import { parsePiece } from '../../world/open';
import { LOOK } from '../form';
import {
  usedEffects,
  effectOf,
  EFFECTS,
  effectsTrouble,
  inOrder,
  newEffect,
  standardEffects,
  startedEffect,
  startedEffects,
  withEffect,
  type Effect,
} from './kinds';

const kindsOf = (effects: readonly Effect[]): string[] => effects.map(({ kind }) => kind);

describe('the effects of a look', () => {
  it('a new look has one of each that is usual, tone among them, each with an id of its own', () => {
    const { effects } = LOOK.schema.parse({});
    expect(kindsOf(effects)).toEqual(['glow', 'vignette', 'tone', 'grain', 'dither']);
    expect(new Set(effects.map(({ id }) => id)).size).toBe(effects.length);
    expect(effectsTrouble(effects)).toBeNull();
  });

  it('one that is added does something: a glow glows, and what a document leaves out stays nothing', () => {
    for (const kind of EFFECTS.names) expect(effectOf(kind).summary(startedEffect(kind, 'a'), 0)).not.toBe('none');
    expect(effectOf('glow').summary(newEffect('glow', 'a'), 0)).toBe('none');
    expect(effectsTrouble(startedEffects())).toBeNull();
  });

  it('act on light first, then bring it to the display, then on that; within each as the list says', () => {
    const list = [newEffect('grain', 'a'), newEffect('tone', 'b'), newEffect('vignette', 'c'), newEffect('glow', 'd')];
    expect(usedEffects(list).map(({ id }) => id)).toEqual(['c', 'd', 'b', 'a']);
    expect(inOrder(inOrder(list))).toEqual(inOrder(list));
    expect(usedEffects([{ ...list[0], off: true }, list[1]]).map(({ id }) => id)).toEqual(['b']);
  });

  it.each([
    ['no tone', (all: Effect[]) => all.filter(({ kind }) => kind !== 'tone'), 'needs tone exactly once'],
    ['two tones', (all: Effect[]) => [...all, newEffect('tone', 'again')], 'needs tone exactly once'],
    [
      'a tone that is off',
      (all: Effect[]) => all.map((e) => (e.kind === 'tone' ? { ...e, off: true } : e)),
      'may not switch tone off',
    ],
    ['two of one id', (all: Effect[]) => [...all, newEffect('glow', 'glow')], 'names two effects "glow"'],
  ])('%s is refused in words', (_, change, words) => {
    const look = { effects: change(standardEffects()) };
    const parsed = LOOK.schema.safeParse(look);
    expect(parsed.error?.issues.map(({ message }) => message)).toEqual([words]);
  });

  it('one that is added stands where its kind usually does', () => {
    const kindsWith = (...kinds: Effect['kind'][]): string[] =>
      kindsOf(kinds.reduce((list, kind, i) => withEffect(list, newEffect(kind, `new ${i}`)), standardEffects()));
    expect(kindsWith('sharpen')).toEqual(['glow', 'vignette', 'tone', 'sharpen', 'grain', 'dither']);
    expect(kindsWith('dither')).toEqual(['glow', 'vignette', 'tone', 'grain', 'dither', 'dither']);
    expect(kindsWith('balance', 'glow', 'corner').slice(0, 5)).toEqual([
      'glow',
      'glow',
      'corner',
      'vignette',
      'balance',
    ]);
  });

  it('every kind says in a few words what it does', () => {
    for (const kind of EFFECTS.names) {
      const said = effectOf(kind).summary(newEffect(kind, kind), 0.3);
      expect(said.length).toBeGreaterThan(2);
      expect(said).not.toMatch(/undefined|NaN/);
    }
  });
});

describe('pieces of version 3', () => {
  // some ship; others were brought up to date since, and are kept here as they were
  const documents = ['demo', 'tests/former'].flatMap((folder) =>
    readdirSync(folder).map(
      (file) =>
        JSON.parse(readFileSync(`${folder}/${file}`, 'utf8')) as {
          version: number;
          piece: { look: Record<string, unknown> };
        },
    ),
  );

  it('keep what their look said of each effect', () => {
    let seen = 0;
    for (const document of documents.filter(({ version }) => version === 3)) {
      const parsed = parsePiece(document);
      if (!parsed.ok) throw new Error(parsed.problems[0].what);
      expect(parsed.unknown).toEqual([]);
      const [glow, vignette, tone, grain, dither] = parsed.piece.look.effects;
      const { look } = document.piece;
      expect(glow).toMatchObject({ kind: 'glow', layers: look.glow ?? [] });
      expect(vignette).toMatchObject({ kind: 'vignette', amount: look.vignette ?? 0.25 });
      expect(tone).toMatchObject({
        kind: 'tone',
        exposure: look.exposure ?? 0,
        curve: look.curve ?? 'soft',
        saturation: look.saturation ?? 1,
      });
      expect(grain).toMatchObject({ kind: 'grain', amount: look.grain ?? 0.15, size: look.grainSize ?? 0.002 });
      expect(dither).toMatchObject({ kind: 'dither', off: look.dither === false });
      seen++;
    }
    expect(seen).toBeGreaterThan(10);
  });
});

describe('what effects turn', () => {
  it('closes by whole turns, a star by whole points; what does not is said', () => {
    const findings = (effect: object): string[] => {
      const parsed = parsePiece({
        ...{ format: 'isomorph', version: DOCUMENT_VERSION },
        piece: {
          ...{ id: 'a', name: 'A', lap: { frames: 100, rate: { num: 25, den: 1 } }, layers: [] },
          ...{ flight: { route: { kind: 'run' } }, look: { effects: [newEffect('tone', 'tone'), effect] } },
        },
      });
      if (!parsed.ok) throw new Error('it does not read');
      return valueFindings(parsed.piece).map(({ id }) => id);
    };
    const turning = (kind: Effect['kind'], perLap: number, more: object = {}): object => ({
      ...{ ...newEffect(kind, 'e'), ...more },
      turn: { law: 'wound', start: 0.04, perLap },
    });
    expect(findings(turning('star', 1 / 6, { points: 6 }))).toEqual([]);
    expect(findings(turning('star', 0.25, { points: 6 }))).toEqual(['value:look.effects.1.turn']);
    expect(findings(turning('fold', -2))).toEqual([]);
    expect(findings(turning('fold', 1 / 3, { parts: 3 }))).toEqual(['value:look.effects.1.turn']);
  });
});
