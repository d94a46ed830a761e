import { useMemo } from 'react';
import { Suspense } from 'react';
import { later } from '../../ground/later';
import { useList, change } from '../../ground/records';
import { useLengths } from '../../ground/lengths-context';
import { finishInSentence } from '../../words/finishes';
import { capital } from '../../words/number';
import { ClothCard } from '../cloths/cloth-card';
import { ClothPicker } from '../cloths/cloth-picker';
import type { KeptPart, SetUpPart } from '../../bench/bench';

// The tests come with the schemas' package; the rest of the edge does without it.
const ClothPage = later(async () => (await import('../cloths/cloth-page')).ClothPage);

/** The shelf to pick from, and the home tests of the cloth that was picked. */
export function ClothTable({ bench }: { bench: KeptPart & SetUpPart }) {
  const cloths = useList('cloths');
  // An edge is cut from cloth, not from a binding that is sold as one.
  const toCutFrom = useMemo(
    () => (cloths.data ?? []).filter(({ readyMade }) => !readyMade),
    [cloths.data],
  );
  return (
    <div className="grid h-full lg:grid-cols-[17rem_minmax(0,1fr)]">
      <ClothPicker
        cloths={toCutFrom}
        chosen={bench.cloth.id}
        onChoose={(clothId) => {
          change('edges', bench.edge.id, { clothId });
          // Dials solved for another cloth mean nothing for this one.
          if (bench.record.settings) change('plans', bench.record.id, { settings: null });
        }}
      />
      <div className="overflow-y-auto border-l border-line p-4">
        <Suspense>
          <ClothPage key={bench.cloth.id} cloth={bench.cloth} />
        </Suspense>
      </div>
    </div>
  );
}

/** What the tests come to, and what that means for this hem. */
export function ClothSlip({ bench }: { bench: KeptPart & SetUpPart }) {
  const { fine } = useLengths();
  const words = bench.margin?.words;
  const window = bench.set?.checks.find(({ name }) => name === bench.margin?.countedCheck);
  return (
    <>
      <ClothCard cloth={bench.cloth} />
      {window && words && (
        <div className="pt-3">
          <h3 className="text-lg">
            {bench.proposed ? 'If it became: ' : 'For this finish: '}
            {finishInSentence(bench.finish.id)}
          </h3>
          <p>
            {capital(words.checks[window.name] ?? window.name)}{' '}
            {Number.isFinite(window.loMm) && Number.isFinite(window.hiMm) ? (
              <>
                between <b>{fine(window.loMm)}</b> and <b>{fine(window.hiMm)}</b>
              </>
            ) : Number.isFinite(window.loMm) ? (
              <>
                of <b>{fine(window.loMm)}</b> or more
              </>
            ) : (
              <>
                of <b>{fine(window.hiMm)}</b> at most
              </>
            )}
            : so the {words.counted} {words.good}.
          </p>
        </div>
      )}
    </>
  );
}
