import { COLD_NIGHT_C, HOT_DAY_C } from '@candid-leaf/core/climate';
import type { Crop } from '@candid-leaf/core/records';
import { useFormat, useGarden } from '../../lib/garden-context';
import { field, heightOf, line, runs } from './paths';
import { Drawn, Level, Scale, ChartRow } from './chart-row';
import type { ChartDay } from './chart-days';

/** Night to day temperature, with the limits of flower failure as hairlines. */
export function TemperatureChart({ days, crop }: { days: readonly ChartDay[]; crop: Crop }) {
  const { today } = useGarden();
  const format = useFormat();
  const limits = [HOT_DAY_C, COLD_NIGHT_C[crop]];
  const warm = days.flatMap((d) => d.warmth ?? []);
  const low = Math.floor(Math.min(8, ...warm));
  const high = Math.ceil(Math.max(HOT_DAY_C + 2, ...warm));
  const bands = (of: (d: ChartDay) => boolean) =>
    runs(days.map((d) => ({ i: d.i, of: of(d) ? d.warmth : null }))).map((run) => {
      const edge = (k: 0 | 1) => run.map((p) => ({ i: p.i, y: heightOf(p.of[k], low, high) }));
      return { area: field(edge(1), edge(0)), edges: line(edge(0)) + line(edge(1)) };
    });
  return (
    <ChartRow
      label="Temperature"
      aside={<Scale values={limits} low={low} high={high} show={format.temperature} />}
      tall="h-18 sm:h-22"
    >
      <Drawn days={days.length}>
        {limits.map((limit) => (
          <Level key={limit} at={heightOf(limit, low, high)} days={days.length} />
        ))}
        {bands((d) => !d.ahead).map((b) => (
          <path key={b.area} d={b.area} className="fill-warm" />
        ))}
        {bands((d) => d.ahead || d.day === today).map((b) => (
          <g key={b.area}>
            <path d={b.area} className="fill-warm" opacity={0.3} />
            <path
              d={b.edges}
              className="fill-none stroke-warm"
              strokeDasharray="4 3"
              vectorEffect="non-scaling-stroke"
            />
          </g>
        ))}
      </Drawn>
    </ChartRow>
  );
}
