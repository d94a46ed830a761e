import { startServer, type RunningServer } from '../testing.fixture';

/** The one server that all sums are asked of: what they answer depends on nothing that is stored. */
export let server: RunningServer;

beforeAll(async () => {
  server = await startServer();
});
afterAll(() => server.stop());
