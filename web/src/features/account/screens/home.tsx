import { useQuery } from '@tanstack/react-query';
import { Navigate } from 'react-router';
import { gardenHere } from '../../../offline/account';
import { linkTo, ROUTES } from '../../../lib/paths';
import { PageGuard } from '../../../frame/page-guard';
import { gardensQuery } from '../../../data/gardens';

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
