import type { Ref } from 'react';

interface Props {
  ref: Ref<HTMLInputElement>;
  label: string;
  /** extensions and types, as the browser's chooser takes them */
  accept: string;
  many?: boolean;
  onChoose(files: readonly File[]): void;
}

/** What opens the browser's chooser of files when it is clicked from elsewhere; the same file may be chosen twice. */
export function FileInput({ ref, label, accept, many = false, onChoose }: Props) {
  return (
    <input
      ref={ref}
      type="file"
      multiple={many}
      accept={accept}
      hidden
      aria-label={label}
      onChange={(event) => {
        onChoose([...(event.target.files ?? [])]);
        event.target.value = '';
      }}
    />
  );
}
