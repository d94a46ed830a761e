import { useId, useState } from 'react';
import { Meanwhile, useTyping } from './meanwhile';

interface NoteFieldProps {
  readonly label: string;
  readonly value: string;
  readonly most: number;
  readonly rows: number;
  onCommit(text: string): void;
}

/** A few lines of text, kept when left; Escape puts back what was there. */
export function NoteField({ label, value, most, rows, onCommit }: NoteFieldProps) {
  const id = useId();
  const [typed, setTyped] = useState<string | null>(null);
  const typing = useTyping(value);
  const putBack = () => {
    setTyped(null);
    typing.end();
  };
  const commit = () => {
    const text = (typed ?? value).trim();
    if (text !== value) onCommit(text);
    putBack();
  };
  return (
    <div>
      <label htmlFor={id} className="mb-1 block text-sm text-soft">
        {label}
      </label>
      <textarea
        id={id}
        rows={rows}
        maxLength={most}
        className="field block resize-y"
        value={typed ?? value}
        onChange={(event) => {
          typing.begin();
          setTyped(event.target.value);
        }}
        onBlur={() => {
          if (!typing.overtaken) commit();
        }}
        onKeyDown={(event) => {
          if (event.key === 'Escape') putBack();
        }}
      />
      {typing.overtaken && <Meanwhile theirs={value} onMine={commit} onTheirs={putBack} />}
    </div>
  );
}
