// Rows of what is drawn on the lab page, beside peers in the same run.
import { readFileSync } from 'node:fs';

const COUNT = 200_000;
const [width, height] = [960, 540];

const drifting = {
  format: 'isomorph',
  version: 2,
  piece: {
    id: 'bench',
    name: 'Bench',
    lap: { frames: 100, rate: { num: 25, den: 1 } },
    tile: 8,
    layers: [
      {
        id: 'dots',
        name: 'Dots',
        kind: 'field',
        seed: 3,
        shape: 'ball',
        width: 9,
        height: 5,
        depth: 8,
        ahead: 6,
        count: COUNT,
        size: 0.0015,
        variation: 0,
        glint: 0,
        softness: 1,
        light: 1,
        treatments: [{ kind: 'drift', id: 'drift', seed: 3, amount: 0.3, scale: 2, cycles: 2 }],
        gradient: [{ at: 0, colour: '#8899aa' }],
      },
    ],
    flight: { route: { kind: 'run', tilesPerLap: 0 }, focalMm: 40, fNumber: 64, shutterDeg: 0 },
    look: { glow: [], reach: 7.5, fogDistance: 1000, nearFade: 0.1 },
  },
};

const boxes = (amount) => ({
  format: 'isomorph',
  version: 2,
  piece: {
    id: 'boxes',
    name: 'Boxes',
    lap: { frames: 100, rate: { num: 25, den: 1 } },
    tile: 60,
    layers: [
      {
        id: 'boxes',
        name: 'Boxes',
        kind: 'copies',
        once: true,
        countX: 40,
        countY: 25,
        countZ: 20,
        stepX: 0.3,
        stepY: 0.3,
        stepZ: 0.3,
        size: 0.18,
        bevel: 0.1,
        detail: 1,
        ahead: 14,
        treatments: [
          { kind: 'disorder', id: 'a', amount },
          { kind: 'turn', id: 'b', what: 'each', axis: 'up' },
          { kind: 'wave', id: 'c', amount: 0.3 },
        ],
      },
    ],
    flight: { route: { kind: 'run', tilesPerLap: 0 }, focalMm: 40, fNumber: 64, shutterDeg: 0 },
    look: { glow: [], reach: 40, fogDistance: 1000 },
  },
});

/** A few bodies in the depth, for what is done to a picture: glow or none, lens and shutter. */
const picture = (effects, flight = {}) => ({
  format: 'isomorph',
  version: 6,
  piece: {
    id: 'picture',
    name: 'Picture',
    lap: { frames: 100, rate: { num: 25, den: 1 } },
    tile: 20,
    layers: [{ id: 'a', name: 'A', kind: 'copies', arrangement: 'scatter', count: 60, boxX: 8, boxY: 5, size: 0.7 }],
    flight: { route: { kind: 'run', tilesPerLap: 0 }, focalMm: 40, fNumber: 0.5, focusM: 6, shutterDeg: 0, ...flight },
    look: { effects: [...effects, { kind: 'tone', id: 'tone' }], fogDistance: 1000 },
  },
});

const ms = (value) => `${value.toFixed(value < 10 ? 1 : 0)} ms`;
const middle = (list) => [...list].sort((a, b) => a - b)[Math.floor(list.length / 2)];

/** Milliseconds a frame of a document. */
export const pace = (page, json, size, passes, frames) =>
  page.evaluate(
    ([j, [w, h], p, n]) =>
      globalThis.lab.engine.api.pace(
        { piece: globalThis.lab.parse(j), frameIndex: 0, width: w, height: h, passes: p },
        n,
      ),
    [json, size, passes, frames],
  );

/** So many rounds of everything, in turns: what disturbs one round disturbs all of it. Of what `worth` makes of each the middle. */
export async function rounds(count, measures, worth = (took) => took) {
  const got = [];
  for (let round = 0; round < count; round++) {
    const took = {};
    for (const [name, measure] of Object.entries(measures)) took[name] = await measure();
    got.push(worth(took));
  }
  return Object.fromEntries(Object.keys(got[0]).map((name) => [name, middle(got.map((one) => one[name]))]));
}

/** Frames of a measurement and how often it is made. */
const amount = (light) => (light ? [2, 2] : [6, 3]);

