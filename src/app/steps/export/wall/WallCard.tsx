import { Grip } from 'lucide-react';
import { diodesOf, meltsFrom, type Wall } from '../../../../core/deliveries/wall';
import { newDelivery, startOf } from '../../../../core/deliveries/starts';
import { Button } from '../../../parts/Button';
import { Card } from '../../../parts/Card';
import { NumberField, type NumberSpec } from '../../../parts/NumberField';
import { PlainRow } from '../../../parts/PlainRow';
import rows from '../../../parts/Row.module.css';
import { bench, useBench, usePiece } from '../../../state/bench';
import { newId } from '../../../state/edit';
import { lookAt, setWall, useWall } from './wall';

const OPEN = 'simulated wall';

const ROWS: readonly [keyof Wall, NumberSpec & { hint: string }][] = [
  [
    'pitchMm',
    { label: 'Pitch', unit: 'mm', min: 0.5, max: 100, comfort: 10, decimals: 2, hint: 'From one diode to the next.' },
  ],
  ['widthM', { label: 'Width', unit: 'm', min: 0.1, max: 200, comfort: 20, decimals: 2, hint: 'Of the whole wall.' }],
  [
    'lit',
    {
      ...{ label: 'Lit', unit: 'of the pitch', min: 0.1, max: 1, decimals: 2 },
      hint: 'Side of what shines; the rest is a dark gap.',
    },
  ],
  [
    'brightness',
    {
      ...{ label: 'Brightness', unit: '%', min: 0.01, max: 1, decimals: 0, display: 100 },
      hint: 'How far the wall is turned up. Turned down it keeps its steps, so that dark gradients have fewer.',
    },
  ],
  [
    'greyBits',
    {
      ...{ label: 'Grey steps', unit: 'bits', min: 8, max: 18, decimals: 0 },
      hint: 'Steps of light that a diode has, at full brightness.',
    },
  ],
];

/** A wall that stands in for a real one: how it will show the picture. */
export function WallCard() {
  const piece = usePiece();
  const open = useBench((state) => state.open === OPEN);
  const { shown, wall, part } = useWall();
  const { frame } = piece;
  const diodes = diodesOf(wall, frame.width / frame.height);
  const seen = part.wide * wall.widthM;
  // films have even sides
  const [across, down] = [diodes.width, diodes.height].map((n) => Math.min(8192, Math.max(16, 2 * Math.round(n / 2))));
  const fits = (): void => {
    const delivery = { ...newDelivery(piece, startOf('film'), newId('delivery')), width: across, height: down };
    bench.set(['deliveries'], [...piece.deliveries, delivery]);
    bench.patch({ open: delivery.id });
  };
  return (
    <Card
      title="Simulated wall"
      summary={`${diodes.width} × ${diodes.height}, dots up to ${meltsFrom(wall).toFixed(0)} m away`}
      drawing={<Grip size={22} />}
      open={open}
      onToggle={() => bench.patch({ open: open ? null : OPEN })}
      actions={
        <Button
          pressed={shown}
          onPress={() => {
            useWall.setState({ shown: !shown });
            bench.patch({ playing: false });
          }}
        >
          {shown ? 'Shown' : 'Show'}
        </Button>
      }
    >
      <section className={rows.group}>
        {ROWS.map(([name, { hint, ...spec }]) => (
          <PlainRow key={name} label={spec.label} hint={hint}>
            <NumberField
              spec={spec}
              value={wall[name]}
              whole={name === 'greyBits'}
              onChange={(value) => {
                setWall({ [name]: value });
                if (name === 'widthM') lookAt(part.wide * value);
              }}
            />
          </PlainRow>
        ))}
        <PlainRow label="Seen" hint="Metres of the wall that fill the picture; click in it to go there.">
          <NumberField
            spec={{ label: 'Seen', unit: 'm', min: 0.05, max: wall.widthM, comfort: wall.widthM, decimals: 2 }}
            value={Number(seen.toFixed(3))}
            onChange={(metres) => lookAt(metres)}
          />
        </PlainRow>
        <PlainRow label="" hint="A delivery of video with one pixel for each diode, or one more for an even side.">
          <Button onPress={fits}>
            Add {across} × {down}
          </Button>
        </PlainRow>
      </section>
    </Card>
  );
}
