import { useCallback, useEffect, useMemo, useState } from 'react';
import { linearToHex, type Rgb } from '../../core/colour/colour';
import { lookedUp, TABLES, type ColourTable } from '../../core/colour/table';
import { sortOf, type FileKind, type FileRef } from '../../core/kept';
import { FONTS } from '../../core/type/font';
import { PANORAMAS } from '../../core/panorama/facts';
import { lightAt, type Panorama } from '../../core/panorama/panorama';
import { SOUNDS, type SoundFacts } from '../../core/sound/facts';
import { isHere } from '../../core/piece/here';
import { MARKS } from '../../core/type/mark';
import { MODELS } from '../../core/solids/models/model';
import { fileBlob } from '../../files/shelf';
import { takeIn } from '../../files/taken';
import { Canvas } from './Canvas';
import styles from './FileField.module.css';
import { ModelLook } from './ModelLook';
import { MotionLook } from './MotionLook';
import { lineShapes, ShapesPicture } from './ShapesPicture';

/** Share of the look of a table that is of greys. */
const GREYS = 1 / 6;

/** Takes files in for the page, and shows again what names them when they are here. */
export function useHere(files: readonly FileRef[], kind: FileKind): void {
  const [, again] = useState(0);
  const key = files.map(({ hash }) => hash).join();
  useEffect(() => {
    let live = true;
    const missing = files.filter((ref) => !isHere(kind, ref)).map((ref) => ({ ref, kind }));
    if (missing.length > 0) void takeIn(missing).then((any) => any && live && again((n) => n + 1));
    return () => {
      live = false;
    };
    // the same hashes are the same files
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [key, kind]);
}

/** A file by what it looks like: a font's own name in its letters, a mark as it is. */
export function FileLook({ file, kind }: { file: FileRef; kind: FileKind }) {
  useHere([file], kind);
  if (kind === 'font') {
    const font = FONTS.at(file);
    return (
      <span className={styles.look}>
        {font ? <ShapesPicture shapes={lineShapes(font, font.name.slice(0, 24))} align="xMinYMid" /> : null}
      </span>
    );
  }
  if (kind === 'picture' || kind === 'clip') return <PixelLook file={file} clip={kind === 'clip'} />;
  if (kind === 'panorama') return <PanoramaLook panorama={PANORAMAS.at(file)} />;
  if (kind === 'table') return <TableLook table={TABLES.at(file)} />;
  if (kind === 'model') return <ModelLook model={MODELS.at(file)} />;
  if (kind === 'motion') return isHere(kind, file) ? <MotionLook file={file} /> : <span className={styles.look} />;
  if (kind === 'sound') return <span className={styles.look}>{soundWords(SOUNDS.at(file))}</span>;
  const mark = MARKS.at(file);
  return (
    <span className={`${styles.look} ${styles.mark}`}>
      {mark ? <ShapesPicture shapes={mark.paths.flat()} align="xMinYMid" /> : null}
    </span>
  );
}

/** A sound by how long it is. */
const soundWords = (sound: SoundFacts | null): string =>
  sound
    ? `${sound.seconds.toFixed(1)} s, ${sound.channels === 1 ? 'mono' : sound.channels === 2 ? 'stereo' : `${sound.channels} channels`}`
    : '';

/** A small picture of so many places, each of one colour. */
function Places({
  columns,
  rows,
  colourAt,
}: {
  columns: number;
  rows: number;
  /** of a place, shares of the width and from the top; null where there are none */
  colourAt: ((x: number, y: number) => string) | null;
}) {
  const draw = useCallback(
    (context: CanvasRenderingContext2D, width: number, height: number) => {
      if (!colourAt) return;
      for (let y = 0; y < rows; y++)
        for (let x = 0; x < columns; x++) {
          context.fillStyle = colourAt((x + 0.5) / columns, (y + 0.5) / rows);
          context.fillRect((x / columns) * width, (y / rows) * height, width / columns + 1, height / rows + 1);
        }
    },
    [columns, rows, colourAt],
  );
  return (
    <span className={styles.pixels}>
      <Canvas label={null} draw={draw} />
    </span>
  );
}

/** A panorama, its brightest parts brought within what a display shows. */
function PanoramaLook({ panorama }: { panorama: Panorama | null }) {
  const colourAt = useMemo(
    () =>
      panorama && ((x: number, y: number) => linearToHex(lightAt(panorama, x, y).map((v) => v / (1 + v / 3)) as Rgb)),
    [panorama],
  );
  return <Places columns={48} rows={24} colourAt={colourAt} />;
}

/** A colour by its hue, 0..1, how pure and how light it is: code values (W3C, CSS Color 4, §7.1). */
function byHue(hue: number, pure: number, light: number): Rgb {
  const reach = pure * Math.min(light, 1 - light);
  return [0, 8, 4].map((n) => {
    const k = (n + 12 * hue) % 12;
    return light - reach * Math.max(-1, Math.min(k - 3, 9 - k, 1));
  }) as Rgb;
}

/** A table of colours by what it makes of greys, on the left, and of all hues, from light to dark. */
function TableLook({ table }: { table: ColourTable | null }) {
  const colourAt = useMemo(
    () =>
      table &&
      ((x: number, y: number) => {
        const own = x < GREYS ? byHue(0, 0, 0.88 - 0.76 * y) : byHue((x - GREYS) / (1 - GREYS), 0.7, 0.88 - 0.76 * y);
        const [r, g, b] = lookedUp(table, own).map((v) => Math.round(255 * Math.min(1, Math.max(0, v))));
        return `rgb(${r} ${g} ${b})`;
      }),
    [table],
  );
  return <Places columns={24} rows={8} colourAt={colourAt} />;
}

/** What a file of pixels is: a picture, or a clip that plays under the pointer. */
function PixelLook({ file, clip }: { file: FileRef; clip: boolean }) {
  const url = useUrl(file);
  if (!url) return <span className={styles.pixels} />;
  return clip ? (
    <video
      className={styles.pixels}
      src={url}
      muted
      loop
      playsInline
      preload="metadata"
      onPointerEnter={({ currentTarget }) => void currentTarget.play().catch(() => undefined)}
      onPointerLeave={({ currentTarget }) => currentTarget.pause()}
    />
  ) : (
    <img className={styles.pixels} src={url} alt="" />
  );
}

/** Addresses of the files that were looked at, kept for as long as the page: a browser may read from one long after it is shown. */
const addresses = new Map<string, Promise<string | null>>();

async function addressOf(hash: string): Promise<string | null> {
  const blob = await fileBlob({ hash });
  if (!blob) {
    // it may be brought in yet
    addresses.delete(hash);
    return null;
  }
  // the browser shows a drawing only where it is said to be one
  const drawing = sortOf(new Uint8Array(await blob.slice(0, 4096).arrayBuffer())) === 'mark';
  return URL.createObjectURL(drawing ? new Blob([blob], { type: 'image/svg+xml' }) : blob);
}

/** The address of a kept file; null while it is not known, or there is none. */
function useUrl({ hash }: FileRef): string | null {
  const [url, setUrl] = useState<{ hash: string; address: string | null } | null>(null);
  useEffect(() => {
    let live = true;
    const known = addresses.get(hash) ?? addressOf(hash);
    addresses.set(hash, known);
    void known.then((address) => live && setUrl({ hash, address }));
    return () => {
      live = false;
    };
  }, [hash]);
  return url?.hash === hash ? url.address : null;
}
