import { CloudRain } from 'lucide-react';
import { useFormat, useGarden } from '../../../lib/garden-context';
import { LitresOpened } from '../../../ui/litres-opened';
import { percent } from '../../../ui/water-left';
import type { PlaceDay, PourOnDay } from '../week-of';

interface Props {
  d: PlaceDay;
  /** all plants of the bed get the same */
  together: boolean;
}

/** One day of the plan in words: what each group gets, how, and why. */
export function DayOfWeek({ d, together }: Props) {
  const garden = useGarden();
  const format = useFormat();
  const isToday = d.date === garden.today;
  return (
    <div aria-live="polite" className="mt-3 border-t border-line pt-2">
      <p className="font-semibold">{isToday ? 'Today' : format.weekdayAndDay(d.date)}</p>
      <ul>
        {d.pours.map((x) => (
          <PourLine key={x.pour.id} x={x} named={!together} />
        ))}
      </ul>
      {d.rainMm >= 1 && (
        <p className="flex items-center gap-1.5 text-sm text-soft">
          <CloudRain aria-hidden size={16} /> {format.rain(d.rainMm)} of rain {isToday ? 'so far' : 'forecast'}
        </p>
      )}
    </div>
  );
}

/** What one group gets that day, how, and what is left at night. */
function PourLine({ x: { pour, day, litres }, named }: { x: PourOnDay; named: boolean }) {
  const format = useFormat();
  return (
    <li>
      {day.litres > 0 ? (
        <p className="tabular-nums">
          {named && `${pour.speaker}: `}
          <LitresOpened says={<strong>{format.litres(litres)}</strong>} of={day.of} plants={pour.plants.length} />
          {stepsInWords(day)}{' '}
          <span className="text-soft">
            {pour.plants.length > 1 && `${format.litres(day.litres)} per plant, `}
            {format.rain(day.mm)} over its soil: {day.why}
            {day.laterL > 0 && `; save ${format.litres(day.laterL)} for after midday`}.
          </span>
        </p>
      ) : (
        <p className="text-soft">
          {named && `${pour.speaker}: `}no water{day.why && !pour.plan?.held && `: ${day.why}`}, {percent(day.left)}{' '}
          left at night{day.leftWithoutRain < day.left - 0.02 && `, ${percent(day.leftWithoutRain)} without the rain`}
        </p>
      )}
    </li>
  );
}

/** Returns "18 min", or rounds if the soil takes it slowly. */
function stepsInWords({ steps: s }: PourOnDay['day']): string {
  if (!s) return '';
  const each = s.minutes === null ? '' : `${Math.max(1, Math.round(s.minutes))} min`;
  if (s.times === 1) return each;
  return `${each ? `${s.times} rounds of ${each}` : `in ${s.times} rounds`}, ${s.waitMinutes} minutes apart`;
}
