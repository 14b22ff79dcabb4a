import type { SeasonView } from '@candid-leaf/contract';
import { disorderRow } from '@candid-leaf/core/diagnosis';
import { SECOND_CROP_DAYS, secondCropIn, secondSowing } from '@candid-leaf/core/planning';
import { coverOf } from '@candid-leaf/core/records';
import { frostsOf } from '@candid-leaf/core/season';
import { addDays } from '@candid-leaf/core/units';
import { stageIn } from '../assessment/growth.js';
import { weatherIn } from '../assessment/weather-lists.js';
import { livePlaces, livePlantsIn, type GardenSnapshot } from '../assessment/snapshots.service.js';
import { groundOf, modeOf, seasonOf } from './planting-on-view.js';

/** Days before its last sowing day from which a second crop is suggested. */
const AHEAD_DAYS = 42;

/** Returns where a second crop can grow this year, while it can be sown; null outside that time, or without frost. */
export function secondIn(s: GardenSnapshot, year: number): SeasonView['second'] {
  const { first } = frostsOf(s.garden, seasonOf(s, year));
  if (first === null || modeOf(s) !== 'warm') return null;
  const by = secondSowing(
    { ...s.garden, firstFrost: first, today: s.today, recorded: weatherIn(s).filter((w) => w.date <= s.today) },
    SECOND_CROP_DAYS,
  );
  if (by === null || s.today > by || s.today < addDays(by, -AHEAD_DAYS)) return null;
  const places = livePlaces(s)
    .filter((p) => coverOf(p) !== 'indoors')
    .map((place) => {
      const plants = livePlantsIn(s, place.id);
      const answer = secondCropIn({
        place: { kind: place.kind, history: groundOf(place) },
        year,
        standing: plants.length,
        leaving: plants.filter((p) => p.habit === 'determinate' || stageIn(s, p) === 'late').length,
        shields: [],
      });
      const text = answer.fits
        ? answer.room === 'now'
          ? 'free and clean'
          : 'clean; its bush plants make room after picking'
        : answer.because === 'full'
          ? 'full until autumn'
          : `not clean: ${answer.disorders.map((d) => disorderRow(d).label.toLowerCase()).join(', ')} was found here`;
      return { placeId: place.id, place: place.name, fits: answer.fits, text };
    });
  return { by, places };
}
