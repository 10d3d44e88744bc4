import { useLiveQuery } from 'dexie-react-hooks';
import { useRef } from 'react';
import type { FileKind } from '../../core/kept';
import type { KeptFile } from '../../files/database';
import { keptFiles, removeFiles } from '../../files/shelf';
import { storeTrouble } from '../../store/room';
import { usesOf, type Use } from '../../store/uses';
import { Button } from '../parts/Button';
import { ANY_FILE } from '../parts/accepts';
import { FileInput } from '../parts/FileInput';
import { FileLook } from '../parts/FileLook';
import { Sheet } from '../parts/Sheet';
import { useBench } from '../state/bench';
import { bringIn, keepingTrouble } from '../state/files';
import { say } from '../state/notices';
import styles from './KeptFiles.module.css';

const KINDS: Readonly<Record<FileKind, string>> = {
  font: 'Font',
  mark: 'SVG drawing',
  picture: 'Picture',
  panorama: 'Panoramas',
  clip: 'Clip',
  table: 'Colour table',
  model: 'Model',
  motion: 'Motion',
  sound: 'Sound',
};

const size = (bytes: number): string =>
  bytes < 1e5
    ? `${(bytes / 1e3).toFixed(1)} kB`
    : bytes < 1e6
      ? `${Math.round(bytes / 1e3)} kB`
      : `${(bytes / 1e6).toFixed(1)} MB`;

/** Where a file is used, in words. */
function whereWords(uses: readonly Use[]): string {
  if (uses.length === 0) return 'not used';
  const [first] = uses;
  const where =
    first.only === 'removed' ? `${first.name} (removed)` : first.only === 'undo' ? `${first.name} (undo)` : first.name;
  return `in ${where}${uses.length > 1 ? ` and ${uses.length - 1} more` : ''}`;
}

interface Shelf {
  files: KeptFile[];
  uses: Map<string, Use[]>;
}

const shelf = async (): Promise<Shelf> => {
  const files = await keptFiles();
  return { files, uses: await usesOf(files.map(({ hash }) => hash)) };
};

async function remove(hashes: readonly string[]): Promise<void> {
  try {
    // what came to be used meanwhile stays
    const uses = await usesOf(hashes);
    const open = JSON.stringify(useBench.getState().history ?? '');
    await removeFiles(hashes.filter((hash) => uses.get(hash)?.length === 0 && !open.includes(hash)));
  } catch (error) {
    say(`Nothing was removed: ${storeTrouble(error)}.`);
  }
}

/** Every file that was brought in: what it is, where it is used; what nothing uses can go. */
export function KeptFiles({ open, onClose }: { open: boolean; onClose(): void }) {
  const input = useRef<HTMLInputElement>(null);
  const { files, uses } = useLiveQuery(shelf) ?? { files: [], uses: new Map<string, Use[]>() };
  const unused = files.filter(({ hash }) => uses.get(hash)?.length === 0);
  const total = files.reduce((sum, { bytes }) => sum + bytes, 0);
  const take = async (chosen: readonly File[]): Promise<void> => {
    for (const file of chosen) await bringIn(file).catch((error: unknown) => say(keepingTrouble(file.name, error)));
  };
  return (
    <Sheet
      title="Kept files"
      open={open}
      onClose={onClose}
      foot={
        <>
          <span>
            {files.length > 0 ? `${files.length} ${files.length === 1 ? 'file' : 'files'}, ${size(total)}` : ''}
          </span>
          <span>
            {unused.length > 1 ? (
              <Button kind="bare" onPress={() => void remove(unused.map(({ hash }) => hash))}>
                Remove what is not used
              </Button>
            ) : null}
            <Button onPress={() => input.current?.click()}>Bring in files</Button>
          </span>
        </>
      }
    >
      {files.length === 0 ? (
        <p className={styles.empty}>
          Nothing is kept yet. Drop a font, a drawing, a picture or a clip anywhere: it is kept here, once, for all
          loops.
        </p>
      ) : (
        <ul className={styles.files} aria-label="Kept files">
          {files.map((file) => (
            <li key={file.hash}>
              <span className={styles.look}>
                <FileLook file={file} kind={file.kind} />
              </span>
              <span>
                <span className={styles.name}>{file.name}</span>
                <br />
                <span className={styles.about}>
                  {KINDS[file.kind]} · {size(file.bytes)} · {whereWords(uses.get(file.hash) ?? [])}
                </span>
              </span>
              {uses.get(file.hash)?.length === 0 ? (
                <Button label={`Remove ${file.name}`} onPress={() => void remove([file.hash])}>
                  Remove
                </Button>
              ) : (
                <span />
              )}
            </li>
          ))}
        </ul>
      )}
      <FileInput ref={input} label="Files to keep" accept={ANY_FILE} many onChoose={(files) => void take(files)} />
    </Sheet>
  );
}
