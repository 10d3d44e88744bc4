import { animated, flag, form, tag, type ValueOf } from '../../../forms';
import { add, length, rotate, subtract, type Vec3 } from '../../../space/vector';
import { evaluateAnimated } from '../../../time/animated';
import { target } from '../../target';
import { OWN, STAYS, type RouteDefinition } from '../definition';
import { lengthOf, placeOn } from '../moving';

const metres = { unit: 'm', min: -10_000, max: 10_000, comfort: 5 };

const AttachedForm = form({
  kind: tag('attached'),
  to: target({ on: 'element' }, { label: 'Attached to', hint: 'What carries the camera.' }),
  turned: flag(true, {
    label: 'Turns with it',
    hint: 'The camera and its offset turn as what carries it does; otherwise they keep level.',
  }),
  right: animated(0, { label: 'Right of it', ...metres, hint: 'Metres to the right of what carries the camera.' }),
  over: animated(0.5, { label: 'Over it', ...metres, hint: 'Metres over what carries the camera.' }),
  behind: animated(1.5, { label: 'Behind it', ...metres, hint: 'Metres behind what carries the camera.' }),
});
export type AttachedRoute = ValueOf<typeof AttachedForm>;

/** A share of the tile within which places are the same: elements are placed in numbers of 32 bits. */
const SAME_PLACE = 1e-4;

export const attached: RouteDefinition<AttachedRoute> = {
  kind: 'attached',
  label: 'Attached',
  describe: 'Carried by an element or a layer, at an offset.',
  form: AttachedForm,
  timed: true,
  begin: ({ carrier }) => ({ to: { on: 'element', aside: 0, above: 0, ahead: 6, layer: carrier, element: 0 } }),
  travel({ to }, { sight, tile }) {
    const [was, will] = [sight(to, 0).position, sight(to, 1).position];
    const advance = tile * Math.round((was[2] - will[2]) / tile);
    // what carries it has gone ahead by whole tiles, and by nothing else: then so has the camera
    const goes = advance !== 0 && length(subtract(add(will, [0, 0, advance]), was)) < SAME_PLACE * tile;
    return goes ? { ...STAYS, advance } : STAYS;
  },
  track(route, { sight }) {
    const at = (phase: number): Vec3 => {
      const { position, rotation } = sight(route.to, phase);
      const offset: Vec3 = [
        evaluateAnimated(route.right, phase),
        evaluateAnimated(route.over, phase),
        evaluateAnimated(route.behind, phase),
      ];
      return add(position, route.turned ? rotate(rotation, offset) : offset);
    };
    return {
      length: lengthOf(at, 64),
      at: (phase) => ({ ...placeOn(at, phase), own: route.turned ? sight(route.to, phase).rotation : null }),
    };
  },
  summary(route, { nameOf }) {
    if (route.to.on === 'point') return 'attached to a point';
    const name = nameOf(route.to.layer, route.to.on === 'element' ? route.to.element : undefined);
    return name ? `attached to ${name}` : 'attached to nothing';
  },
  facing: () => OWN,
  closingSteps: () => ({}),
};
