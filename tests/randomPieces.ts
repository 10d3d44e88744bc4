import { FLIGHT } from '../src/core/flight/form';
import { ROUTES } from '../src/core/flight/routes/kinds';
import { definitionOf, LAYERS, presetLayer, type Layer } from '../src/core/layers/kinds';
import { CHAINS, takenOver } from '../src/core/look/chains/chains';
import { RIGS } from '../src/core/look/lights/rigs';
import { PieceSchema, type Piece } from '../src/core/piece/schema';
import { siblingOf } from '../src/core/piece/siblings';
import { hash4, unitFrom } from '../src/core/random/hash';
import { mendValues } from '../src/core/seam/values';
import { cameraPose } from '../src/core/world/camera';
import { newRoute } from '../src/core/world/newRoute';
import { stepsBelow } from '../src/core/world/steps';

const FEW: Partial<Record<Layer['kind'], object>> = {
  field: { count: 160 },
  plants: { count: 40 },
  ground: { rows: 8 },
  stream: { rate: 60 },
};
const stays = (layer: Layer): boolean =>
  layer.once || (layer.kind === 'tunnel' && ['ring', 'closed'].includes(layer.route));

/**
 * A piece that is put together by chance of what the interface offers: presets and bold siblings of theirs, a route, a chain of
 * effects, a rig of lights; what would not close is brought to the nearest that does, as the inspector does it.
 * @param seed says which
 */
export function randomPiece(seed: number): Piece {
  let drawn = 0;
  const chance = (): number => unitFrom(hash4(seed, drawn++, 91, 0)[0]);
  const pick = <T>(list: readonly T[]): T => list[Math.floor(chance() * list.length) % list.length];
  const bare = (layers: readonly unknown[], flight: object = {}, look: object = {}): Piece =>
    PieceSchema.parse({
      ...{ id: `random-${seed}`, name: `Random ${seed}`, tile: 4 + Math.floor(chance() * 12) },
      lap: { frames: 60 + Math.floor(chance() * 120), rate: { num: 25, den: 1 } },
      ...{ layers, flight, look },
    });
  const layers = Array.from({ length: 1 + Math.floor(chance() * 3) }, (_, i) => {
    const kind = pick(LAYERS.names);
    const preset = presetLayer(kind, Math.floor(chance() * definitionOf(kind).presets.length), {
      ...{ id: `layer-${i}`, name: `Layer ${i}`, seed: Math.floor(chance() * 1e6) },
    });
    const alone = bare([{ ...preset, ...FEW[kind] }]);
    const kin = { form: definitionOf(kind).form, steps: stepsBelow(alone, ['layers', 0]) };
    const wander = { seed: Math.floor(chance() * 1e6), boldness: chance() };
    return { ...siblingOf(alone.layers[0], kin, wander), ...FEW[kind] };
  });
  const first = bare(layers);
  const pose = cameraPose(first, 0);
  // what stands once is met again only by a camera that comes back to it, and what flows away carries none back
  const travels = first.layers.some(stays) ? ['run', 'along', 'keys', 'attached'] : [];
  const flows = first.layers.some(({ kind }) => kind === 'stream') ? ['attached'] : [];
  const kinds = ROUTES.names.filter((kind) => ![...travels, ...flows].includes(kind));
  const flown = bare(layers, { route: newRoute(pick(kinds), first, pose) });
  const flight = siblingOf(
    flown.flight,
    { form: FLIGHT, steps: stepsBelow(flown, ['flight']) },
    { seed: Math.floor(chance() * 1e6), boldness: 0.6 * chance() },
  );
  const rig = pick(RIGS);
  const lights = rig.lights({ middle: [0, 0, -4], right: [1, 0, 0], towards: [0, 0, 1], away: 4, onCamera: true });
  let names = 0;
  const effects = takenOver(pick(CHAINS).effects, first.layers, () => `effect-${names++}`);
  return mendValues(bare(layers, { ...flight, route: flown.flight.route }, { lights, effects }));
}
