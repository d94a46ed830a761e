import type { Verdict } from '../../contract/records';

/** What a verdict is called, its sign, and how it looks; never by colour alone. */
export const verdictWords: Readonly<
  Record<Verdict, { readonly name: string; readonly sign: string; readonly look: string }>
> = {
  keep: { name: 'Keep', sign: '✓', look: 'border-moss text-moss' },
  nearly: { name: 'Nearly', sign: '≈', look: 'border-ochre text-ochre' },
  no: { name: 'No', sign: '✕', look: 'border-madder text-madder' },
};
