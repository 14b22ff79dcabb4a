import { Navigate, useParams } from 'react-router';
import { ApiError } from '../../data/api';
import { useGardenView, usePlantView } from '../../data/queries';
import { Shell } from '../../parts/shell';
import { Failed, Waiting } from '../../parts/states';
import { PlantStory } from './plant-story';

/** One plant that worries: drawn, with its strands, what it is, why here, and what to do. */
export function PlantScreen() {
  const { gardenId, plantId } = useParams() as { gardenId: string; plantId: string };
  const view = usePlantView(gardenId, plantId);
  const around = useGardenView(gardenId);
  if (view.isPending) return <Waiting what="Fetching its story" />;
  if (view.error instanceof ApiError && view.error.status === 401) return <Navigate to="/sign-in" replace />;
  if (view.error) return <Failed error={view.error} again={() => void view.refetch()} />;
  return (
    <Shell garden={view.data.garden} ribbon={around.data?.ribbon} weather={around.data?.weather}>
      <PlantStory key={plantId} view={view.data} />
    </Shell>
  );
}
