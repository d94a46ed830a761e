import { Suspense } from 'react';
import { useDispute } from '../ground/disputes';
import { later } from '../ground/later';

// Loaded when somebody asks for it.
const DisputeDialog = later(async () => (await import('./dispute-dialog')).DisputeDialog);

/** The question about two changes of one thing, while there is one. */
export function Disputes() {
  const dispute = useDispute();
  if (!dispute) return null;
  return (
    <Suspense>
      <DisputeDialog dispute={dispute} />
    </Suspense>
  );
}
