import { useLiveQuery } from 'dexie-react-hooks';
import { Menu, MenuItem } from 'react-aria-components';
import { serves, STOCK, type FileKind, type FileRef } from '../../core/kept';
import { keptFiles } from '../../files/shelf';
import styles from './FileField.module.css';
import { FileLook, useHere } from './FileLook';
import menu from './Menu.module.css';

export const FILE_WORDS: Readonly<Record<FileKind, { one: string; none: string }>> = {
  font: { one: 'a font', none: 'No font' },
  mark: { one: 'an SVG drawing', none: 'No drawing yet' },
  picture: { one: 'a picture', none: 'No picture yet' },
  panorama: { one: 'a panorama', none: 'No panorama yet' },
  clip: { one: 'a clip', none: 'No clip yet' },
  table: { one: 'a table of colours', none: 'No table yet' },
  model: { one: 'a model', none: 'No model yet' },
  motion: { one: 'a motion', none: 'No motion yet' },
  sound: { one: 'a sound', none: 'No sound' },
};

/** Files that can be used as one of a kind: those that ship, then those that are kept. */
export function useFiles(of: FileKind): FileRef[] {
  const kept = useLiveQuery(keptFiles) ?? [];
  return [...STOCK, ...kept].filter(({ kind }) => serves(kind, of));
}

/** A menu of files by what they look like, and of choosing another. */
export function FileChoices({
  of,
  files,
  label,
  onChoose,
}: {
  of: FileKind;
  files: readonly FileRef[];
  label: string;
  onChoose(hash: string): void;
}) {
  useHere(files, of);
  return (
    <Menu aria-label={label} className={menu.items} onAction={(key) => onChoose(String(key))}>
      {[
        ...files.map((file) => (
          <MenuItem key={file.hash} id={file.hash} textValue={file.name} className={`${menu.item} ${styles.item}`}>
            <FileLook file={file} kind={of} />
            <span>{file.name}</span>
          </MenuItem>
        )),
        <MenuItem key="choose" id="choose" className={menu.item}>
          <b>Choose a file…</b>
          <span>{`or drop ${FILE_WORDS[of].one} on the row`}</span>
        </MenuItem>,
      ]}
    </Menu>
  );
}
