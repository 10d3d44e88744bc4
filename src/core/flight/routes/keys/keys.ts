import { animated, form, tag, type ValueOf } from '../../../forms';
import type { Vec3 } from '../../../space/vector';
import { evaluateAnimated, keyedAt, type Animated } from '../../../time/animated';
import { worldAt } from '../../target';
import { STAYS, type RouteDefinition } from '../definition';
import { lengthOf, placeOn } from '../moving';
import { nearestTurn, viewOf } from '../view';

const metres = { unit: 'm', min: -10_000, max: 10_000, comfort: 10 };

const KeysForm = form({
  kind: tag('keys'),
  aside: animated(0, { label: 'Aside', ...metres, hint: 'Metres to the right of the world’s axis.' }),
  above: animated(0, { label: 'Above', ...metres, hint: 'Metres above the world’s axis.' }),
  ahead: animated(0, {
    label: 'Ahead',
    ...metres,
    hint: 'Metres from the start of the tile; wound, it travels on by whole tiles.',
  }),
});
export type KeysRoute = ValueOf<typeof KeysForm>;

/** Metres. */
const ROUNDED = 1e-9;

export const keys: RouteDefinition<KeysRoute> = {
  kind: 'keys',
  label: 'Free keys',
  describe: 'Positions set at chosen moments, with a smooth way between them across the seam.',
  form: KeysForm,
  timed: true,
  begin({ pose }) {
    const { aside, above, ahead } = viewOf(pose);
    return { aside, above, ahead };
  },
  travel({ ahead }) {
    const advance = evaluateAnimated(ahead, 1) - evaluateAnimated(ahead, 0);
    // a swing comes back within what is rounded, which is no travel
    return { ...STAYS, advance: Math.abs(advance) < ROUNDED ? 0 : advance };
  },
  track(route) {
    const at = (phase: number): Vec3 =>
      worldAt(
        evaluateAnimated(route.aside, phase),
        evaluateAnimated(route.above, phase),
        evaluateAnimated(route.ahead, phase),
      );
    return { length: lengthOf(at), at: (phase) => ({ ...placeOn(at, phase), own: null }) };
  },
  summary(route) {
    const frames = new Set(
      [route.aside, route.above, route.ahead].flatMap((value) =>
        typeof value === 'object' && value.law === 'keyed' ? value.keys.map(({ at }) => at.toFixed(4)) : [],
      ),
    );
    return frames.size > 0
      ? `free · keys at ${frames.size} ${frames.size === 1 ? 'frame' : 'frames'}`
      : 'free · stands';
  },
  keyed: ['aside', 'above', 'ahead'],
  keeping: {
    label: (frame) => `Key at ${frame}`,
    keep(route, { view, phase, frames, id, turn }) {
      // without a direction of its own there was nothing to go on from
      const before = turn && { ...route, ...turn };
      const set = (value: Animated | undefined, v: number): Animated => keyedAt(value ?? 0, phase, v, id, frames);
      // turned the shorter way from where the camera was
      const turned = (value: Animated | undefined, v: number, unit: number): Animated =>
        set(value, value === undefined ? v : nearestTurn(v / unit, evaluateAnimated(value, phase) / unit) * unit);
      return {
        route: {
          kind: 'keys',
          aside: set(before?.aside, view.aside),
          above: set(before?.above, view.above),
          ahead: set(before?.ahead, view.ahead),
        },
        turn: {
          yaw: turned(before?.yaw, view.yaw, 1),
          pitch: set(before?.pitch, view.pitch),
          roll: turned(before?.roll, view.roll / 360, 1 / 360),
        },
      };
    },
  },
  facing: (_, { yaw, pitch, roll }) => ({ aim: 'own', yaw, pitch, roll: roll / 360 }),
  closingSteps: (_, { tile }) => ({ ahead: tile }),
};
