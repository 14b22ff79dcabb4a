import type { Day } from '@candid-leaf/core/units';
import { field, heightOf, line, runs } from './paths';
import { Drawn, Level, Scale, ChartRow } from './chart-row';
import type { ChartDay } from './chart-days';

/** Bars use the lower part of the row. */
const BARS_UNDER = 2.2;
/** Width of rain and watering bars, days. */
const RAIN_DAYS = 0.5;
const WATER_DAYS = 0.28;
/** Rain is paler than watering, and still 3:1 on its card. */
export const RAIN_OPACITY = 0.65;

const NO_OTHER: ReadonlyMap<Day, number> = new Map();

/**
 * Water left in the root zone with rain, watering and corrections; as a second line, the water it would have had.
 */
export function WaterChart({
  days,
  other = NO_OTHER,
}: {
  days: readonly ChartDay[];
  other?: ReadonlyMap<Day, number>;
}) {
  const mostRain = Math.max(10, ...days.map((d) => d.rainMm));
  const mostWater = Math.max(4, ...days.map((d) => d.wateredL));
  const points = (of: (d: ChartDay) => number | null) =>
    runs(days.map((d) => ({ i: d.i, of: of(d) }))).map((run) =>
      run.map((p) => ({ i: p.i, y: heightOf(p.of, 0, 100) })),
    );
  const bar = (i: number, share: number, wide: number): string =>
    `M${i + 0.5 - wide / 2} 100v${-share * 100}h${wide}v${share * 100}Z`;
  const bars = (of: (d: ChartDay) => number, most: number, wide: number): string =>
    days
      .filter((d) => of(d) > 0)
      .map((d) => bar(d.i, of(d) / (most * BARS_UNDER), wide))
      .join('');
  const level = { className: 'fill-none stroke-moist', strokeWidth: 2.5, vectorEffect: 'non-scaling-stroke' } as const;
  const past = points((d) => d.left);
  return (
    <ChartRow
      label="Water left"
      aside={<Scale values={[100, 50]} low={0} high={100} show={(p) => `${p} %`} />}
      tall="h-28 sm:h-32"
    >
      <Drawn days={days.length}>
        <Level at={50} days={days.length} />
        {past.map((run) => (
          <path key={run[0]!.i} d={field(run)} className="fill-moist" opacity={0.35} />
        ))}
        <path d={past.map(line).join('')} {...level} />
        <path
          d={points((d) => d.leftAhead)
            .map(line)
            .join('')}
          {...level}
          strokeDasharray="5 4"
        />
        <path
          data-other
          d={points((d) => other.get(d.day) ?? null)
            .map(line)
            .join('')}
          className="fill-none stroke-leaf"
          strokeWidth={2}
          strokeDasharray="1 4"
          strokeLinecap="round"
          vectorEffect="non-scaling-stroke"
        />
        {days.map(
          (d) =>
            d.moved && (
              <path
                key={d.day}
                d={line([
                  { i: d.i, y: heightOf(d.moved.from, 0, 100) },
                  { i: d.i, y: heightOf(d.moved.to, 0, 100) },
                ])}
                className="fill-none stroke-leaf"
                strokeWidth={4}
                vectorEffect="non-scaling-stroke"
              />
            ),
        )}
        <path d={bars((d) => d.rainMm, mostRain, RAIN_DAYS)} className="fill-rain" opacity={RAIN_OPACITY} />
        <path d={bars((d) => d.wateredL, mostWater, WATER_DAYS)} className="fill-rain" />
      </Drawn>
    </ChartRow>
  );
}
