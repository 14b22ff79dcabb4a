import { useIsFetching } from '@tanstack/react-query';
import { useEffect } from 'react';
import {
  createBrowserRouter,
  generatePath,
  Navigate,
  Outlet,
  ScrollRestoration,
  useLocation,
  useParams,
} from 'react-router';
import { Home } from './features/account/screens/home';
import { GardenFrame } from './frame/garden-frame';
import { GardenScreen } from './features/garden/screens/garden';
import { linkTo, ROUTES, OLD_PATHS } from './lib/paths';
import { accountHere, gardenHere } from './offline/account';
import { Failed, NoSuchPage } from './ui/states';
import { TitleFollowsHeading } from './frame/title-follows';

const placeEdit = async () => ({ Component: (await import('./features/places/screens/place-edit')).PlaceEdit });
const settings = async () => ({ Component: (await import('./features/settings/screens/settings')).SettingsScreen });
const productEdit = async () => ({ Component: (await import('./features/shed/screens/product-edit')).ProductEdit });
const varietyEdit = async () => ({ Component: (await import('./features/varieties/screens/variety-edit')).KindEdit });
const plantEdit = async () => ({ Component: (await import('./features/looking/screens/plant-edit')).PlantEdit });

const plant = async () => ({ Component: (await import('./features/looking/screens/plant')).PlantScreen });

/** Delay before the plant page is preloaded, ms. */
const AT_REST_MS = 1000;

/** Preloads the plant page from the garden, so it is ready when touched. */
function PlantReady() {
  const busy = useIsFetching({ predicate: ({ queryKey }) => queryKey[2] === 'view' }) > 0;
  useEffect(() => {
    if (busy) return;
    const soon = setTimeout(() => void plant(), AT_REST_MS);
    return () => clearTimeout(soon);
  }, [busy]);
  return null;
}

/** A new page opens at its top, a previous one where it was left; selecting a ribbon day scrolls nothing. */
const pages = (
  <>
    <TitleFollowsHeading />
    <Outlet />
    <ScrollRestoration getKey={(at) => at.pathname} />
  </>
);

/** Leads from an address of an earlier version to today's. */
function Moved({ to }: { to: string }) {
  const { search } = useLocation();
  return <Navigate to={generatePath(to, useParams()) + search} replace />;
}

const UnexpectedError = () => <Failed error={new Error('unexpected')} again={() => location.reload()} />;

/** Opens the last garden at once from the device, without waiting for the list. */
function landInGarden(): void {
  const last = gardenHere();
  if (location.pathname === ROUTES.home && accountHere() !== null && last !== null)
    history.replaceState(null, '', linkTo('garden', { gardenId: last }));
}
landInGarden();

