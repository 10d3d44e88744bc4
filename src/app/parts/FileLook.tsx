import { useEffect, useState } from 'react';
import type { FileKind, FileRef } from '../../core/kept';
import { FONTS } from '../../core/type/font';
import { isHere } from '../../core/type/here';
import { MARKS } from '../../core/type/mark';
import { takeIn } from '../../files/taken';
import styles from './FileField.module.css';
import { lineShapes, ShapesPicture } from './ShapesPicture';

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
  const mark = MARKS.at(file);
  return (
    <span className={`${styles.look} ${styles.mark}`}>
      {mark ? <ShapesPicture shapes={mark.paths.flat()} align="xMinYMid" /> : null}
    </span>
  );
}
