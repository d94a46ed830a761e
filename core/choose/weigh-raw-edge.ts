import type { Cloth } from '../cloth/cloth';
import type { Purpose } from '../edge/purpose';
import type { Nature } from '../finish/nature';
import { adds, fact, noMatter, rulesOut, type Weighed } from './contribution';

// All points and limits here are starting guesses from craft practice, docs/formulas.md “Choosing”.

/** A bare edge that stretches further than this is pulled out of shape, percent. */
const wavyPercent = 30;

/** A raw edge that is left single: no weakness where nothing frays and nothing curls. */
export function weighRawEdge(
  { fray, curl, stretchPercent, construction }: Cloth,
  nature: Nature,
  purpose: Purpose,
): Weighed & { readonly onlyToBeSeen: boolean } {
  const plain = { ...noMatter, onlyToBeSeen: false };
  if (!nature.rawEdge || purpose === 'seam') return plain;
  if (purpose === 'allowance') {
    return curl > (nature.liesWithCurl ?? 0)
      ? {
          ...adds(
            -8 * (curl - (nature.liesWithCurl ?? 0)),
            fact('curl', 'The cut edge rolls, grade {curl} of 3, and this lets it.', { curl }),
          ),
          onlyToBeSeen: false,
        }
      : plain;
  }
  const bare = nature.worked.includes('cut');
  // A pile that rolls a little lies flat by its own weight; a knit goes on rolling.
  const mostCurl = bare && construction !== 'knit' ? (nature.liesWithCurl ?? 0) : 0;
  if (fray === 0 && curl <= mostCurl && stretchPercent > wavyPercent) {
    return {
      ...adds(
        -18,
        fact('wavy', 'A bare edge that stretches {stretchPercent} % grows wavy.', {
          stretchPercent,
        }),
      ),
      onlyToBeSeen: false,
    };
  }
  if (fray === 0 && curl <= mostCurl) {
    if (!bare) {
      return {
        ...adds(
          -14,
          fact('raw-hem', 'Thread over a raw edge is a step before turning, and no hem.'),
        ),
        onlyToBeSeen: false,
      };
    }
    if (construction === 'knit') {
      return {
        ...adds(-14, fact('bare-knit', 'A knit left bare lets a loop go where it is rubbed.')),
        onlyToBeSeen: false,
      };
    }
    return curl > 0
      ? {
          ...adds(-5, fact('curl', 'The cut edge rolls a little, grade {curl} of 3.', { curl })),
          onlyToBeSeen: false,
        }
      : plain;
  }
  const because = fact(
    'raw-hem',
    'A raw edge that is only held is no hem: this cloth frays, grade {fray}, or rolls, grade {curl}.',
    { fray, curl },
  );
  // As an ornament it may be wished for, where the edge can be held at all.
  if (!bare || fray <= nature.holdsFray) {
    return { ...adds(-12, because), onlyToBeSeen: true };
  }
  return {
    ...rulesOut(because, fact('no-turning', 'cloth that neither frays nor rolls')),
    onlyToBeSeen: false,
  };
}

/** What only stops fraying, on cloth that has none to stop. */
export function weighNoFray({ fray, curl }: Cloth, nature: Nature, purpose: Purpose): Weighed {
  return nature.stopsFray && fray === 0 && curl === 0 && purpose !== 'seam'
    ? adds(-8, fact('no-fray', 'This cloth neither frays nor rolls: there is nothing to hold.'))
    : noMatter;
}
