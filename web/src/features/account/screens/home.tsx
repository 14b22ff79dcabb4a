import { useQuery } from '@tanstack/react-query';
import { Navigate } from 'react-router';
import { gardenHere } from '../../../offline/account';
import { linkTo, ROUTES } from '../../../lib/paths';
import { PageGuard } from '../../../ui/page-guard';
import { gardensQuery } from '../../garden/queries';

/** The start page: opens the last garden, or the first, or a new one; or the sign-in. */
export function Home() {
  return (
    <PageGuard query={useQuery(gardensQuery())} waiting="Loading your garden">
      {(gardens) => {
        const here = gardens.find((g) => g.id === gardenHere()) ?? gardens[0];
        return <Navigate to={here ? linkTo('garden', { gardenId: here.id }) : ROUTES.newGarden} replace />;
      }}
    </PageGuard>
  );
}
