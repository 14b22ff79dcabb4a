import type { StoodPlace } from '@candid-leaf/contract';
import { disorderRow } from '@candid-leaf/core/diagnosis';
import { isPotted } from '@candid-leaf/core/records';
import { sizeIn } from '../assessment/growth.js';
import type { GardenSnapshot } from '../assessment/snapshots.service.js';
import { groundOf, nameOf, yearOf } from './planting-on-view.js';

/** Returns what grew where in a season, in walking order, and its problems; beds without records are left out. */
export function stoodIn(s: GardenSnapshot, year: number): StoodPlace[] {
  return s.places.flatMap((place): StoodPlace[] => {
    const plants = s
      .plantsIn(place.id)
      .filter((p) => p.transplantedOn && yearOf(s, p.transplantedOn) === year)
      .map((p) => ({
        id: p.id,
        name: p.name,
        crop: p.crop,
        habit: p.habit,
        type: p.type,
        heightM: sizeIn(s, p).heightM,
        training: p.training,
        variety: nameOf(s, p),
        plantedOn: p.transplantedOn!,
        endedOn: p.retiredOn,
        because: p.endedBecause,
      }));
    const troubles = new Set(groundOf(place).flatMap((y) => (y.year === year ? (y.problems ?? []) : [])));
    return plants.length > 0 || troubles.size > 0
      ? [
          {
            placeId: place.id,
            place: place.name,
            isPot: isPotted(place),
            plants,
            troubles: [...troubles].map((d) => disorderRow(d).label),
            disorders: [...troubles],
          },
        ]
      : [];
  });
}
