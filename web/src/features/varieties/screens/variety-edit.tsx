import { STARTER_VARIETIES } from '@candid-leaf/core/varieties';
import { useQuery } from '@tanstack/react-query';
import { Navigate, useParams, useSearchParams } from 'react-router';
import { useGarden, useLink } from '../../../lib/garden-context';
import { Failed, Waiting } from '../../../ui/states';
import { GardenPage } from '../../../frame/garden-page';
import { VarietyForm } from '../components/variety-form';
import { varietiesQuery } from '../../../data/varieties';

/** Adds a variety from its packet or a generic one, or edits it. */
export function KindEdit() {
  const { varietyId } = useParams();
  return (
    <GardenPage narrow needs="keep" title={() => (varietyId ? 'Edit variety' : 'New variety')}>
      {() => (varietyId ? <Change varietyId={varietyId} /> : <New />)}
    </GardenPage>
  );
}

function New() {
  const [params] = useSearchParams();
  const starter = STARTER_VARIETIES.find((s) => s.code === params.get('from'));
  if (!starter) return <VarietyForm variety={null} own={false} />;
  const { code: _, ...variety } = starter;
  return <VarietyForm variety={variety} own={false} />;
}

function Change({ varietyId }: { varietyId: string }) {
  const garden = useGarden();
  const link = useLink();
  const query = useQuery(varietiesQuery(garden.id));
  if (query.isPending) return <Waiting what="Loading varieties" />;
  if (query.error) return <Failed error={query.error} again={() => void query.refetch()} />;
  const variety = query.data.find((k) => k.id === varietyId);
  return variety ? <VarietyForm variety={variety} own /> : <Navigate to={link('varieties', {})} replace />;
}
