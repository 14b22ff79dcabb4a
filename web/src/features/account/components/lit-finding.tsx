import type { GardenDto } from '@candid-leaf/contract';
import { addDays, METRIC } from '@candid-leaf/core/units';
import type { ChartDay } from '../../../frame/charts/chart-days';
import { TemperatureChart } from '../../../frame/charts/temperature-chart';
import { WaterChart } from '../../../frame/charts/water-chart';
import { GardenContext } from '../../../lib/garden-context';
import { PlantDrawing } from '../../../signs/plant/plant-drawing';
import { SignPicture } from '../../../signs/sign-picture';

/** A made-up fortnight: a pot is forgotten twice, and its fruit get dark ends. */
const LAST = '2026-07-18';
const GIVEN_L = [3, 0, 0, 0, 0, 4, 0, 0, 0, 0, 4.5, 0, 2.5, 0];
const LEFT_PCT = [92, 78, 61, 42, 19, 95, 76, 52, 27, 8, 96, 74, 90, 71];
const WARMTH: readonly [number, number][] = [
  [16, 27],
  [17, 28],
  [18, 30],
  [18, 31],
  [19, 33],
  [18, 30],
  [18, 31],
  [19, 32],
  [20, 34],
  [21, 35],
  [19, 31],
  [18, 29],
  [17, 28],
  [17, 28],
];
const LIT = new Set([3, 4, 8, 9]);
const DAYS = LEFT_PCT.map((left, i): ChartDay => ({
  i,
  day: addDays(LAST, i + 1 - LEFT_PCT.length),
  ahead: false,
  warmth: WARMTH[i] ?? null,
  rainMm: 0,
  wateredL: GIVEN_L[i] ?? 0,
  left,
  leftAhead: null,
  moved: null,
  nitrogenG: 0,
  on: { water: [], feed: [], work: [], seen: [], note: [] },
}));
/** What the charts ask of a garden: its day and its units. */
const GARDEN = { today: LAST, units: METRIC, dateForm: 'd MMMM' } as GardenDto;

/** A finding lit in its records: what the whole product is about, in one picture. */
export function LitFinding() {
  return (
    <GardenContext.Provider value={GARDEN}>
      <figure className="rounded-2xl border border-line bg-card p-4">
        <div aria-hidden className="grid grid-cols-[7rem_1fr] items-end gap-3 sm:grid-cols-[11rem_1fr]">
          <div className="relative">
            <PlantDrawing
              bare
              plant={{ crop: 'tomato', habit: 'determinate', type: 'paste', stage: 'ripening' }}
              held="stake"
              className="h-52 w-full sm:h-60"
            />
            <SignPicture
              sign="fruit-blossom-end-dark"
              crop="tomato"
              className="absolute right-0 bottom-0 size-16 sm:size-20"
            />
          </div>
          <div className="relative">
            {DAYS.filter((d) => LIT.has(d.i)).map((d) => (
              <div
                key={d.day}
                className="absolute inset-y-0 bg-lit"
                style={{ left: `${(d.i / DAYS.length) * 100}%`, width: `${100 / DAYS.length}%` }}
              />
            ))}
            <div className="relative sm:[&_p]:static sm:[&_p]:w-auto sm:[&_p]:px-0 sm:[&_p]:text-left">
              <TemperatureChart days={DAYS} crop="tomato" />
              <WaterChart days={DAYS} />
            </div>
          </div>
        </div>
        <figcaption className="mt-3">
          <strong>Blossom end rot.</strong> The pot ran dry on 8 and 14 July, while these fruit grew.
        </figcaption>
      </figure>
    </GardenContext.Provider>
  );
}
