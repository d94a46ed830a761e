import { createContext, useContext, useMemo, type ReactNode } from 'react';
import { lengthsFor, type Lengths } from '../../core/measure/lengths';
import { useRecord } from './records';

const LengthsContext = createContext<Lengths>(lengthsFor({ unit: 'mm', inchRounding: '1/16' }));

/** Gives every number below it the person's unit. */
export function LengthsProvider({ children }: { children: ReactNode }) {
  const { data: preferences } = useRecord('preferences', 'mine');
  const lengths = useMemo(
    () => lengthsFor(preferences ?? { unit: 'mm', inchRounding: '1/16' }),
    [preferences],
  );
  return <LengthsContext value={lengths}>{children}</LengthsContext>;
}

/** How lengths are written for this person. */
export function useLengths(): Lengths {
  return useContext(LengthsContext);
}
