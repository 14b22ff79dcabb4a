import type { PlantAssessment } from '@candid-leaf/core/assessment';
import {
  type FeedForPlace,
  feedForPlace,
  feedingOf,
  feedingRecord,
  feedProduct,
  type FeedingStory,
  type FeedOutlook,
  nextFeed,
  plentyIn,
  type PlannedFeed,
  seasonFeed,
} from '@candid-leaf/core/care';
import { type FeedPlan, holdForDose } from '@candid-leaf/core/nutrition';
import type { Product } from '@candid-leaf/core/products';
import { isPotted } from '@candid-leaf/core/records';
import { livePlantsIn, type GardenSnapshot } from '../assessment/snapshots.service.js';
import type { PlaceEntity } from '../places/place.entity.js';

/** Returns the product and dose of a feed for so many plants of a bed or pot; null if the gardener's rule allows none. */
export function doseOf(
  s: GardenSnapshot,
  place: PlaceEntity,
  plan: PlannedFeed,
  plants: number,
  products: readonly Product[],
): FeedForPlace | null {
  const product = feedProduct(products, {
    lead: plan.lead,
    isPot: isPotted(place),
    organicOnly: s.garden.organicOnly ?? false,
    inBloomOrFruit: plan.lead === 'potash',
    plenty: plentyIn(place.soilTest ?? null),
  });
  const standing = Math.max(1, livePlantsIn(s, place.id).length);
  const areaM2 = place.lengthM && place.widthM ? (place.lengthM * place.widthM * plants) / standing : null;
  const potLitres = isPotted(place) ? place.volumeL : null;
  return product && feedForPlace(product, { plants, areaM2, potLitres }, plan.strength, s.format);
}

/** Returns the feed plan of a plant before its dose is known: enough to tell whether it was ever fed. */
export const planBeforeDose = (s: GardenSnapshot, own: PlantAssessment): FeedPlan =>
  feedingOf(own, { method: s.garden.starter ?? 'compost-balanced', pepperFeed: s.garden.pepperFeed });

/**
 * Returns the feed plan of a plant, the only one: Today and the plant's page both read it. A dose that would be refused
 * when it is recorded waits until it would not be.
 */
export function feedPlanOf(
  s: GardenSnapshot,
  place: PlaceEntity,
  own: PlantAssessment,
  products: readonly Product[],
): FeedPlan {
  const plan = planBeforeDose(s, own);
  const dose = plan.kind === 'feed' && !plan.hold ? doseOf(s, place, plan, 1, products) : null;
  if (plan.kind !== 'feed' || !dose) return plan;
  const fed = own.context.case.records.feeding;
  const hold = holdForDose(
    feedingRecord(dose, s.today),
    fed,
    { isPot: isPotted(place), potLitres: place.volumeL ?? null },
    s.today,
  );
  return hold && hold.until > plan.on ? { ...plan, hold, on: hold.until } : plan;
}

/** Returns what the season's feeds come to if the plan goes on; null if no feed comes. */
export function outlookOf(
  s: GardenSnapshot,
  place: PlaceEntity,
  own: PlantAssessment,
  { plan, story, products }: { plan: FeedPlan; story: FeedingStory | null; products: readonly Product[] },
): FeedOutlook | null {
  const next = nextFeed(plan, story?.fruiting ?? null, s.today);
  const dose = next && doseOf(s, place, next, 1, products);
  return dose ? seasonFeed(own, next, feedingRecord(dose, next.on)) : null;
}
