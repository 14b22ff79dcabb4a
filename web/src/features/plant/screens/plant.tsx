import type { GardenView, PlantDto } from '@candid-leaf/contract';
import { PlantPage } from '../components/plant-page';
import { PlantStory } from '../components/plant-story';

/** Whoever walks along comes to this one next; after the last, the first. */
function nextOnTheWalk(garden: GardenView | undefined, plantId: string): PlantDto | null {
  const walk = (garden?.places ?? []).flatMap((p) => p.plants.map((x) => x.plant));
  const here = walk.findIndex((p) => p.id === plantId);
  return here < 0 || walk.length < 2 ? null : walk[(here + 1) % walk.length]!;
}

/** One plant that worries: drawn, with its strands, what it is, why here, and what to do. */
export function PlantScreen() {
  return (
    <PlantPage waiting="Loading the plant">
      {(view, around) => <PlantStory key={view.plant.id} view={view} next={nextOnTheWalk(around, view.plant.id)} />}
    </PlantPage>
  );
}
