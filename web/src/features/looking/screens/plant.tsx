import type { GardenView, PlantDto } from '@candid-leaf/contract';
import { PlantPage } from '../../../frame/plant-page';
import { PlantStory } from '../components/plant-story';

/** Returns the next plant on the walk; after the last, the first. */
function nextOnTheWalk(garden: GardenView | undefined, plantId: string): PlantDto | null {
  const walk = (garden?.places ?? []).flatMap((p) => p.plants.map((x) => x.plant));
  const here = walk.findIndex((p) => p.id === plantId);
  return here < 0 || walk.length < 2 ? null : walk[(here + 1) % walk.length]!;
}

/** A plant's page: drawing, charts, finding, why here, and what to do. */
export function PlantScreen() {
  return (
    <PlantPage waiting="Loading the plant">
      {(view, around) => <PlantStory key={view.plant.id} view={view} next={nextOnTheWalk(around, view.plant.id)} />}
    </PlantPage>
  );
}
