import type { FeedingStory, FeedOutlook } from '@candid-leaf/core/care';
import { addDays, type Day, daysBetween } from '@candid-leaf/core/units';
import { Area, ComposedChart, Line, ReferenceLine, ResponsiveContainer, XAxis, YAxis } from 'recharts';
import { useFormat } from '../../../lib/garden-context';

const TICK = { fill: 'var(--color-soft)', fontSize: 12 };
const LINE = { stroke: 'var(--color-timber)', strokeWidth: 2.5, dot: false, isAnimationActive: false } as const;

interface Point {
  day: Day;
  /** its place on the axis, days */
  at: number;
  want: [number, number];
  supply?: number;
  planned?: number;
}

/** The season's nitrogen beside a good crop's need: so far, and as planned. Flowers and fruit are marked. */
export default function SupplyChart({ story, outlook }: { story: FeedingStory; outlook: FeedOutlook | null }) {
  const format = useFormat();
  const from = story.days[0]!.day;
  const at = (day: Day): number => daysBetween(from, day);
  const past: Point[] = story.days.map((d) => ({
    day: d.day,
    at: at(d.day),
    supply: Math.max(0, d.soil + d.freed - d.washed),
    want: [d.takenLow, d.takenHigh],
  }));
  const today = past.at(-1)!;
  const ahead: Point[] = (outlook?.days ?? [])
    .filter((d) => d.day > today.day)
    .map((d) => ({ day: d.day, at: at(d.day), planned: d.supply, want: [d.low, d.high] }));
  // the planned line goes on where the other ends
  const data = ahead.length > 0 ? [...past.slice(0, -1), { ...today, planned: today.supply! }, ...ahead] : past;
  const last = data.at(-1)!;
  const mark = (day: Day | null, label: string) =>
    day && day >= from && day <= last.day ? (
      <ReferenceLine
        key={label}
        x={at(day)}
        stroke="var(--color-soft)"
        strokeDasharray="3 3"
        label={{ value: label, position: 'insideTopLeft', fill: 'var(--color-soft)', fontSize: 12 }}
      />
    ) : null;
  const planned =
    ahead.length > 0
      ? `; as planned ${format.nutrient(last.planned!)} by ${format.day(last.day)}, and a good crop needs ${format.nutrient(last.want[0])} to ${format.nutrient(last.want[1])}`
      : '';
  return (
    <figure className="mt-2">
      <div
        role="img"
        aria-label={`Nitrogen: ${format.nutrient(today.supply!)} available so far; a good crop has taken up ${format.nutrient(today.want[0])} to ${format.nutrient(today.want[1])}${planned}`}
      >
        <div aria-hidden className="h-48">
          <ResponsiveContainer width="100%" height="100%">
            <ComposedChart accessibilityLayer={false} data={data} margin={{ top: 8, right: 8, bottom: 0, left: -12 }}>
              <XAxis
                dataKey="at"
                type="number"
                domain={[0, last.at]}
                tick={TICK}
                tickFormatter={(n: number) => format.dayShort(addDays(from, n))}
                minTickGap={36}
                stroke="var(--color-line)"
              />
              <YAxis tick={TICK} unit=" g" stroke="var(--color-line)" width={58} />
              <Area
                dataKey="want"
                stroke="none"
                fill="var(--color-leaf)"
                fillOpacity={0.18}
                isAnimationActive={false}
              />
              <Line {...LINE} dataKey="supply" type="stepAfter" />
              <Line {...LINE} dataKey="planned" strokeDasharray="2 4" />
              {ahead.length > 0 && <ReferenceLine x={today.at} stroke="var(--color-soft)" />}
              {mark(story.flowering, 'flowers')}
              {mark(story.fruiting, 'fruit')}
            </ComposedChart>
          </ResponsiveContainer>
        </div>
      </div>
      <figcaption aria-hidden className="flex flex-wrap gap-x-4 text-sm text-soft">
        <span className="inline-flex items-center gap-1.5">
          <span className="h-0.5 w-5 bg-timber" /> fed, or from the soil or mix
        </span>
        {ahead.length > 0 && (
          <span className="inline-flex items-center gap-1.5">
            <span className="w-5 border-t-2 border-dotted border-timber" /> as planned
          </span>
        )}
        <span className="inline-flex items-center gap-1.5">
          <span className="h-3 w-5 bg-leaf/20" /> needed by a good crop
        </span>
      </figcaption>
    </figure>
  );
}
