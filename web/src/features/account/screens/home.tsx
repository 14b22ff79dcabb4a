import { useQuery } from '@tanstack/react-query';
import { Navigate } from 'react-router';
import { linkTo, ROUTES } from '../../../lib/paths';
import { PageGuard } from '../../../ui/page-guard';
import { gardensQuery } from '../../garden/queries';

/** Where one lands: the first garden, a new one, or the sign-in. */
export function Home() {
  return (
    <PageGuard query={useQuery(gardensQuery())} waiting="Opening the gate">
      {([first]) => <Navigate to={first ? linkTo('garden', { gardenId: first.id }) : ROUTES.newGarden} replace />}
    </PageGuard>
  );
}
