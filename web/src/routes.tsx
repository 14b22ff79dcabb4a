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
        path: '/gardens/:gardenId/places/:placeId/plants/new',
        lazy: async () => ({ Component: (await import('./screens/edit/plant-edit')).PlantEdit }),
      },
      {
        path: '/gardens/:gardenId/plants/:plantId',
        lazy: async () => ({ Component: (await import('./screens/plant/plant')).PlantScreen }),
      },
      {
        path: '/gardens/:gardenId/plants/:plantId/edit',
        lazy: async () => ({ Component: (await import('./screens/edit/plant-edit')).PlantEdit }),
      },
      {
        path: '/gardens/:gardenId/plants/:plantId/look',
        lazy: async () => ({ Component: (await import('./screens/look/look')).LookScreen }),
      },
      { path: '*', element: <Navigate to="/" replace /> },
    ],
  },
]);
