import { Navigate } from 'react-router';
import { ApiError } from '../data/api';
import { useGardens } from '../data/queries';
import { Failed, Waiting } from '../parts/states';

/** Where one lands: the first garden, a new one, or the sign-in. */
export function Home() {
  const gardens = useGardens();
  if (gardens.isPending) return <Waiting what="Opening the gate" />;
  if (gardens.error instanceof ApiError && gardens.error.status === 401) return <Navigate to="/sign-in" replace />;
  if (gardens.error) return <Failed error={gardens.error} again={() => void gardens.refetch()} />;
  const first = gardens.data[0];
  return <Navigate to={first ? `/gardens/${first.id}` : '/gardens/new'} replace />;
}
