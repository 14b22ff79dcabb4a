import type { RibbonDay } from '@candid-leaf/contract';
import { format, parseISO } from 'date-fns';
import { useState } from 'react';
import { useSearchParams } from 'react-router';
import { useGarden } from '../../data/garden-context';
import { useGauge } from '../../data/queries';
import { Button } from '../../parts/button';
import { TextField } from '../../parts/field';
import { faultsIn } from '../../parts/form-faults';
import { RECORD_KINDS } from '../../parts/record-kinds';
import { useSay } from '../../parts/toast';

/** What the garden knows of one day. */
export function DayPanel({ day }: { day: RibbonDay }) {
  const garden = useGarden();
  const [, setParams] = useSearchParams();
  const w = day.weather;
  const done = Object.entries(day.done) as [keyof typeof RECORD_KINDS, number][];
  return (
    <section aria-labelledby="day" className="rounded-2xl border border-line bg-card p-4">
      <h2 id="day" className="text-xl">
        {format(parseISO(day.day), 'EEEE d MMMM')}
      </h2>
      <p className="text-sm text-soft">
        The beds show the water left that day{day.day > garden.today ? ', if nobody waters' : ''}.
      </p>
      {w ? (
        <dl className="mt-3 grid grid-cols-[auto_1fr] gap-x-4 gap-y-1">
          <dt className="text-soft">{w.kind === 'forecast' ? 'Forecast' : 'Warmth'}</dt>
          <dd>
            {showTemperature(w.tMinC, garden.units)} to {showTemperature(w.tMaxC, garden.units)}
          </dd>
          <dt className="text-soft">Rain</dt>
          <dd>
            {showRain(w.rainMm, garden.units)}
            {w.gaugeMm !== null
              ? ' in your own gauge'
              : w.rainChancePct !== null
                ? `, ${w.rainChancePct} % likely`
                : ''}
          </dd>
          {done.map(([type, n]) => (
            <Row key={type} label={RECORD_KINDS[type].label} value={n === 1 ? 'once' : `${n} times`} />
          ))}
          {day.due > 0 && <Row label="Due" value={`${day.due}`} />}
        </dl>
      ) : (
        <p className="mt-3">No weather is known of this day.</p>
      )}
      {w?.kind === 'observed' && <Gauge key={day.day} day={day.day} gaugeMm={w.gaugeMm} />}
      <Button look="quiet" className="mt-2 -ml-3" onClick={() => setParams({}, { replace: true })}>
        Back to today
      </Button>
    </section>
  );
}

const Row = ({ label, value }: { label: string; value: string }) => (
  <>
    <dt className="text-soft">{label}</dt>
    <dd>{value}</dd>
  </>
);

function Gauge({ day, gaugeMm }: { day: string; gaugeMm: number | null }) {
  const garden = useGarden();
  const per = garden.units.length === 'cm' ? 1 : 25.4;
  const [text, setText] = useState(gaugeMm === null ? '' : String(Number((gaugeMm / per).toFixed(2))));
  const gauge = useGauge(garden.id);
  const say = useSay();
  return (
    <form
      noValidate
      className="mt-4 flex items-end gap-2 border-t border-line pt-3"
      onSubmit={(e) => {
        e.preventDefault();
        gauge.mutate(
          { day, rainMm: text === '' ? null : Number(text) * per },
          { onSuccess: () => say('Your own gauge counts for this day.') },
        );
      }}
    >
      <TextField
        className="flex-1"
        label={`Your rain gauge (${per === 1 ? 'mm' : 'in'})`}
        type="number"
        min={0}
        step="any"
        inputMode="decimal"
        value={text}
        onChange={(e) => setText(e.target.value)}
        error={faultsIn(gauge.error)[0]?.reason}
      />
      <Button type="submit">Keep</Button>
    </form>
  );
}
