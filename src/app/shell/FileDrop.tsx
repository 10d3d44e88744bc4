import { useRef, useState, type DragEvent, type ReactNode } from 'react';
import { openFiles } from './files';
import styles from './FileDrop.module.css';

const hasFiles = (event: DragEvent): boolean => event.dataTransfer.types.includes('Files');

/** Takes files dropped anywhere. */
export function FileDrop({ children }: { children: ReactNode }) {
  const [over, setOver] = useState(false);
  const depth = useRef(0);
  const leave = (): void => {
    depth.current = Math.max(0, depth.current - 1);
    if (depth.current === 0) setOver(false);
  };
  return (
    <div
      className={styles.all}
      onDragEnter={(event) => {
        if (!hasFiles(event)) return;
        depth.current++;
        setOver(true);
      }}
      onDragLeave={leave}
      onDragOver={(event) => hasFiles(event) && event.preventDefault()}
      onDrop={(event) => {
        if (!hasFiles(event)) return;
        depth.current = 0;
        setOver(false);
        // a field that takes files has taken it
        if (event.isDefaultPrevented()) return;
        event.preventDefault();
        void openFiles([...event.dataTransfer.files]);
      }}
    >
      {children}
      {over ? (
        <div className={styles.over}>
          Drop a piece to open it; a model, a font, a drawing, a picture or a clip to use it
        </div>
      ) : null}
    </div>
  );
}
