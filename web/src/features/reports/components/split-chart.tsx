import type { HarvestReport } from '@candid-leaf/core/reports';
import { Bar, ComposedChart, Line, ResponsiveContainer, XAxis, YAxis } from 'recharts';
import { useFormat } from '../../../lib/garden-context';

const TICK = { fill: 'var(--color-soft)', fontSize: 12 };
const MARGIN = { top: 8, right: 0, bottom: 0, left: -12 };

/** Split fruit by week, beside the longest pause between waterings; its numbers are in the table. */
export default function SplitChart({ weeks }: { weeks: HarvestReport['weeks'] }) {
  const format = useFormat();
  const data = weeks.map((w) => ({
    from: w.from,
    split: w.splitShare === null ? null : Math.round(w.splitShare * 100),
    gap: w.gapDays,
  }));
  const most = data.reduce((a, b) => ((b.split ?? 0) > (a.split ?? 0) ? b : a));
  return (
    <div
      role="img"
      aria-label={`Split fruit by week: the most in the week of ${format.day(most.from)}, ${most.split ?? 0} %${most.gap === null ? '' : `, after a pause of ${most.gap} days`}`}
    >
      <div aria-hidden className="mt-2 h-44">
        <ResponsiveContainer width="100%" height="100%">
          <ComposedChart accessibilityLayer={false} data={data} margin={MARGIN}>
            <XAxis
              dataKey="from"
              tick={TICK}
              tickFormatter={(d: string) => format.dayShort(d)}
              stroke="var(--color-line)"
            />
            <YAxis yAxisId="split" tick={TICK} unit=" %" stroke="var(--color-line)" width={56} />
            <YAxis
              yAxisId="gap"
              orientation="right"
              tick={TICK}
              unit=" d"
              allowDecimals={false}
              stroke="var(--color-line)"
              width={40}
            />
            <Bar yAxisId="split" dataKey="split" fill="var(--color-ripe)" isAnimationActive={false} maxBarSize={44} />
            <Line
              yAxisId="gap"
              dataKey="gap"
              stroke="var(--color-rain)"
              strokeWidth={2}
              dot={{ r: 3 }}
              connectNulls
              isAnimationActive={false}
            />
          </ComposedChart>
        </ResponsiveContainer>
      </div>
    </div>
  );
}
