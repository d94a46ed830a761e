import { ArrowLeft, ArrowRight, Check } from 'lucide-react';
import { Link, useLocation, useNavigate, useParams } from 'react-router';
import type { ClothRecord } from '../../../contract/records';
import { useLengths } from '../../ground/lengths-context';
import { useRecord } from '../../ground/records';
import { useKeys } from '../../frame/keys';
import { LoadState } from '../../controls/trouble';
import { Button } from '../../controls/button';
import { propertiesOf } from '../cloths/cloth-page';
import { homeTestList, testIds, type TestId } from '../cloths/home-test';
import { TestDrawing } from '../cloths/test-drawing';
import { CurlTest } from './curl-test';
import { PullTest } from './pull-test';
import { RubTest } from './rub-test';
import { SlipTest } from './slip-test';
import { StackTest } from './stack-test';
import { WeighTest } from './weigh-test';

const tests = {
  weigh: WeighTest,
  stack: StackTest,
  pull: PullTest,
  rub: RubTest,
  curl: CurlTest,
  slip: SlipTest,
} as const satisfies Record<TestId, unknown>;

/** The home tests of a cloth, one at a time. */
export function MeasureScreen() {
  const { clothId, test } = useParams();
  const cloth = useRecord('cloths', clothId);
  if (!cloth.data) return <LoadState what="cloth" error={cloth.error} />;
  const id = testIds.find((one) => one === test) ?? 'weigh';
  return <Measuring key={clothId} cloth={cloth.data} at={id} />;
}

function Measuring({ cloth, at }: { cloth: ClothRecord; at: TestId }) {
  const lengths = useLengths();
  const navigate = useNavigate();
  const location = useLocation();
  const state = location.state as { back?: string } | null;
  const back = state?.back ?? `/cloths?cloth=${cloth.id}`;
  const index = testIds.indexOf(at);
  const next = testIds[index + 1];
  const to = (id: TestId) => `/cloths/${cloth.id}/measure/${id}`;
  const home = back.startsWith('/cloths') ? `/cloths?cloth=${cloth.id}` : back;
  const Test = tests[at];

  useKeys(
    testIds.map((id, i) => ({
      ...{ press: [String(i + 1)], shown: String(i + 1), does: `go to the test “${id}”` },
      act: () => void navigate(to(id), { state, replace: true }),
    })),
  );

  return (
    <main className="flex min-h-0 grow flex-col gap-3 p-4 lg:px-5">
      <div className="flex items-baseline gap-4">
        <Link
          to={home}
          className="inline-flex min-h-9 shrink-0 items-center gap-1.5 text-pencil underline underline-offset-2"
        >
          <ArrowLeft size={17} aria-hidden /> Back
        </Link>
        <h1 className="truncate text-2xl">Measure {cloth.name}</h1>
      </div>
      <nav aria-label="Tests" className="sheet grid grid-cols-3 md:grid-cols-6">
        {homeTestList.map((test, i) => {
          const guessed = cloth.properties.estimated?.includes(test.property) ?? false;
          return (
            <Link
              key={test.id}
              to={to(test.id)}
              state={state}
              replace
              aria-current={test.id === at ? 'step' : undefined}
              className={`flex items-center gap-2 border-b-4 px-2 py-1 ${test.id === at ? 'border-pencil bg-pencil-wash' : 'border-transparent hover:bg-slip'}`}
            >
              <TestDrawing name={test.id} small />
              <span className="min-w-0">
                <span className="block text-sm">
                  <span className="text-soft">{i + 1}</span> {test.name}
                </span>
                <span className="block truncate font-bold">
                  {guessed ? '~ ' : '✓ '}
                  {test.result(propertiesOf(cloth), lengths)}
                </span>
              </span>
            </Link>
          );
        })}
      </nav>
      <Test key={at} cloth={cloth} />
      <div className="flex justify-end gap-3">
        {next ? (
          <Button look="solid" onClick={() => void navigate(to(next), { state, replace: true })}>
            Next: {homeTestList[index + 1]?.name.toLowerCase()} <ArrowRight size={18} aria-hidden />
          </Button>
        ) : (
          <Button look="solid" onClick={() => void navigate(home)}>
            <Check size={18} aria-hidden /> Done
          </Button>
        )}
      </div>
    </main>
  );
}
