import { MutationCache, onlineManager, QueryCache, QueryClient } from '@tanstack/react-query';
import { PersistQueryClientProvider } from '@tanstack/react-query-persist-client';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { RouterProvider } from 'react-router/dom';
import './data/all-writes';
import { ApiError } from './lib/api';
import { applyDisplayMode } from './lib/display-mode';
import { queryKeys } from './lib/query-keys';
import { ROUTES } from './lib/paths';
import { registerWrites } from './lib/writes';
import { accountHere, gardenHere, setGardenHere } from './offline/account';
import { clearDevice, findAccount, finishLeaving, isSignedOut } from './offline/leave-device';
import { KEPT_FOR, KEPT_MS, keptViews } from './offline/kept-views';
import { startOutbox } from './offline/outbox';
import { router } from './routes';
import './theme.css';
import { ToastArea } from './ui/toast';

/** Answers stay fresh this long, ms. */
const SHORT_MS = 15_000;

/** Clears the device once its session was ended elsewhere, and begins again at the way in. */
function leaveIfSignedOut(error: Error): void {
  if (!isSignedOut(error) || accountHere() === null) return;
  client.clear();
  // full reload: nothing of this account stays in the page
  void clearDevice().then(() => location.assign(ROUTES.signIn));
}

/** Removes a garden from the device once the user has lost access. */
const dropWhatIsGone = new QueryCache({
  onError: (error, { queryKey: [what, gardenId, part] }) => {
    leaveIfSignedOut(error);
    if (!(error instanceof ApiError) || error.status !== 404 || what !== 'garden' || part !== 'view') return;
    const others = (q: { queryKey: readonly unknown[] }): boolean => q.queryKey[2] !== 'view';
    if (gardenHere() === gardenId) setGardenHere(null);
    client.removeQueries({ queryKey: queryKeys.garden(String(gardenId)), predicate: others });
    void client.invalidateQueries({ queryKey: queryKeys.gardens });
  },
});

const client = new QueryClient({
  queryCache: dropWhatIsGone,
  mutationCache: new MutationCache({ onError: leaveIfSignedOut }),
  defaultOptions: {
    queries: {
      staleTime: SHORT_MS,
      // data kept on the device is also kept in memory
      gcTime: Infinity,
      retry: (count, error) => !(error instanceof ApiError) && count < 2,
    },
    mutations: { retry: (count, error) => !(error instanceof ApiError) && count < 3 },
  },
});
registerWrites(client);
// a page opened offline gets no event until the connection changes
onlineManager.setOnline(navigator.onLine);
onlineManager.subscribe((online) => online && void finishLeaving());

/** Query keys available offline: gardens and their plants. Slow or momentary answers are not stored. */
const KEPT: ReadonlySet<unknown> = new Set(['gardens', 'garden']);
const keeping = {
  persister: keptViews,
  maxAge: KEPT_MS,
  buster: KEPT_FOR,
  dehydrateOptions: {
    shouldDehydrateQuery: (q: { queryKey: readonly unknown[]; state: { status: string } }) =>
      q.state.status === 'success' && KEPT.has(q.queryKey[0]),
    shouldDehydrateMutation: () => false,
  },
};

/** Stored data is shown at once and refetched where visible: a reload is a reload. */
function afterRestore(): void {
  const longAgo = Date.now() - SHORT_MS;
  for (const q of client.getQueryCache().getAll())
    q.setState({ dataUpdatedAt: Math.min(q.state.dataUpdatedAt, longAgo) });
  void startOutbox(client);
}

applyDisplayMode();
const root = document.getElementById('root');
if (!root) throw new Error('the page has no root element');
await findAccount();
createRoot(root).render(
  <StrictMode>
    <PersistQueryClientProvider client={client} persistOptions={keeping} onSuccess={afterRestore}>
      <ToastArea>
        <RouterProvider router={router} />
      </ToastArea>
    </PersistQueryClientProvider>
  </StrictMode>,
);
const keepPage = (): void => void navigator.serviceWorker.register('/sw.js');
if ('serviceWorker' in navigator && import.meta.env.PROD) {
  // the page may have finished loading while the account was being determined
  if (document.readyState === 'complete') keepPage();
  else addEventListener('load', keepPage);
}
