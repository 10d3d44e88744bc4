import { movingPlaces } from '../../../../core/seam/values';
import { flightOf } from '../../../../core/world/camera';
import { useMemo, useState, type ReactNode } from 'react';
import { getAt } from '../../../../core/piece/paths';
import type { Piece } from '../../../../core/piece/schema';
import type { Animated } from '../../../../core/time/animated';
import { isMoving } from '../../../../core/time/mixed';
import { easeKeys } from '../../../../core/time/keys';
import { BandHead } from '../../../parts/BandHead';
import { Button } from '../../../parts/Button';
import { ChoiceField } from '../../../parts/ChoiceField';
import { EASE_WORDS, easeCalled } from '../../../parts/eases';
import { bench, useBench, usePiece } from '../../../state/bench';
import { ColourStrip, isColour } from './ColourStrip';
import { CurveEditor } from './CurveEditor';
import styles from './Lap.module.css';

const isAnimated = (value: unknown): value is Animated =>
  typeof value === 'number' || (typeof value === 'object' && value !== null && 'law' in value);

const isKeyed = (value: unknown): boolean => isMoving(value) && value.law === 'keyed';

const NONE: ReadonlySet<string> = new Set();

/** How far the camera has come, as the speed makes it. */
function distanceOf(piece: Piece): { words(phase: number): string; at(phase: number): number } {
  const { share, track } = flightOf(piece);
  return { at: share, words: (phase) => `${(share(phase) * track.length).toFixed(2)} m` };
}

/** The values that move, unrolled over 1¼ laps; keys and their curves are drawn by hand. */
export function LapBand({ title }: { title: ReactNode }) {
  const piece = usePiece();
  const selected = useBench((state) => state.selected);
  const [onBeats, setOnBeats] = useState(false);
  const moving = useMemo(() => movingPlaces(piece), [piece]);
  const key = selected?.join('.') ?? '';
  const [choice, setChoice] = useState<{ of: string; ids: ReadonlySet<string> }>({ of: '', ids: NONE });
  const value = selected ? getAt(piece, selected) : undefined;
  const colour = isColour(value) ? value : undefined;
  const shown = colour === undefined && isAnimated(value) ? value : undefined;
  const keys = typeof shown === 'object' && shown.law === 'keyed' ? shown.keys : [];
  const chosen = choice.of === key ? choice.ids : NONE;
  const choices = Object.fromEntries(moving.map((place) => [place.path.join('.'), place.subject]));
  const { tempo } = piece.lap;
  const ease = (name: string): void => {
    if (name === '' || !selected) return;
    // with none chosen, all are meant
    const ids = chosen.size > 0 ? chosen : new Set(keys.map(({ id }) => id));
    bench.set([...selected, 'keys'], easeKeys(keys, ids, easeCalled(name)));
  };
  return (
    <>
      <BandHead title={title}>
        <span className={styles.tools}>
          {keys.length > 0 || isKeyed(colour) ? (
            <>
              {tempo ? (
                <Button kind="bare" pressed={onBeats} onPress={() => setOnBeats(!onBeats)}>
                  Snap to beats
                </Button>
              ) : null}
              {keys.length > 0 ? (
                <span className={styles.ease}>
                  <ChoiceField
                    label={chosen.size > 0 ? `Ease ${chosen.size} chosen keys` : 'Ease all keys'}
                    value=""
                    choices={{
                      '': chosen.size > 0 ? `Ease ${chosen.size} of ${keys.length}…` : 'Ease all…',
                      ...EASE_WORDS,
                    }}
                    onChange={ease}
                  />
                </span>
              ) : null}
            </>
          ) : null}
          {moving.length > 0 ? (
            <span className={styles.choice}>
              <ChoiceField
                label="Value shown"
                value={choices[key] ? key : ''}
                choices={
                  choices[key]
                    ? choices
                    : {
                        '': shown === undefined && colour === undefined ? 'choose a value' : 'a fixed value',
                        ...choices,
                      }
                }
                onChange={(path) => {
                  const place = moving.find((candidate) => candidate.path.join('.') === path);
                  if (place) bench.patch({ selected: place.path });
                }}
              />
            </span>
          ) : null}
        </span>
      </BandHead>
      {colour !== undefined && selected ? (
        <ColourStrip
          value={colour}
          path={selected}
          frames={piece.lap.frames}
          beats={onBeats && tempo ? tempo.beats : null}
        />
      ) : shown === undefined || selected === null ? (
        <p className={styles.empty}>Select a value to see it over the lap. The mark before its name makes it move.</p>
      ) : (
        <CurveEditor
          value={shown}
          path={selected}
          frames={piece.lap.frames}
          beats={onBeats && tempo ? tempo.beats : null}
          chosen={chosen}
          follows={key === 'flight.speed' ? distanceOf(piece) : undefined}
          onChoose={(ids) => setChoice({ of: key, ids })}
        />
      )}
    </>
  );
}
