import { createBrowserRouter, Navigate } from 'react-router';
import { Home } from './screens/home';
import { SignInScreen } from './screens/sign-in/sign-in';
import { GardenScreen } from './screens/garden/garden';
import { Failed } from './parts/states';

/** Pages opened later are fetched when they are opened. */
export const router = createBrowserRouter([
  {
    errorElement: <Failed error={new Error('unexpected')} again={() => location.reload()} />,
    children: [
      { path: '/', element: <Home /> },
      { path: '/sign-in', element: <SignInScreen /> },
      {
        path: '/gardens/new',
        lazy: async () => ({ Component: (await import('./screens/settings/new-garden')).NewGarden }),
      },
      { path: '/gardens/:gardenId', element: <GardenScreen /> },
      {
        path: '/gardens/:gardenId/settings',
        lazy: async () => ({ Component: (await import('./screens/settings/settings')).SettingsScreen }),
      },
      {
        path: '/gardens/:gardenId/places/new',
        lazy: async () => ({ Component: (await import('./screens/edit/place-edit')).PlaceEdit }),
      },
      {
        path: '/gardens/:gardenId/places/:placeId',
        lazy: async () => ({ Component: (await import('./screens/edit/place-edit')).PlaceEdit }),
      },
      {
        path: '/gardens/:gardenId/places/:placeId/plan',
        lazy: async () => ({ Component: (await import('./screens/water/plan')).PlanScreen }),
      },
      {
        path: '/gardens/:gardenId/bench',
        lazy: async () => ({ Component: (await import('./screens/water/bench/bench')).BenchScreen }),
      },
      {
        path: '/gardens/:gardenId/places/:placeId/walk',
        lazy: async () => ({ Component: (await import('./screens/walk/walk')).WalkScreen }),
      },
      {
        path: '/gardens/:gardenId/places/:placeId/plants/new',
        lazy: async () => ({ Component: (await import('./screens/edit/plant-edit')).PlantEdit }),
      },
      {
        path: '/gardens/:gardenId/plants/:plantId',
        lazy: async () => ({ Component: (await import('./screens/plant/plant')).PlantScreen }),
      },
      {
        path: '/gardens/:gardenId/plants/:plantId/sheet',
        lazy: async () => ({ Component: (await import('./screens/sheet/sheet')).SheetScreen }),
      },
      {
        path: '/gardens/:gardenId/neighbour',
        lazy: async () => ({ Component: (await import('./screens/neighbour/neighbour')).NeighbourScreen }),
      },
      {
        path: '/gardens/:gardenId/plants/:plantId/edit',
        lazy: async () => ({ Component: (await import('./screens/edit/plant-edit')).PlantEdit }),
      },
      {
        path: '/gardens/:gardenId/plants/:plantId/look',
        lazy: async () => ({ Component: (await import('./screens/look/look')).LookScreen }),
      },
      {
        path: '/gardens/:gardenId/handbook',
        lazy: async () => ({ Component: (await import('./screens/handbook/handbook')).HandbookScreen }),
      },
      {
        path: '/gardens/:gardenId/handbook/signs',
        lazy: async () => ({ Component: (await import('./screens/handbook/signs-page')).SignsPage }),
      },
      {
        path: '/gardens/:gardenId/handbook/:disorder',
        lazy: async () => ({ Component: (await import('./screens/handbook/disorder-page')).DisorderPage }),
      },
      { path: '*', element: <Navigate to="/" replace /> },
    ],
  },
]);
