import type { RefObject } from 'react';

interface FileInputProps {
  /** What a button clicks to open it. */
  readonly ref: RefObject<HTMLInputElement | null>;
  readonly label: string;
  /** Kinds of files, as the browser lists them. */
  readonly accept: string;
  readonly id?: string;
  onFile(file: File): void;
}

/** Where a file comes in, out of sight behind a button; the same file may be chosen again. */
export function FileInput({ ref, label, accept, id, onFile }: FileInputProps) {
  return (
    <input
      ref={ref}
      id={id}
      type="file"
      accept={accept}
      aria-label={label}
      className="sr-only"
      tabIndex={-1}
      onChange={(event) => {
        const file = event.target.files?.[0];
        event.target.value = '';
        if (file) onFile(file);
      }}
    />
  );
}
