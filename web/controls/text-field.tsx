import { useId, useState, type ComponentProps } from 'react';
import { Meanwhile, useTyping } from './meanwhile';

interface TextFieldProps {
  readonly label: string;
  readonly value: string;
  readonly trouble?: string | undefined;
  readonly most?: number;
  /** Why a text can’t be taken; null when it can. */
  refuse?(text: string): string | null;
  onCommit(text: string): void;
}

/** A line of text that is kept when left, and put back by Escape. */
export function TextField(props: TextFieldProps) {
  const { label, value, trouble, most = 120, refuse, onCommit } = props;
  const id = useId();
  const [typed, setTyped] = useState<string | null>(null);
  const [own, setOwn] = useState<string | null>(null);
  const typing = useTyping(value);
  const shown = trouble ?? own;
  const putBack = () => {
    setTyped(null);
    setOwn(null);
    typing.end();
  };
  const commit = (evenOvertaken = false) => {
    if (typing.overtaken && !evenOvertaken) return;
    const text = (typed ?? value).trim();
    const reason = text === value ? null : (refuse?.(text) ?? null);
    setOwn(reason);
    // What was typed stays, with why it can't be taken.
    if (reason) return;
    if (text !== value && text !== '') onCommit(text);
    setTyped(null);
    typing.end();
  };
  return (
    <div>
      <label htmlFor={id} className="mb-1 block text-sm text-soft">
        {label}
      </label>
      <input
        id={id}
        className="field font-bold"
        value={typed ?? value}
        maxLength={most}
        aria-invalid={typed?.trim() === '' || Boolean(shown)}
        onChange={(event) => {
          typing.begin();
          setTyped(event.target.value);
        }}
        onBlur={() => commit()}
        onKeyDown={(event) => {
          if (event.key === 'Enter') commit();
          if (event.key === 'Escape') putBack();
        }}
      />
      {(typed?.trim() === '' || shown) && (
        <p role="alert" className="mt-1 text-sm font-bold text-madder">
          {shown ?? 'It needs a name; the old one is kept.'}
        </p>
      )}
      {typing.overtaken && (
        <Meanwhile theirs={value} onMine={() => commit(true)} onTheirs={putBack} />
      )}
    </div>
  );
}

/** A field of a form: label, input, and the form's own finding under it. */
export function FormField({
  label,
  trouble,
  ...rest
}: ComponentProps<'input'> & { label: string; trouble?: string | undefined }) {
  const id = useId();
  return (
    <div>
      <label htmlFor={id} className="mb-1 block text-sm text-soft">
        {label}
      </label>
      <input
        id={id}
        className="field font-bold"
        autoComplete="off"
        aria-invalid={trouble !== undefined}
        aria-describedby={trouble ? `${id}-trouble` : undefined}
        {...rest}
      />
      {trouble && (
        <p id={`${id}-trouble`} role="alert" className="mt-1 text-sm font-bold text-madder">
          {trouble}
        </p>
      )}
    </div>
  );
}
