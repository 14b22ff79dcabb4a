import type { UseQueryResult } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { Navigate } from 'react-router';
import { ApiError } from '../lib/api';
import { ROUTES } from '../lib/paths';
import { Failed, PageWaiting } from '../ui/states';

interface Props<T> {
  query: UseQueryResult<T>;
  /** text while waiting */
  waiting: string;
  children: (data: T) => ReactNode;
}

/** The one guard of a page: waits, redirects to sign-in, shows errors; then the page. */
export function PageGuard<T>({ query, waiting, children }: Props<T>) {
  // reading from the device
  if (query.isPending && query.fetchStatus === 'idle') return null;
  if (query.isPending) return <PageWaiting what={waiting} />;
  if (query.error instanceof ApiError && query.error.status === 401) return <Navigate to={ROUTES.signIn} replace />;
  // show known data even if an update fails
  if (query.error && query.data !== undefined && !(query.error instanceof ApiError)) return children(query.data);
  if (query.error) return <Failed error={query.error} again={() => void query.refetch()} />;
  return children(query.data);
}
