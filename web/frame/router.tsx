import { createBrowserRouter } from 'react-router';
import { orPageAnew } from '../ground/later';
import { Shell } from './shell';
import { NotThere, Trouble } from '../controls/trouble';

/** A screen that is loaded when somebody goes there. */
const screen = (load: () => Promise<React.ComponentType>) => async () => ({
  Component: await orPageAnew(load, () => {
    // The address stands in the browser only when its screen is there.
    const { pathname, search } = router.state.navigation.location ?? router.state.location;
    return pathname + search;
  }),
});
const edgeScreen = screen(async () => (await import('../screens/edge/edge-screen')).EdgeScreen);

/** The addresses of the app. */
export const router = createBrowserRouter([
  {
    path: '/at',
    errorElement: <Trouble />,
    hydrateFallbackElement: <p className="p-8 text-soft">Loading…</p>,
    lazy: screen(async () => {
      const { keepView } = await import('../screens/at/keep-view');
      await keepView();
      return (await import('./at-frame')).AtFrame;
    }),
    children: [
      {
        path: ':edgeId',
        lazy: screen(async () => (await import('../screens/at/at-screen')).AtEdgeScreen),
      },
      {
        path: 'garment/:projectId',
        lazy: screen(async () => (await import('../screens/at/at-screen')).AtGarmentScreen),
      },
    ],
  },
  {
    path: '/',
    element: <Shell />,
    errorElement: <Trouble />,
    hydrateFallbackElement: <p className="p-8 text-soft">Loading…</p>,
    children: [
      {
        // Inside the shell, so that a screen that breaks leaves the way out standing.
        errorElement: <Trouble />,
        children: [
          {
            index: true,
            lazy: screen(
              async () => (await import('../screens/worktable/worktable-screen')).WorktableScreen,
            ),
          },
          {
            path: 'projects/:projectId/:part?',
            lazy: screen(
              async () => (await import('../screens/projects/project-screen')).ProjectScreen,
            ),
          },
          { path: 'edges/:edgeId', lazy: edgeScreen },
          { path: 'edges/:edgeId/:station', lazy: edgeScreen },
          {
            path: 'cloths',
            lazy: screen(
              async () => (await import('../screens/cloths/cloths-screen')).ClothsScreen,
            ),
          },
          {
            path: 'cloths/:clothId/measure/:test?',
            lazy: screen(
              async () => (await import('../screens/measure/measure-screen')).MeasureScreen,
            ),
          },
          {
            path: 'book',
            lazy: screen(async () => (await import('../screens/book/book-screen')).BookScreen),
          },
          {
            path: 'removed',
            lazy: screen(
              async () => (await import('../screens/removed/removed-screen')).RemovedScreen,
            ),
          },
          {
            path: 'keeping',
            lazy: screen(
              async () => (await import('../screens/keeping/keeping-screen')).KeepingScreen,
            ),
          },
          {
            path: 'devices',
            lazy: screen(
              async () => (await import('../screens/devices/devices-screen')).DevicesScreen,
            ),
          },
          {
            path: 'exchange',
            lazy: screen(
              async () => (await import('../screens/exchange/exchange-screen')).ExchangeScreen,
            ),
          },
          {
            path: 'kit',
            lazy: screen(async () => (await import('../screens/kit/kit-screen')).KitScreen),
          },
          { path: '*', element: <NotThere /> },
        ],
      },
    ],
  },
]);
