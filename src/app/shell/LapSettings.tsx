import { Button, Dialog, DialogTrigger, Popover } from 'react-aria-components';
import { framesFromBeats, lapSeconds, rateHz, type Rate } from '../../core/time/lap';
import { framed, shapeOf, SHAPES } from '../../core/piece/shapes';
import { retimed } from '../../core/piece/retime';
import type { Piece } from '../../core/piece/schema';
import { ChoiceField } from '../parts/ChoiceField';
import { NumberField } from '../parts/NumberField';
import { PlainRow } from '../parts/PlainRow';
import { SwitchField } from '../parts/SwitchField';
import { bench, usePiece } from '../state/bench';
import { lapWords } from './Loops';
import menu from '../parts/Menu.module.css';
import styles from './TopStrip.module.css';

const RATES: Record<string, { words: string; rate: Rate }> = {
  '24000/1001': { words: '23.976', rate: { num: 24000, den: 1001 } },
  '24/1': { words: '24', rate: { num: 24, den: 1 } },
  '25/1': { words: '25', rate: { num: 25, den: 1 } },
  '30000/1001': { words: '29.97', rate: { num: 30000, den: 1001 } },
  '30/1': { words: '30', rate: { num: 30, den: 1 } },
  '50/1': { words: '50', rate: { num: 50, den: 1 } },
  '60000/1001': { words: '59.94', rate: { num: 60000, den: 1001 } },
  '60/1': { words: '60', rate: { num: 60, den: 1 } },
};
/** A shape that is none of them. */
const OWN = 'own';

type Lap = Piece['lap'];
const withTempo = (lap: Lap): Lap =>
  lap.tempo ? { ...lap, frames: framesFromBeats(lap.tempo.beats, lap.tempo.bpm, lap.rate).frames } : lap;

/** Length, rate, tempo and frame of the piece. */
export function LapSettings() {
  const piece = usePiece();
  const { lap, frame, tile } = piece;
  const setLap = (change: Partial<Lap>): void => bench.update((now) => retimed(now, withTempo({ ...lap, ...change })));
  const rateKey = `${lap.rate.num}/${lap.rate.den}`;
  const shape = shapeOf(piece) ?? OWN;
  const drift = lap.tempo ? framesFromBeats(lap.tempo.beats, lap.tempo.bpm, lap.rate).driftPerHour : 0;
  return (
    <DialogTrigger>
      <Button className={styles.lap} aria-label={`Lap and frame: ${lapWords(piece)}`}>
        {lapWords(piece)}
      </Button>
      <Popover className={menu.popover} placement="bottom start">
        <Dialog aria-label="Lap and frame" className={styles.settings}>
          <PlainRow label="By beats" hint="Give the lap as beats at a tempo instead of frames.">
            <SwitchField
              label="Lap by beats"
              value={lap.tempo !== null}
              onChange={(on) =>
                setLap({
                  tempo: on
                    ? { beats: Math.max(1, Math.round((lapSeconds(lap.frames, lap.rate) * 120) / 60)), bpm: 120 }
                    : null,
                })
              }
            />
          </PlainRow>
          {lap.tempo ? (
            <>
              <PlainRow label="Beats" hint="Beats in the lap.">
                <NumberField
                  spec={{ label: 'Beats', min: 1, max: 10_000, comfort: 64 }}
                  whole
                  value={lap.tempo.beats}
                  onChange={(beats) => setLap({ tempo: { beats, bpm: lap.tempo?.bpm ?? 120 } })}
                />
              </PlainRow>
              <PlainRow label="Tempo" hint="Beats per minute.">
                <NumberField
                  spec={{ label: 'Tempo', unit: 'bpm', min: 10, max: 400, decimals: 2 }}
                  value={lap.tempo.bpm}
                  onChange={(bpm) => setLap({ tempo: { bpm, beats: lap.tempo?.beats ?? 16 } })}
                />
              </PlainRow>
            </>
          ) : (
            <PlainRow label="Frames" hint="Frames in the lap; the last leads to the first.">
              <NumberField
                spec={{ label: 'Frames', unit: 'f', min: 2, max: 100_000, comfort: 600 }}
                whole
                value={lap.frames}
                onChange={(frames) => setLap({ frames })}
              />
            </PlainRow>
          )}
          <PlainRow label="Rate" hint="Frames per second, exact.">
            <ChoiceField
              label="Frame rate"
              value={rateKey}
              choices={{
                ...(RATES[rateKey] ? {} : { [rateKey]: rateHz(lap.rate).toFixed(3) }),
                ...Object.fromEntries(Object.entries(RATES).map(([key, { words }]) => [key, `${words} fps`])),
              }}
              onChange={(key) => RATES[key] && setLap({ rate: RATES[key].rate })}
            />
          </PlainRow>
          <PlainRow label="Frame" hint="Shape of the picture; a dome's is a circle, seen by a fisheye: Fly, Lens.">
            <ChoiceField
              label="Frame"
              value={shape}
              choices={{
                ...(shape === OWN ? { [OWN]: `${frame.width} × ${frame.height}` } : {}),
                ...Object.fromEntries(Object.entries(SHAPES).map(([key, { words }]) => [key, words])),
              }}
              onChange={(key) => key !== OWN && bench.update((now) => framed(now, key))}
            />
          </PlainRow>
          {(['width', 'height'] as const).map((side) => (
            <PlainRow
              key={side}
              label={side === 'width' ? 'Wide' : 'High'}
              hint="Pixels of the picture; any wall's own."
            >
              <NumberField
                spec={{ label: side === 'width' ? 'Wide' : 'High', unit: 'px', min: 16, max: 8192, comfort: 3840 }}
                value={frame[side]}
                initial={side === 'width' ? 1920 : 1080}
                whole
                onChange={(v) => bench.set(['frame'], { ...frame, [side]: v })}
              />
            </PlainRow>
          ))}
          <PlainRow label="Tile" hint="Metres after which the world repeats along the travel.">
            <NumberField
              spec={{ label: 'Tile', unit: 'm', min: 0.1, max: 10_000, comfort: 30 }}
              value={tile}
              initial={8}
              onChange={(v) => bench.set(['tile'], v)}
            />
          </PlainRow>
          <p>
            {lap.tempo
              ? `${lap.frames} whole frames; against the tempo the clip drifts ${Math.abs(drift) < 0.005 ? 'not at all' : `${drift.toFixed(2)} s an hour`}.`
              : `${lapSeconds(lap.frames, lap.rate).toFixed(3)} s a lap.`}
          </p>
        </Dialog>
      </Popover>
    </DialogTrigger>
  );
}
