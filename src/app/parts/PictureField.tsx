import { Trouble } from '../../core/trouble';
import { useEffect, useRef, useState, type DragEvent } from 'react';
import { crystalPicture } from '../../core/pictures/crystal';
import { pictureFrom, pixmapOf, pixmapUrl, type Picture } from '../../core/pictures/pixmap';
import { Button } from './Button';
import { FileInput } from './FileInput';
import styles from './PictureField.module.css';

interface Props {
  label: string;
  /** the address of a pixmap; empty for our own */
  value: string;
  /** pixels a side that a chosen picture is kept at */
  side: number;
  onChange(value: string): void;
}

/** A picture file, whole and in proportion on a clear square. Throws when the browser cannot read it. */
async function readPicture(file: File, side: number): Promise<Picture> {
  const bitmap = await createImageBitmap(file);
  const scale = side / Math.max(bitmap.width, bitmap.height);
  const [width, height] = [bitmap.width * scale, bitmap.height * scale];
  const canvas = document.createElement('canvas');
  canvas.width = canvas.height = side;
  const c = canvas.getContext('2d');
  if (!c) throw new Trouble('impossible', 'this browser gives no canvas');
  c.imageSmoothingQuality = 'high';
  c.drawImage(bitmap, (side - width) / 2, (side - height) / 2, width, height);
  bitmap.close();
  return pictureFrom(c.getImageData(0, 0, side, side).data, side, side);
}

/** A small picture: shown as it is; another is chosen from a file or dropped here. */
export function PictureField({ label, value, side, onChange }: Props) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const input = useRef<HTMLInputElement>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  useEffect(() => {
    const picture = pixmapOf(value) ?? crystalPicture();
    const c = canvas.current?.getContext('2d');
    if (!c || !canvas.current) return;
    canvas.current.width = picture.width;
    canvas.current.height = picture.height;
    const data = c.createImageData(picture.width, picture.height);
    data.data.fill(255);
    for (let i = 0; i < picture.width * picture.height; i++)
      data.data.set(picture.rgb.subarray(i * 3, i * 3 + 3), i * 4);
    c.putImageData(data, 0, 0);
  }, [value]);
  const take = (file: File | undefined): void => {
    if (!file) return;
    readPicture(file, side).then(
      (picture) => {
        setTrouble(null);
        onChange(pixmapUrl(picture));
      },
      () => setTrouble(`“${file.name}” is not a picture this browser reads. Choose a PNG, JPEG or WebP.`),
    );
  };
  return (
    <div
      className={styles.field}
      onDragOver={(event: DragEvent) => event.preventDefault()}
      onDrop={(event: DragEvent) => {
        event.preventDefault();
        take(event.dataTransfer.files[0]);
      }}
    >
      <canvas
        ref={canvas}
        className={styles.picture}
        role="img"
        aria-label={value === '' ? `${label}: a crystal` : `${label}: your own`}
      />
      <span className={styles.choices}>
        <Button onPress={() => input.current?.click()}>Choose a file</Button>
        {value === '' ? null : (
          <Button kind="bare" onPress={() => onChange('')}>
            Use the crystal
          </Button>
        )}
      </span>
      <FileInput ref={input} label={`${label} file`} accept="image/*" onChoose={([file]) => take(file)} />
      {trouble ? (
        <p role="alert" className={styles.trouble}>
          {trouble}
        </p>
      ) : null}
    </div>
  );
}
