import { ChevronDown } from 'lucide-react';
import { useRef, useState, type DragEvent } from 'react';
import { Button, MenuTrigger, Popover } from 'react-aria-components';
import { serves, type FileKind, type FileRef } from '../../core/kept';
import { bench } from '../state/bench';
import { bringIn, keepingTrouble } from '../state/files';
import { ACCEPTS } from './accepts';
import { FILE_WORDS, FileChoices, useFiles } from './FileChoices';
import { FileLook } from './FileLook';
import menu from './Menu.module.css';
import { FileInput } from './FileInput';
import styles from './FileField.module.css';

interface Props {
  label: string;
  of: FileKind;
  value: FileRef | null;
  onChange(value: FileRef): void;
}

/** A kept file, shown by what it looks like: another is chosen from those there are, from a file, or dropped here. */
export function FileField({ label, of, value, onChange }: Props) {
  const input = useRef<HTMLInputElement>(null);
  const [failed, setFailed] = useState<{ at: FileRef | null; words: string } | null>(null);
  const [over, setOver] = useState(false);
  const there = useFiles(of);
  const byHash = new Map(there.map((file) => [file.hash, file]));
  // what was wrong with one is forgotten with the next
  const trouble = failed?.at === value ? failed.words : null;
  const setTrouble = (words: string): void => setFailed({ at: value, words });
  const choose = (ref: FileRef): void => {
    // what is being typed meanwhile is a step of its own
    bench.endGesture();
    onChange(ref);
  };
  const take = (file: File | undefined): void => {
    if (!file) return;
    bringIn(file).then(
      ({ ref, kind }) =>
        serves(kind, of) ? choose(ref) : setTrouble(`“${ref.name}” is kept, but it is not ${FILE_WORDS[of].one}.`),
      (error: unknown) => setTrouble(keepingTrouble(file.name, error)),
    );
  };
  return (
    <div
      className={`${styles.field} ${over ? styles.over : ''}`}
      onDragOver={(event: DragEvent) => {
        event.preventDefault();
        setOver(true);
      }}
      onDragLeave={() => setOver(false)}
      onDrop={(event: DragEvent) => {
        event.preventDefault();
        setOver(false);
        take(event.dataTransfer.files[0]);
      }}
    >
      <MenuTrigger>
        <Button className={styles.now} aria-label={`${label}: ${value?.name ?? FILE_WORDS[of].none}`}>
          <span>
            {value ? <FileLook file={value} kind={of} /> : null}
            <span className={styles.name}>{value?.name ?? FILE_WORDS[of].none}</span>
          </span>
          <ChevronDown size={14} aria-hidden />
        </Button>
        <Popover className={`${menu.popover} ${styles.list}`} placement="left top">
          <FileChoices
            of={of}
            files={there}
            label={label}
            onChoose={(hash) => {
              const file = byHash.get(hash);
              if (file) choose({ hash: file.hash, name: file.name });
              else input.current?.click();
            }}
          />
        </Popover>
      </MenuTrigger>
      <FileInput ref={input} label={`${label} file`} accept={ACCEPTS[of]} onChoose={([file]) => take(file)} />
      {trouble ? (
        <p role="alert" className={styles.trouble}>
          {trouble}
        </p>
      ) : null}
    </div>
  );
}