export async function pointRows(page, line, light) {
  const [frames, times] = amount(light);
  const points = (how) => () =>
    page.evaluate(
      ([c, w, h, n, r]) => globalThis.peers.pointsPace(c, w, h, n, r),
      [COUNT, width, height, how === 'moved' ? 2 : frames, how],
    );
  const { ours, still, rewritten, moved } = await rounds(times, {
    ours: () => pace(page, drifting, [width, height], 1, frames),
    still: points('still'),
    ...(light ? {} : { rewritten: points('rewritten'), moved: points('moved') }),
  });
  line(
    '200 000 drifting particles / bare points that stand still',
    ours / still,
    '≤ 2.0',
    `${ms(ours)}, peer ${ms(still)}`,
    3,
  );
  if (!light) {
    line('points moved by one sine an axis / drifting particles', rewritten / ours, '', `peer ${ms(rewritten)}`);
    line('points moved by the same curl noise / drifting particles', moved / ours, '≥ 3', `peer ${ms(moved)}`);
  }
}

export async function boxRow(page, line, light) {
  const [frames, times] = amount(light);
  const box = await rounds(times, {
    ours: () => pace(page, boxes(0.5), [width, height], 1, frames),
    still: () => page.evaluate(([w, h, n]) => globalThis.peers.boxesPace(w, h, n), [width, height, frames]),
  });
  line(
    '20 000 boxes, three treatments / bare instances, still',
    box.ours / box.still,
    '≤ 0.7',
    `${ms(box.ours)}, peer ${ms(box.still)}`,
    1.2,
  );
}

/** The boxes under some lights: at rest, or turning. */
const lit = (lights, moving) => {
  const json = boxes(0.5);
  json.version = 7;
  if (!moving) json.piece.layers[0].treatments = [];
  json.piece.look = { effects: [{ kind: 'tone', id: 'tone' }], reach: 40, fogDistance: 1000, lights };
  return json;
};
const lamp = (kind, id, aside, more = {}) => ({
  ...{ kind, id, aside, above: 5, ahead: 8, strength: 30, reach: 40, shadow: false },
  ...(kind === 'point' ? {} : { aims: 'target', aimAt: { on: 'point', aside: 0, above: 0, ahead: 14 } }),
  ...more,
});
const sun = (id, aside) => ({ kind: 'sun', id, aside, above: 0.6, behind: 0.5, shadow: false });

/** What seven more lights cost, two of them with shadows, beside one without. */
export async function lightRow(page, line, light) {
  const [frames, times] = amount(light);
  const many = (shadow) => [
    ...[sun('s1', 0.5), sun('s2', -0.5), lamp('point', 'p1', 4), lamp('point', 'p2', -4)],
    ...[lamp('softBox', 'b1', 6), lamp('softBox', 'b2', -6)],
    ...[lamp('spot', 'c1', 3, { shadow }), lamp('spot', 'c2', -3, { shadow, cone: 60 })],
  ];
  const of = (lights, moving) => () => pace(page, lit(lights, moving), [width, height], 1, frames);
  const { one, eight, bare, still, stillOne } = await rounds(times, {
    one: of([sun('s1', 0.5)], true),
    bare: of(many(false), true),
    eight: of(many(true), true),
    stillOne: of([sun('s1', 0.5)], false),
    still: of(many(true), false),
  });
  const words = '20 000 boxes, eight lights';
  line(`${words}, two with shadows / one light`, eight / one, '≤ 1.3', `${ms(eight)}, one ${ms(one)}`);
  line(`${words}, none with shadows / one light`, bare / one, '', ms(bare));
  line(
    `${words}, two with shadows, at rest / one light`,
    still / stillOne,
    '≤ 1.3',
    `${ms(still)}, one ${ms(stillOne)}`,
  );
}

/** What air costs that two spots are seen in, and mist in patches, beside the same without. */
export async function airRow(page, line, light) {
  const [frames, times] = amount(light);
  const of = (look) => () => {
    const json = lit([lamp('spot', 'c1', 3), lamp('spot', 'c2', -3, { cone: 60 })], false);
    Object.assign(json.piece.look, look);
    return pace(page, json, [width, height], 1, frames);
  };
  const { clear, haze, mist } = await rounds(times, {
    clear: of({}),
    haze: of({ haze: 0.03 }),
    mist: of({ mist: 'lies', lights: [sun('s1', 0.5)] }),
  });
  const words = '20 000 boxes at rest, two spots';
  line(`${words}, their beams in haze / clear air`, haze / clear, '', `${ms(haze)}, clear ${ms(clear)}`);
  line('20 000 boxes at rest, a sun, mist in patches / two spots in clear air', mist / clear, '', ms(mist));
}

