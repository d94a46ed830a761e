import type { ComponentProps } from 'react';

const looks = {
  solid: 'bg-graphite text-slip border-graphite hover:bg-black',
  outline: 'bg-slip border-graphite hover:bg-cloth',
  quiet: 'border-transparent hover:bg-cloth',
  danger: 'bg-slip border-madder text-madder hover:bg-madder-wash',
} as const;

/** A button; at least 44 px high, to be hit with cloth in hand. */
export function Button({
  look = 'outline',
  className = '',
  ...rest
}: ComponentProps<'button'> & { look?: keyof typeof looks }) {
  return (
    <button
      type="button"
      className={`inline-flex min-h-11 items-center justify-center gap-2 rounded-[3px] border px-4 py-2 font-bold disabled:cursor-not-allowed disabled:border-line disabled:bg-cloth disabled:text-soft ${looks[look]} ${className}`}
      {...rest}
    />
  );
}
