import { Plus, Trash2 } from 'lucide-react';
import { deliveryFrames, type Delivery, DELIVERY } from '../../../core/deliveries/form';
import { formatOf } from '../../../core/deliveries/formats';
import type { Piece } from '../../../core/piece/schema';
import { lapSeconds } from '../../../core/time/lap';
import { Button } from '../../parts/Button';
import { Card } from '../../parts/Card';
import { CardsHead } from '../../parts/CardsHead';
import { ChoiceField } from '../../parts/ChoiceField';
import { Inspector } from '../../parts/Inspector';
import { PlainRow } from '../../parts/PlainRow';
import rows from '../../parts/Row.module.css';
import { bench, useBench, usePiece } from '../../state/bench';
import { newId } from '../../state/edit';
import { render } from './jobs';
import styles from './Export.module.css';

export { QueueBand as ExportBand } from './QueueBand';

const SHARES = { '1': 'full size', '0.5': 'half', '0.3333': 'a third', '0.25': 'a quarter' };

const even = (n: number): number => Math.max(16, 2 * Math.round(n / 2));
const closestSamples = (n: number): Delivery['samples'] =>
  (['256', '64', '16', '4'] as const).find((s) => Number(s) <= n) ?? '1';

/** A proof to look at and a full-size video: what a piece is first asked for. */
export function firstDeliveries(piece: Piece): Delivery[] {
  const { width, height } = piece.frame;
  const make = (share: number, samples: Delivery['samples'], rate: Delivery['rate']): Delivery =>
    DELIVERY.schema.parse({
      id: newId('delivery'),
      width: even(width * share),
      height: even(height * share),
      samples,
      rate,
    });
  return [make(1 / 3, '4', 'proof'), make(1, closestSamples(piece.samples), 'high')];
}

/** One card per delivery. */
export function ExportCards() {
  const piece = usePiece();
  const { deliveries } = piece;
  const reduced = piece.layers.some((layer) => layer.working < 1);
  return (
    <>
      <CardsHead title="Deliveries">
        <Button
          onPress={() =>
            bench.set(
              ['deliveries'],
              deliveries.length === 0 ? firstDeliveries(piece) : [...deliveries, firstDeliveries(piece)[1]],
            )
          }
        >
          <Plus size={14} /> Add
        </Button>
      </CardsHead>
      {deliveries.length === 0 ? (
        <div className={styles.empty}>
          <p>Nothing to deliver yet. Begin with a small proof and a full-size video.</p>
          <Button kind="accent" onPress={() => bench.set(['deliveries'], firstDeliveries(piece))}>
            Proof and full size
          </Button>
        </div>
      ) : null}
      {deliveries.map((delivery, index) => (
        <DeliveryCard key={delivery.id} piece={piece} delivery={delivery} index={index} />
      ))}
      {reduced ? (
        <div className={styles.note}>
          <p>Some layers are drawn reduced while working. Files always hold the final counts.</p>
          <Button
            onPress={() =>
              bench.update((now) => ({ ...now, layers: now.layers.map((layer) => ({ ...layer, working: 1 })) }))
            }
          >
            Draw all counts again
          </Button>
        </div>
      ) : null}
    </>
  );
}

function DeliveryCard({ piece, delivery, index }: { piece: Piece; delivery: Delivery; index: number }) {
  const open = useBench((state) => state.open === delivery.id);
  const { count, whole } = deliveryFrames(delivery, piece.lap.frames);
  const path = ['deliveries', index];
  const share = delivery.width / piece.frame.width;
  const known = Object.keys(SHARES).find((key) => Math.abs(Number(key) - share) < 0.002) ?? '';
  const passes = `${delivery.samples} ${delivery.samples === '1' ? 'pass' : 'passes'}`;
  return (
    <Card
      title={`${formatOf(delivery.format).short}, ${delivery.width} × ${delivery.height}`}
      summary={`${whole ? 'whole lap' : `${count} frames`}, ${lapSeconds(count, piece.lap.rate).toFixed(2)} s · ${passes}`}
      drawing={<FrameDrawing width={delivery.width} height={delivery.height} stack={delivery.format === 'png'} />}
      open={open}
      onToggle={() => bench.patch({ open: open ? null : delivery.id })}
      actions={
        <Button kind="accent" onPress={() => render(piece, delivery)}>
          Render
        </Button>
      }
    >
      <section className={rows.group}>
        <PlainRow label="Size" hint="Of the piece's own frame.">
          <ChoiceField
            label="Size against the frame"
            value={known}
            choices={known ? SHARES : { '': 'own size', ...SHARES }}
            onChange={(key) =>
              key !== '' &&
              bench.set(path, {
                ...delivery,
                width: even(piece.frame.width * Number(key)),
                height: even(piece.frame.height * Number(key)),
              })
            }
          />
        </PlainRow>
      </section>
      <Inspector form={DELIVERY} path={path} />
      <footer className={styles.foot}>
        <Button
          onPress={() =>
            bench.set(
              ['deliveries'],
              piece.deliveries.filter(({ id }) => id !== delivery.id),
            )
          }
        >
          <Trash2 size={14} /> Delete
        </Button>
      </footer>
    </Card>
  );
}

function FrameDrawing({ width, height, stack }: { width: number; height: number; stack: boolean }) {
  const scale = Math.min(34 / width, 24 / height);
  const [w, h] = [width * scale, height * scale];
  return (
    <svg viewBox="0 0 44 32" width="44" height="32" fill="var(--raised)" stroke="currentColor" strokeWidth="1.3">
      {(stack ? [4, 2, 0] : [0]).map((off) => (
        <rect key={off} x={22 - w / 2 + off} y={16 - h / 2 - off} width={w} height={h} rx="2" />
      ))}
      {stack ? null : <path d="M19.500 12.500v7l6-3.500Z" fill="var(--time)" stroke="none" />}
    </svg>
  );
}
