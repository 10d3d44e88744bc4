import { Trash2, Zap } from 'lucide-react';
import { cutOf, deliveryFrames, type Delivery, DELIVERY } from '../../../core/deliveries/form';
import type { FormatInfo } from '../../../core/deliveries/format';
import { formatOf, isDrawn } from '../../../core/deliveries/formats';
import { newDelivery, startOf, STARTS } from '../../../core/deliveries/starts';
import type { Piece } from '../../../core/piece/schema';
import { lapSeconds } from '../../../core/time/lap';
import { AddMenu } from '../../parts/AddMenu';
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
import { Outputs } from './Outputs';
import { WallCard } from './wall/WallCard';
import styles from './Export.module.css';

export { QueueBand as ExportBand } from './QueueBand';

const SHARES = { '1': 'full size', '0.5': 'half', '0.3333': 'a third', '0.25': 'a quarter' };

const even = (n: number): number => Math.max(16, 2 * Math.round(n / 2));
const begun = (piece: Piece, kind: string): Delivery => newDelivery(piece, startOf(kind), newId('delivery'));

/** A proof to look at and a full-size video: what a piece is first asked for. */
export const firstDeliveries = (piece: Piece): Delivery[] => [begun(piece, 'proof'), begun(piece, 'film')];

/** Adds a delivery and opens its card. */
function add(piece: Piece, kind: string): void {
  const delivery = begun(piece, kind);
  bench.set(['deliveries'], [...piece.deliveries, delivery]);
  bench.patch({ open: delivery.id });
}

/** Renders the piece as it is now, small, at one press; nothing is added to it. */
const proof = (piece: Piece): void => render(piece, begun(piece, 'proof'));

/** One card per delivery. */
export function ExportCards() {
  const piece = usePiece();
  const { deliveries } = piece;
  const reduced = piece.layers.some((layer) => layer.working < 1);
  return (
    <>
      <CardsHead title="Deliveries">
        <Button onPress={() => proof(piece)}>
          <Zap size={14} /> Proof
        </Button>
        <AddMenu
          words="Add"
          label="Add a delivery"
          kinds={STARTS}
          groupOf={(kind) => startOf(kind).group}
          onAdd={(kind) => add(piece, kind)}
        />
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
      <WallCard />
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
  const format = formatOf(delivery.format);
  const size = format.holds === 'sheet' ? delivery : cutOf(delivery);
  const drawn = isDrawn(format);
  const passes = `${delivery.samples} ${delivery.samples === '1' ? 'pass' : 'passes'}`;
  return (
    <Card
      title={drawn ? `${format.short}, ${size.width} × ${size.height}` : format.short}
      summary={`${whole ? 'whole lap' : `${count} frames`}, ${lapSeconds(count, piece.lap.rate).toFixed(2)} s${drawn ? ` · ${passes}` : ''}`}
      drawing={<FrameDrawing width={size.width} height={size.height} holds={format.holds} />}
      open={open}
      onToggle={() => bench.patch({ open: open ? null : delivery.id })}
      actions={
        <Button kind="accent" onPress={() => render(piece, delivery)}>
          Render
        </Button>
      }
    >
      {drawn ? (
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
      ) : null}
      <Inspector form={DELIVERY} path={path} />
      {drawn && format.holds !== 'sheet' ? <Outputs delivery={delivery} /> : null}
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

function FrameDrawing({ width, height, holds }: { width: number; height: number; holds: FormatInfo['holds'] }) {
  const scale = Math.min(34 / width, 24 / height);
  const [w, h] = [width * scale, height * scale];
  const [left, top] = [22 - w / 2, 16 - h / 2];
  const thirds = [1 / 3, 2 / 3];
  return (
    <svg viewBox="0 0 44 32" width="44" height="32" fill="var(--raised)" stroke="currentColor" strokeWidth="1.3">
      {(holds === 'pictures' ? [4, 2, 0] : [0]).map((off) => (
        <rect key={off} x={left + off} y={top - off} width={w} height={h} rx="2" />
      ))}
      {holds === 'film' ? <path d="M19.500 12.500v7l6-3.500Z" fill="var(--time)" stroke="none" /> : null}
      {holds === 'track' ? <path d="M14 20c4-9 8 3 16-8" fill="none" stroke="var(--time)" /> : null}
      {holds === 'sheet'
        ? thirds.map((at) => (
            <path key={at} d={`M${left + w * at} ${top}v${h}M${left} ${top + h * at}h${w}`} strokeWidth="0.8" />
          ))
        : null}
    </svg>
  );
}