/** What a floor costs that mirrors what stands on it, beside one that mirrors the sky alone. */
export async function mirrorRow(page, line, light) {
  const [frames, times] = amount(light);
  const of = (mirrors) => () => {
    const json = lit([sun('s1', 0.5)], true);
    const floor = {
      id: 'floor',
      name: 'Floor',
      kind: 'ground',
      surface: 'water',
      above: -4,
      width: 100,
      ripple: 0.1,
      mirrors,
    };
    json.piece.layers.push(floor);
    // half of the picture is floor
    Object.assign(json.piece.flight, { above: 3, pitch: -22 });
    return pace(page, json, [width, height], 1, frames);
  };
  const { sky, all } = await rounds(times, { sky: of('sky'), all: of('all') });
  line('20 000 boxes turning over water that mirrors them / the sky', all / sky, '≤ 2.0', `${ms(all)}, sky ${ms(sky)}`);
}

/** A frame in which there is nothing, with two glows. */
export async function emptyRow(page, line) {
  const glows = [
    { id: 'a', radius: 0.02 },
    { id: 'b', radius: 0.08 },
  ];
  const nothing = picture([{ kind: 'glow', id: 'glow', layers: glows }]);
  nothing.piece.layers = [];
  const size = [412, 231];
  const { empty } = await rounds(5, { empty: () => pace(page, nothing, size, 1, 12) });
  line(`an empty piece, ${size.join('×')} / 15 ms`, empty / 15, '≤ 1.0', ms(empty));
}

/** What glow, and when there is time the lens of one pass, add to a picture, beside the peer's effects. */
export async function effectRows(page, line, light) {
  const size = light ? [640, 360] : [960, 540];
  const peer = (kind) => () => page.evaluate(([k, [w, h]]) => globalThis.peers.effectCost(k, w, h, 6), [kind, size]);
  // four of them: a difference of two numbers is to be larger than what disturbs them
  const glowing = Array.from({ length: 4 }, (_, i) => ({ kind: 'glow', id: `glow-${i}` }));
  const plain = (passes, frames) => () => pace(page, picture([]), size, passes, frames);
  const cost = await rounds(
    light ? 3 : 5,
    {
      glowing: () => pace(page, picture(glowing), size, 1, 6),
      plain: plain(1, 6),
      bloom: peer('bloom'),
      ...(light
        ? {}
        : {
            eight: plain(8, 3),
            four: plain(4, 3),
            many: plain(32, 1),
            fewer: plain(16, 1),
            focus: peer('focus'),
          }),
    },
    // differences of one round: what a machine does to both of them falls out
    ({ glowing: lit, plain: bare, eight, four, many, fewer, ...peers }) => ({
      glow: (lit - bare) / 4,
      // a pass has the lens up to 8 of them, and has none from 16 on
      lens: (eight - four) / 4 - (many - fewer) / 16,
      ...peers,
    }),
  );
  line(
    `glow / bloom of mipmaps, ${size.join('×')}`,
    cost.glow / cost.bloom,
    '≤ 1.0',
    `${ms(cost.glow)}, peer ${ms(cost.bloom)}`,
    0.6,
  );
  if (light) return;
  line(
    `lens of one pass / depth of field of a picture, ${size.join('×')}`,
    cost.lens / cost.focus,
    '≤ 1.0',
    `${ms(cost.lens)}, peer ${ms(cost.focus)}`,
    0.7,
  );
}

