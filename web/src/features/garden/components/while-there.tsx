import type { GardenView } from '@candid-leaf/contract';
import { asksNow } from '@candid-leaf/core/growth';
import { GrowthQuestion } from '../../../frame/acts/growth-question';

/** One question about the plant whose next milestone is least certain; after its answer comes the next plant. */
export function WhileThere({ view: { places, garden } }: { view: GardenView }) {
  const even = (chance = 0): number => Math.abs(chance - 0.5);
  const asked = places
    .flatMap((p) => p.plants)
    .filter(({ growth }) => asksNow(growth, garden.today))
    .sort((a, b) => even(a.growth.unsure?.chance) - even(b.growth.unsure?.chance))[0];
  return asked ? <GrowthQuestion key={asked.plant.id} among plant={asked.plant} growth={asked.growth} /> : null;
}
