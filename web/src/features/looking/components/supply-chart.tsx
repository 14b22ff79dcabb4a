import type { FeedingStory } from '@candid-leaf/core/care';
import { Area, ComposedChart, Line, ReferenceLine, ResponsiveContainer, XAxis, YAxis } from 'recharts';
import { useFormat } from '../../../lib/garden-context';

const TICK = { fill: 'var(--color-soft)', fontSize: 12 };

/** Available nitrogen compared with a good crop's need; flowers and fruit marked. */
export default function SupplyChart({ story }: { story: FeedingStory }) {
  const format = useFormat();
  const data = story.days.map((d) => ({
    day: d.day,
    supply: Math.max(0, d.soil + d.freed - d.washed),
    want: [d.takenLow, d.takenHigh] as [number, number],
  }));
  const last = data.at(-1)!;
  const mark = (day: string | null, label: string) =>
    day && day >= data[0]!.day && day <= last.day ? (
      <ReferenceLine
        key={label}
        x={day}
        stroke="var(--color-soft)"
        strokeDasharray="3 3"
        label={{ value: label, position: 'insideTopLeft', fill: 'var(--color-soft)', fontSize: 12 }}
      />
    ) : null;
  return (
    <figure className="mt-2">
      <div
        role="img"
        aria-label={`Nitrogen: ${format.nutrient(last.supply)} available so far; a good crop has taken up ${format.nutrient(last.want[0])} to ${format.nutrient(last.want[1])}`}
      >
        <div aria-hidden className="h-48">
          <ResponsiveContainer width="100%" height="100%">
            <ComposedChart accessibilityLayer={false} data={data} margin={{ top: 8, right: 8, bottom: 0, left: -12 }}>
              <XAxis
                dataKey="day"
                tick={TICK}
                tickFormatter={(d: string) => format.dayShort(d)}
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
              <Line
                dataKey="supply"
                type="stepAfter"
                stroke="var(--color-timber)"
                strokeWidth={2.5}
                dot={false}
                isAnimationActive={false}
              />
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
        <span className="inline-flex items-center gap-1.5">
          <span className="h-3 w-5 bg-leaf/20" /> needed by a good crop
        </span>
      </figcaption>
    </figure>
  );
}
