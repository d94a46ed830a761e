import type { Verdict } from '../../contract/records';

/** What a verdict is called, its sign, and its colour as text and as frame; never colour alone. */
export const verdictWords: Readonly<
  Record<
    Verdict,
    { readonly name: string; readonly sign: string; readonly text: string; readonly frame: string }
  >
> = {
  keep: { name: 'Keep', sign: '✓', text: 'text-moss', frame: 'border-moss' },
  nearly: { name: 'Nearly', sign: '≈', text: 'text-ochre', frame: 'border-ochre' },
  no: { name: 'No', sign: '✕', text: 'text-madder', frame: 'border-madder' },
};
