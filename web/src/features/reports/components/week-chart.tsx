import type { HarvestReport } from '@candid-leaf/core/reports';
import { measureOf } from '@candid-leaf/core/units';
import { Bar, BarChart, ResponsiveContainer, XAxis, YAxis } from 'recharts';
import { useFormat, useUnits } from '../../../lib/garden-context';

const TICK = { fill: 'var(--color-soft)', fontSize: 12 };

/** Harvest by week with losses on top; its table is below. */
export default function WeekChart({ weeks }: { weeks: HarvestReport['weeks'] }) {
  const format = useFormat();
  const mass = measureOf('kilograms', useUnits());
  const data = weeks.map((w) => ({ ...w, kg: mass.fromMetric(w.kg), lostKg: mass.fromMetric(w.lostKg) }));
  const most = weeks.reduce((a, b) => (b.kg > a.kg ? b : a));
  return (
    <div
      role="img"
      aria-label={`Harvest by week: the most in the week of ${format.day(most.from)}, ${format.kilograms(most.kg)}`}
    >
      <div aria-hidden className="mt-2 h-44">
        <ResponsiveContainer width="100%" height="100%">
          <BarChart accessibilityLayer={false} data={data} margin={{ top: 8, right: 8, bottom: 0, left: -12 }}>
            <XAxis
              dataKey="from"
              tick={TICK}
              tickFormatter={(d: string) => format.dayShort(d)}
              stroke="var(--color-line)"
            />
            <YAxis tick={TICK} unit={` ${mass.symbol}`} stroke="var(--color-line)" width={62} />
            <Bar dataKey="kg" stackId="a" fill="var(--color-green)" isAnimationActive={false} maxBarSize={44} />
            <Bar
              dataKey="lostKg"
              stackId="a"
              fill="var(--color-dry)"
              stroke="var(--color-soft)"
              isAnimationActive={false}
              maxBarSize={44}
            />
          </BarChart>
        </ResponsiveContainer>
      </div>
    </div>
  );
}
