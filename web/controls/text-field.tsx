import { useId, useState, type ComponentProps } from 'react';

interface TextFieldProps {
  readonly label: string;
  readonly value: string;
  readonly trouble?: string | undefined;
  readonly most?: number;
  onCommit(text: string): void;
}

/** A line of text that is kept when left, and put back by Escape. */
export function TextField({ label, value, trouble, most = 120, onCommit }: TextFieldProps) {
  const id = useId();
  const [typed, setTyped] = useState<string | null>(null);
  const commit = () => {
    const text = (typed ?? value).trim();
    if (text !== value && text !== '') onCommit(text);
    setTyped(null);
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
        aria-invalid={typed?.trim() === '' || trouble !== undefined}
        onChange={(event) => setTyped(event.target.value)}
        onBlur={commit}
        onKeyDown={(event) => {
          if (event.key === 'Enter') commit();
          if (event.key === 'Escape') setTyped(null);
        }}
      />
      {(typed?.trim() === '' || trouble) && (
        <p role="alert" className="mt-1 text-sm font-bold text-madder">
          {trouble ?? 'It needs a name; the old one is kept.'}
        </p>
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
