import { COLD_NIGHT_C, HOT_DAY_C } from '@candid-leaf/core/climate';
import type { Crop } from '@candid-leaf/core/records';
import { Area, ComposedChart, ReferenceLine, ResponsiveContainer, XAxis, YAxis } from 'recharts';
import { useFormat, useGarden } from '../../../lib/garden-context';
import { dayDomain, NO_MARGIN, Scale, Strand } from './strand';
import type { StrandDay } from './strand-days';

/** From the night's warmth to the day's, with the limits at which this crop's flowers fail as hairlines. */
export function WarmthStrand({ days, crop }: { days: readonly StrandDay[]; crop: Crop }) {
  const { today } = useGarden();
  const format = useFormat();
  const limits = [HOT_DAY_C, COLD_NIGHT_C[crop]];
  const warm = days.flatMap((d) => d.warmth ?? []);
  const low = Math.floor(Math.min(8, ...warm));
  const high = Math.ceil(Math.max(HOT_DAY_C + 2, ...warm));
  return (
    <Strand
      label="Warmth"
      aside={<Scale values={limits} low={low} high={high} show={format.temperature} />}
      tall="h-22"
    >
      <ResponsiveContainer width="100%" height="100%">
        <ComposedChart data={[...days]} margin={NO_MARGIN} accessibilityLayer={false}>
          <XAxis type="number" dataKey="i" domain={dayDomain(days.length)} hide allowDataOverflow />
          <YAxis domain={[low, high]} hide />
          {limits.map((limit) => (
            <ReferenceLine key={limit} y={limit} stroke="var(--color-soft)" strokeDasharray="2 4" />
          ))}
          <Area
            dataKey={(d: StrandDay) => (d.ahead ? null : d.warmth)}
            stroke="var(--color-warm)"
            fill="var(--color-warm)"
            fillOpacity={0.75}
            isAnimationActive={false}
            type="monotone"
          />
          <Area
            dataKey={(d: StrandDay) => (d.ahead || d.day === today ? d.warmth : null)}
            stroke="var(--color-warm)"
            strokeDasharray="4 3"
            fill="var(--color-warm)"
            fillOpacity={0.3}
            isAnimationActive={false}
            type="monotone"
          />
        </ComposedChart>
      </ResponsiveContainer>
    </Strand>
  );
}
