// Which demo piece has what: a page of the documentation, made by `npm run pieces` and held to what the pieces are by a test.
import { readdirSync } from 'node:fs';
import { FLIGHT } from '../src/core/flight/form';
import { ROUTES } from '../src/core/flight/routes/kinds';
import { LAYERS } from '../src/core/layers/kinds';
import { EFFECTS } from '../src/core/look/effects/kinds';
import { LIGHTS } from '../src/core/look/lights/kinds';
import { MATTER } from '../src/core/matter/kinds';
import { PATTERNS } from '../src/core/matter/pattern/kinds';
import { partsOfPiece, type Piece } from '../src/core/piece/schema';
import { SHOWS } from '../src/core/shows/kinds';
import { LIST as SOLIDS } from '../src/core/solids/list';
import { TREATMENTS } from '../src/core/treatments/kinds';
import { demoPiece } from './pieces';

interface Named {
  kind: string;
  label: string;
}

/** What things are called in a document: the part of it that holds them. */
const KINDS: readonly (readonly [heading: string, held: string, list: readonly Named[]])[] = [
  ['Layers', 'layers', LAYERS.list],
  ['Treatments', 'treatments', TREATMENTS.list],
  ['Routes', 'route', ROUTES.list],
  ['Lights', 'lights', LIGHTS.list],
  ['Matter', 'matter', MATTER.list],
  ['Patterns', 'pattern', PATTERNS.list],
  ['What screens show', 'shows', SHOWS.list],
  ['Effects', 'effects', EFFECTS.list],
];

/** Names of fields that say which body something is. */
const BODIES = ['source', 'body', 'bone', 'source1', 'source2', 'source3', 'source4', 'source5'];

/** Kinds of parts, lenses and bodies that a piece has, each with what holds it. */
function hasOf(piece: Piece): Set<string> {
  const has = new Set([`lens ${piece.flight.lens}`]);
  for (const { value, path } of partsOfPiece(piece)) {
    const held = path.filter((name) => typeof name === 'string').at(-1);
    for (const [name, of] of Object.entries(value)) {
      if (name === 'kind') has.add(`${held} ${String(of)}`);
      if (BODIES.includes(name)) has.add(`body ${String(of)}`);
    }
  }
  return has;
}

/** The page, as Markdown. */
export function standing(): string {
  const pieces = readdirSync('demo')
    .sort()
    .map((file) => demoPiece(file.replace('.isomorph.json', '')))
    .map((piece) => ({ name: piece.name, has: hasOf(piece) }));
  const lenses = Object.entries(FLIGHT.fields.lens.control?.choices ?? {}).map(([kind, label]) => ({ kind, label }));
  const all = [...KINDS, ['Lenses', 'lens', lenses] as const, ['Bodies', 'body', SOLIDS] as const];
  const lines = all.flatMap(([heading, held, list]) => [
    '',
    `## ${heading}`,
    '',
    ...list.map(({ kind, label }) => {
      const where = pieces.filter(({ has }) => has.has(`${held} ${kind}`)).map(({ name }) => name);
      return `- _${label}_: ${where.length > 0 ? where.join(', ') : 'in none yet'}`;
    }),
  ]);
  return [
    '# Where everything stands',
    '',
    'Which of the demo pieces have what, so that each can be looked at in a piece that was composed. Made by `npm run pieces`.',
    ...lines,
    '',
  ].join('\n');
}
