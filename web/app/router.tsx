import { createBrowserRouter } from 'react-router';
import { ClothsScreen } from '../screens/cloths/cloths-screen';
import { EdgeScreen } from '../screens/edge/edge-screen';
import { KitScreen } from '../screens/kit/kit-screen';
import { ProjectScreen } from '../screens/projects/project-screen';
import { ProjectsScreen } from '../screens/projects/projects-screen';
import { NotThere, Trouble } from './trouble';
import { Shell } from './shell';

/** The addresses of the app. */
export const router = createBrowserRouter([
  {
    path: '/',
    element: <Shell />,
    errorElement: <Trouble />,
    children: [
      {
        // Inside the shell, so that a screen that breaks leaves the way out standing.
        errorElement: <Trouble />,
        children: [
          { index: true, element: <ProjectsScreen /> },
          { path: 'projects/:projectId', element: <ProjectScreen /> },
          { path: 'edges/:edgeId', element: <EdgeScreen /> },
          { path: 'edges/:edgeId/:station', element: <EdgeScreen /> },
          { path: 'cloths', element: <ClothsScreen /> },
          { path: 'kit', element: <KitScreen /> },
          { path: '*', element: <NotThere /> },
        ],
      },
    ],
  },
]);