/** What a usual chain adds to a picture, beside the peer's merged passes; and one that is all switched off. */
export async function chainRow(page, line) {
  const size = [960, 540];
  const layers = [0.004, 0.02, 0.08].map((radius, i) => ({ id: `${i}`, radius, threshold: 0.6, gain: 0.3 }));
  const hash = readFileSync(new URL('../../src/core/kept/stock.ts', import.meta.url), 'utf8').match(
    /'sodium-quay\.cube', '(\w+)'/,
  )[1];
  const chain = [
    { kind: 'glow', id: 'glow', layers },
    { kind: 'fringe', id: 'fringe', apart: 0.004 },
    { kind: 'vignette', id: 'vignette', amount: 0.4 },
    { kind: 'grade', id: 'grade', contrast: 1.1, saturation: 1.1 },
    { kind: 'table', id: 'table', file: { hash, name: 'Sodium quay' } },
    { kind: 'sharpen', id: 'sharpen' },
    { kind: 'grain', id: 'grain', amount: 0.3 },
  ];
  // nothing but a background: what takes as long as the world would hide what is asked
  const of = (effects) => () => {
    const { piece, ...document } = picture(effects);
    const look = { ...piece.look, background: '#ffeecc', backgroundEdge: '#102030' };
    return pace(page, { ...document, version: 7, piece: { ...piece, layers: [], look } }, size, 1, 6);
  };
  const off = chain.map((effect) => ({ ...effect, off: true }));
  const cost = await rounds(
    5,
    {
      whole: of(chain),
      off: of(off),
      bare: of([]),
      peer: () => page.evaluate(([w, h]) => globalThis.peers.effectCost('chain', w, h, 6), size),
    },
    ({ whole, off, bare, peer }) => ({ own: whole - bare, peer, off: off / bare }),
  );
  line(
    `a usual chain / the same effects by the peer in three merged passes, ${size.join('×')}`,
    cost.own / cost.peer,
    '≤ 1.0',
    `${ms(cost.own)}, peer ${ms(cost.peer)}`,
  );
  line('a picture with a chain that is off / without one', cost.off, '≤ 1.0', '');
}

/** Bodies that shine by themselves, before and behind the focus of a fast lens, as one pass shows them and as many do. */
export async function lensRow(page, line) {
  const [width, height, passes] = [412, 231, 256];
  const colours = ['#ffffff', '#ff8030', '#2060c0'].map((colour, i) => ({ at: i / 2, colour }));
  const json = picture([]);
  Object.assign(json.piece.layers[0], { gradient: colours, matter: { kind: 'plain', glowing: 1 } });
  Object.assign(json.piece.look, {
    lights: [],
    surround: 0,
    reach: 60,
    background: '#000000',
    backgroundEdge: '#000000',
  });
  const { ours, peer } = await page.evaluate(
    async ([j, w, h, n]) => {
      const piece = globalThis.lab.parse(j);
      const light = (p) => globalThis.lab.engine.api.light({ piece, frameIndex: 0, width: w, height: h, passes: p });
      const elements = await globalThis.lab.engine.api.elements(piece, 'a', 0);
      return {
        ours: globalThis.peers.nearness(await light(1), await light(n)),
        peer: globalThis.peers.focusNearness(piece, elements, w, h),
      };
    },
    [json, width, height, passes],
  );
  line(
    `lens of one pass, off from ${passes} / depth of field, best of 49`,
    10 ** ((peer - ours) / 20),
    '≤ 1.0',
    `${ours.toFixed(1)} dB, peer ${peer.toFixed(1)} dB`,
  );
}

export async function rebuildRow(page, line) {
  const builds = await page.evaluate(
    async ([one, two]) => {
      const at = async (json) => {
        await globalThis.lab.engine.api.still({
          piece: globalThis.lab.parse(json),
          frameIndex: 0,
          width: 64,
          height: 36,
          passes: 1,
        });
        return globalThis.lab.engine.api.builds();
      };
      const first = await at(one);
      return (await at(two)) - first;
    },
    [boxes(0.5), boxes(0.6)],
  );
  line('rest elements made anew by another treatment value', builds, '0', 'times');
}

/** How often each is timed. */
const EXPORTS = 4;

export async function exportRow(page, line) {
  const tunnel = JSON.parse(readFileSync(new URL('../../demo/ropewalk-tunnel.isomorph.json', import.meta.url), 'utf8'));
  const rounds = [];
  for (let round = 0; round < EXPORTS; round++)
    rounds.push(
      await page.evaluate(([json]) => globalThis.lab.exportTimes(globalThis.lab.parse(json), 48, 640, 360), [tunnel]),
    );
  // each at its least: whatever else goes on only adds to it
  const [render, encode, both, after] = ['render', 'encode', 'both', 'after'].map((what) =>
    Math.min(...rounds.map((times) => times[what])),
  );
  const s = (seconds) => `${seconds.toFixed(1)} s`;
  line(
    'export of 48 frames / the larger of rendering and encoding',
    both / Math.max(render, encode),
    '≤ 1.1',
    `${s(both)}, ${s(after)} of it after the last frame; rendering ${s(render)}, encoding ${s(encode)} (exports: ${rounds.map((times) => s(times.both)).join(', ')})`,
  );
}
