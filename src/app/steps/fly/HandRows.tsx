import { Trouble } from '../../../core/trouble';
import { handFields, handOf } from '../../../core/flight/handFields';
import { FLIGHT, FLIGHT_HEADINGS } from '../../../core/flight/form';
import type { Control } from '../../../core/forms';
import { HAND_AXES, HANDS, type HandName } from '../../../core/flight/hand';
import { ChoiceField } from '../../parts/ChoiceField';
import { Inspector } from '../../parts/Inspector';
import { NumberField } from '../../parts/NumberField';
import { PlainRow } from '../../parts/PlainRow';
import rows from '../../parts/Row.module.css';
import { bench, usePiece } from '../../state/bench';
import type { Piece } from '../../../core/piece/schema';

const NAMES = ['Aside', 'Up', 'Along', 'Pitch', 'Yaw', 'Roll'] as const;
const SWINGS = NAMES.flatMap((name) => [`hand${name}`, `hand${name}Hz`] as const);

const metaOf = (name: string): Control => {
  const { control: meta } = FLIGHT.fields[name];
  if (!meta) throw new Trouble('impossible', `the flight has no field ${name}`);
  return meta;
};

/** Which of the trade's hands a flight has; null for one of its own. */
export function handNameOf(flight: Piece['flight']): HandName | null {
  const own = handOf(flight);
  const still = HAND_AXES.every((axis) => own[axis].amount === 0);
  if (still) return 'none';
  const same = (name: HandName): boolean =>
    HAND_AXES.every(
      (axis) => own[axis].amount === HANDS[name].swings[axis].amount && own[axis].hz === HANDS[name].swings[axis].hz,
    );
  return (Object.keys(HANDS) as HandName[]).find(same) ?? null;
}

/** How the camera is held: a preset to start from, then a largest swing and a rate for each of six ways to move. */
export function HandRows() {
  const { flight } = usePiece();
  const name = handNameOf(flight);
  return (
    <>
      <section className={rows.group}>
        <PlainRow
          label="Operator"
          hint="Figures of the trade to start from. All amounts are peaks: standing 3 cm near 1 Hz; walking and running up to 10 cm aside, 20 cm up and down, and 1° or more about all axes."
        >
          <ChoiceField
            label="Operator"
            value={name ?? 'own'}
            choices={{
              ...(name ? {} : { own: 'Own figures' }),
              ...Object.fromEntries(Object.entries(HANDS).map(([key, { label }]) => [key, label])),
            }}
            onChange={(key) =>
              key in HANDS &&
              bench.update((piece) => ({
                ...piece,
                flight: { ...piece.flight, ...handFields(HANDS[key as HandName].swings) },
              }))
            }
          />
        </PlainRow>
        <p className={rows.title}>Largest swing (a peak), and how often</p>
        {NAMES.map((axis) => {
          const [amount, rate] = [metaOf(`hand${axis}`), metaOf(`hand${axis}Hz`)];
          return (
            <PlainRow key={axis} label={amount.label} hint={amount.hint} row={`flight.hand${axis}`}>
              <span className={rows.pair}>
                <NumberField
                  spec={amount}
                  value={flight[`hand${axis}`]}
                  initial={0}
                  onChange={(v) => bench.set(['flight', `hand${axis}`], v)}
                />
                <NumberField
                  spec={rate}
                  value={flight[`hand${axis}Hz`]}
                  initial={1}
                  onChange={(v) => bench.set(['flight', `hand${axis}Hz`], v)}
                />
              </span>
            </PlainRow>
          );
        })}
      </section>
      {name === 'none' ? null : (
        <Inspector form={FLIGHT} path={['flight']} groups={[FLIGHT_HEADINGS.hand]} without={SWINGS} />
      )}
    </>
  );
}
