import { STARTER_CULTIVARS } from '@candid-leaf/core/cultivars';
import { useQuery } from '@tanstack/react-query';
import { Navigate, useParams, useSearchParams } from 'react-router';
import { useGarden, useLink } from '../../../lib/garden-context';
import { Failed, Waiting } from '../../../ui/states';
import { GardenPage } from '../../../frame/garden-page';
import { KindForm } from '../components/variety-form';
import { kindsQuery } from '../../../data/varieties';

/** Adds a variety from its packet or a generic one, or edits it. */
export function KindEdit() {
  const { kindId } = useParams();
  return (
    <GardenPage needs="keep" title={() => (kindId ? 'Edit variety' : 'New variety')}>
      {() => (kindId ? <Change kindId={kindId} /> : <New />)}
    </GardenPage>
  );
}

function New() {
  const [params] = useSearchParams();
  const starter = STARTER_CULTIVARS.find((s) => s.code === params.get('from'));
  if (!starter) return <KindForm kind={null} own={false} />;
  const { code: _, ...kind } = starter;
  return <KindForm kind={kind} own={false} />;
}

function Change({ kindId }: { kindId: string }) {
  const garden = useGarden();
  const link = useLink();
  const query = useQuery(kindsQuery(garden.id));
  if (query.isPending) return <Waiting what="Loading varieties" />;
  if (query.error) return <Failed error={query.error} again={() => void query.refetch()} />;
  const kind = query.data.find((k) => k.id === kindId);
  return kind ? <KindForm kind={kind} own /> : <Navigate to={link('kinds', {})} replace />;
}
