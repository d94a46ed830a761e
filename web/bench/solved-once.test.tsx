import type { EdgeRecord, ProjectRecord } from '../../contract/records';
import { queryClient } from '../ground/query-client';
import { TestApp, click, screen, waitFor } from '../testing/test-app';
import { solverTasks } from '../workers/solver-tasks';

const app = new TestApp();
beforeAll(() => app.start());
afterEach(async () => {
  jest.restoreAllMocks();
  await app.reset();
});

/** Until nothing is asked of the server or of a thread any more. */
const settled = () => waitFor(() => expect(queryClient.isFetching()).toBe(0));

test('an edge with scraps is solved once, with what they taught, and not before that is known', async () => {
  const solve = jest.spyOn(solverTasks, 'solve');
  const lesson = jest.spyOn(solverTasks, 'lesson');
  await app.open('/edges/edge-cape/setting');
  await waitFor(() => expect(screen.getByTestId('chance').textContent).toContain('of 100'));
  await settled();
  expect(lesson).toHaveBeenCalledTimes(1);
  expect(solve).toHaveBeenCalledTimes(1);
  const [, , learned] = solve.mock.calls[0]!;
  expect(learned.guide!.sigmaMm).toBeGreaterThan(0);
});

test('work is put in order where its order is shown, and not for a list of edges', async () => {
  const garment = jest.spyOn(solverTasks, 'garment');
  const project = await app.send<ProjectRecord>('POST', 'projects', { name: 'One hem', note: '' });
  await app.send<EdgeRecord>('POST', 'edges', {
    ...{ projectId: project.id, name: 'Banner', on: 'banner', clothId: 'cloth-linen' },
    ...{ shape: 'straight', lengthMm: 900, minRadiusMm: null, turnDegrees: null },
    ...{ passesOverMm: null, crossings: [] },
  });
  await app.open(`/projects/${project.id}`);
  await screen.findByRole('link', { name: /Banner/ });
  await settled();
  expect(garment).not.toHaveBeenCalled();
  await click(screen.findByRole('link', { name: 'Order of work' }));
  await waitFor(() => expect(garment).toHaveBeenCalledTimes(1));
  await waitFor(() => expect(screen.queryByText(/in order…/)).toBeNull());
});
