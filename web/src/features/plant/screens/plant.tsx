import { PlantPage } from '../components/plant-page';
import { PlantStory } from '../components/plant-story';

/** One plant that worries: drawn, with its strands, what it is, why here, and what to do. */
export function PlantScreen() {
  return <PlantPage waiting="Fetching its story">{(view) => <PlantStory key={view.plant.id} view={view} />}</PlantPage>;
}