/** Pages opened later are loaded on demand. */
export const router = createBrowserRouter([
  {
    element: pages,
    ErrorBoundary: UnexpectedError,
    children: [
      { path: ROUTES.home, element: <Home /> },
      {
        path: ROUTES.signIn,
        lazy: async () => ({ Component: (await import('./features/account/screens/sign-in')).SignInScreen }),
      },
      {
        path: ROUTES.newGarden,
        lazy: async () => ({ Component: (await import('./features/settings/screens/new-garden')).NewGarden }),
      },
      {
        path: ROUTES.newPassword,
        lazy: async () => ({ Component: (await import('./features/account/screens/new-password')).NewPassword }),
      },
      {
        path: ROUTES.join,
        lazy: async () => ({ Component: (await import('./features/people/screens/join')).JoinScreen }),
      },
      {
        path: ROUTES.watering,
        lazy: async () => ({ Component: (await import('./features/while-away/screens/watering')).WateringScreen }),
      },
      {
        path: ROUTES.tryIt,
        lazy: async () => ({ Component: (await import('./features/looking/screens/try-it')).TryItScreen }),
      },
      {
        path: ROUTES.message,
        lazy: async () => ({ Component: (await import('./features/messages/screens/link')).MessageLink }),
      },
      {
        path: ROUTES.label,
        lazy: async () => ({ Component: (await import('./features/labels/screens/opened')).LabelOpened }),
      },
      {
        path: ROUTES.account,
        lazy: async () => ({ Component: (await import('./features/account/screens/account')).AccountScreen }),
      },
      {
        path: ROUTES.garden,
        element: <GardenFrame />,
        children: [
          // what fails in a page leaves the frame around it
          {
            ErrorBoundary: UnexpectedError,
            children: [
              {
                path: ROUTES.files,
                lazy: async () => ({ Component: (await import('./features/import-export/screens/files')).FilesScreen }),
              },
              {
                path: ROUTES.people,
                lazy: async () => ({ Component: (await import('./features/people/screens/people')).PeopleScreen }),
              },
              {
                index: true,
                element: (
                  <>
                    <GardenScreen />
                    <PlantReady />
                  </>
                ),
              },
              {
                path: ROUTES.labels,
                lazy: async () => ({ Component: (await import('./features/labels/screens/labels')).LabelsScreen }),
              },
              { path: ROUTES.settings, lazy: settings },
              { path: ROUTES.settingsPage, lazy: settings },
              { path: ROUTES.newPlace, lazy: placeEdit },
              { path: ROUTES.place, lazy: placeEdit },
              {
                path: ROUTES.placePlan,
                lazy: async () => ({ Component: (await import('./features/water/screens/plan')).PlanScreen }),
              },
              {
                path: ROUTES.whileAway,
                lazy: async () => ({
                  Component: (await import('./features/while-away/screens/while-away')).WhileAwayScreen,
                }),
              },
              {
                path: ROUTES.shed,
                lazy: async () => ({ Component: (await import('./features/shed/screens/shed')).ShedScreen }),
              },
              {
                path: ROUTES.stock,
                lazy: async () => ({ Component: (await import('./features/shed/screens/stock')).StockScreen }),
              },
              {
                path: ROUTES.trials,
                lazy: async () => ({ Component: (await import('./features/trials/screens/trials')).TrialsScreen }),
              },
              {
                path: ROUTES.soils,
                lazy: async () => ({ Component: (await import('./features/shed/screens/soils')).SoilsScreen }),
              },
              {
                path: ROUTES.placeSoil,
                lazy: async () => ({ Component: (await import('./features/soil/screens/soil')).SoilScreen }),
              },
              {
                path: ROUTES.sprayLog,
                lazy: async () => ({ Component: (await import('./features/shed/screens/spray-log')).SprayLogScreen }),
              },
              {
                path: ROUTES.season,
                lazy: async () => ({ Component: (await import('./features/season/screens/season')).SeasonScreen }),
              },
              {
                path: ROUTES.varieties,
                lazy: async () => ({
                  Component: (await import('./features/varieties/screens/varieties')).VarietiesScreen,
                }),
              },
              {
                path: ROUTES.harvest,
                lazy: async () => ({ Component: (await import('./features/reports/screens/harvest')).HarvestScreen }),
              },
              {
                path: ROUTES.compare,
                lazy: async () => ({ Component: (await import('./features/reports/screens/compare')).CompareScreen }),
              },
              {
                path: ROUTES.closeYear,
                lazy: async () => ({ Component: (await import('./features/reports/screens/close')).CloseScreen }),
              },
              { path: ROUTES.newVariety, lazy: varietyEdit },
              { path: ROUTES.variety, lazy: varietyEdit },
              { path: ROUTES.newProduct, lazy: productEdit },
              { path: ROUTES.product, lazy: productEdit },
              {
                path: ROUTES.bench,
                lazy: async () => ({ Component: (await import('./features/water/screens/bench')).BenchScreen }),
              },
              {
                path: ROUTES.placeWalk,
                lazy: async () => ({ Component: (await import('./features/looking/screens/walk')).WalkScreen }),
              },
              { path: ROUTES.newPlant, lazy: plantEdit },
              { path: ROUTES.plantEdit, lazy: plantEdit },
              {
                path: ROUTES.plant,
                lazy: plant,
              },
              {
                path: ROUTES.plantSheet,
                lazy: async () => ({
                  Component: (await import('./features/case-sheet/screens/case-sheet')).SheetScreen,
                }),
              },
              {
                path: ROUTES.lookOver,
                lazy: async () => ({
                  Component: (await import('./features/looking/screens/look-over')).LookOverScreen,
                }),
              },
              {
                path: ROUTES.look,
                lazy: async () => ({ Component: (await import('./features/looking/screens/look')).LookScreen }),
              },
              {
                path: ROUTES.otherGarden,
                lazy: async () => ({
                  Component: (await import('./features/looking/screens/other-garden')).NeighbourScreen,
                }),
              },
              {
                path: ROUTES.handbook,
                lazy: async () => ({
                  Component: (await import('./features/handbook/screens/handbook')).HandbookScreen,
                }),
              },
              {
                path: ROUTES.signs,
                lazy: async () => ({ Component: (await import('./features/handbook/screens/signs-page')).SignsPage }),
              },
              {
                path: ROUTES.claims,
                lazy: async () => ({ Component: (await import('./features/claims/screens/claims')).ClaimsScreen }),
              },
              {
                path: ROUTES.practice,
                lazy: async () => ({
                  Component: (await import('./features/practice/screens/practice')).PracticeScreen,
                }),
              },
              {
                path: ROUTES.practicePlant,
                lazy: async () => ({
                  Component: (await import('./features/practice/screens/practice-plant')).PracticePlantScreen,
                }),
              },
              {
                path: ROUTES.disorder,
                lazy: async () => ({
                  Component: (await import('./features/handbook/screens/disorder-page')).DisorderPage,
                }),
              },
              { path: '*', element: <NoSuchPage /> },
            ],
          },
        ],
      },
      ...OLD_PATHS.map(([from, to]) => ({ path: from, element: <Moved to={to} /> })),
      { path: '*', element: <NoSuchPage /> },
    ],
  },
]);
