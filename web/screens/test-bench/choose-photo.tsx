import { Camera, Printer } from 'lucide-react';
import { useRef, type ReactNode } from 'react';
import type { Issue } from '../../../core/impossible';
import { Button } from '../../controls/button';
import { FileInput } from '../../controls/file-input';
import { useLengths } from '../../ground/lengths-context';
import { issueInWords } from '../../words/refusals';

interface ChoosePhotoProps {
  /** How the scrap is laid into the window. */
  readonly lay: string;
  /** Why the last one could not be measured. */
  readonly issues: readonly Issue[];
  /** The card is in hand already: none is offered to print. */
  readonly hasCard?: boolean;
  /** What is asked before. */
  readonly children?: ReactNode;
  onFile(file: File): void;
}

const pages = [
  ['a4', 'A4'],
  ['letter', 'Letter'],
] as const;

/** The card as a file to print, for either paper. */
const PrintCard = () => (
  <span className="inline-flex min-h-11 flex-wrap items-center gap-x-3 px-2">
    <Printer size={18} aria-hidden />
    Print the card at 100 %:
    {pages.map(([page, name]) => (
      <a
        key={page}
        href={`/api/print/scrap-card.pdf?page=${page}`}
        target="_blank"
        rel="noreferrer"
        className="inline-flex min-h-11 items-center font-bold text-pencil underline underline-offset-2"
      >
        {name}
      </a>
    ))}
  </span>
);

/** Takes a photo of the scrap on its card: from the camera, a file or the clipboard. */
export function ChoosePhoto({ lay, issues, hasCard, children, onFile }: ChoosePhotoProps) {
  const lengths = useLengths();
  const input = useRef<HTMLInputElement>(null);
  return (
    <div
      className="grid gap-4"
      onPaste={(event) => {
        const [file] = event.clipboardData.files;
        if (file) onFile(file);
      }}
    >
      {children}
      <ol className="list-decimal space-y-1 pl-5">
        <li>{lay}, none of the four marks covered.</li>
        <li>Light from one side. Hold the phone straight above, the whole card in the picture.</li>
      </ol>
      <div className="flex flex-wrap gap-3">
        <Button look="solid" autoFocus onClick={() => input.current?.click()}>
          <Camera size={18} aria-hidden />
          Take or choose the photo
        </Button>
        {!hasCard && <PrintCard />}
      </div>
      <p className="text-sm text-soft">
        Or paste a picture here. It is measured in this browser and kept with the scrap.
      </p>
      <FileInput
        ref={input}
        accept="image/jpeg,image/png,image/webp"
        label="Photo of the scrap on its card"
        onFile={onFile}
      />
      {issues.length > 0 && (
        <p role="alert" className="border-l-4 border-madder bg-madder-wash px-3 py-2 font-bold">
          {issues.map((issue) => issueInWords(issue, lengths)).join(' ')}
        </p>
      )}
    </div>
  );
}
