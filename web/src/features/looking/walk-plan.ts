import type { GardenView, PlaceOnView, PlantOnView } from '@candid-leaf/contract';
import type { SignCode } from '@candid-leaf/core/records';

/** A walk along one bed. It needs no state: plants looked over today are done. */
export interface WalkPlan {
  place: PlaceOnView;
  plants: readonly PlantOnView[];
  looked: (p: PlantOnView) => boolean;
  /** the next plant after this one (or from the start) not looked over today */
  next: (after?: string) => PlantOnView | null;
  /** signs found today on other plants of the bed, offered here */
  offered: (plantId: string) => { sign: SignCode; on: string }[];
}

export function walkPlan(view: GardenView, placeId: string): WalkPlan | null {
  const place = view.places.find((p) => p.place.id === placeId);
  if (!place) return null;
  const { plants } = place;
  const looked = (p: PlantOnView) => p.lastLook === view.garden.today;
  return {
    place,
    plants,
    looked,
    next: (after) => {
      const i = plants.findIndex((p) => p.plant.id === after);
      return (
        [...plants.slice(i + 1), ...plants.slice(0, i + 1)].find((p) => !looked(p) && p.plant.id !== after) ?? null
      );
    },
    offered: (plantId) => {
      const out = new Map<SignCode, string>();
      for (const p of plants)
        if (p.plant.id !== plantId) for (const sign of p.seenToday) if (!out.has(sign)) out.set(sign, p.plant.name);
      return [...out].map(([sign, on]) => ({ sign, on }));
    },
  };
}
