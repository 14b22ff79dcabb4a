import type { RibbonDay, WeatherDto, WeatherServiceDto } from '@candid-leaf/contract';
import { RECORD_TYPES, type RecordType } from '@candid-leaf/core/records';
import { useState } from 'react';
import { useSearchParams } from 'react-router';
import { v7 as uuid } from 'uuid';
import { useFormat, useGarden } from '../../../lib/garden-context';
import { Button } from '../../../ui/button';
import { Credit } from '../../../ui/credit';
import { faultsIn } from '../../../ui/faults';
import { MeasuredInput } from '../../../ui/measured-input';
import { Panel } from '../../../ui/panel';
import { useSay } from '../../../ui/toast';
import { useWrite } from '../../../ui/use-write';
import { deleteRecord, restoreRecord, saveRecord } from '../../../data/records';

/** Everything known about one day. */
export function DayPanel({ day, service }: { day: RibbonDay; service: WeatherServiceDto | null }) {
  const garden = useGarden();
  const format = useFormat();
  const [, setParams] = useSearchParams();
  const w = day.weather;
  const done = Object.entries(day.done) as [RecordType, number][];
  return (
    <Panel title={format.weekdayAndDay(day.day)}>
      <p className="text-sm text-soft">
        The beds show the water left on that day{day.day > garden.today ? ', if nobody waters' : ''}.
      </p>
      {w ? (
        <dl className="mt-3 grid grid-cols-[auto_1fr] gap-x-4 gap-y-1">
          <Row label={w.kind === 'forecast' ? 'Forecast' : 'Warmth'} value={format.temperatures(w.tMinC, w.tMaxC)} />
          {w.nightC !== null && <Row label="Night" value={`${format.temperature(w.nightC)} on average`} />}
          <Row label="Rain" value={`${format.rain(w.rainMm)}${rainFrom(w)}`} />
          {w.wetHours !== null && w.wetHours > 0 && (
            <Row label="Leaves wet" value={`about ${Math.round(w.wetHours)} hours`} />
          )}
          {done.map(([kind, n]) => (
            <Row key={kind} label={RECORD_TYPES[kind].label} value={n === 1 ? 'once' : `${n} times`} />
          ))}
          {day.due > 0 && <Row label="Due" value={String(day.due)} />}
        </dl>
      ) : (
        <p className="mt-3">No weather is known for this day.</p>
      )}
      {(w?.kind === 'observed' || (!w && day.day <= garden.today)) && (
        <Gauge key={day.day} day={day.day} gauge={w?.gauge ?? null} />
      )}
      {w && w.source !== 'own' && <Credit of={service} />}
      <Button look="quiet" className="mt-2 -ml-3" onClick={() => setParams({}, { replace: true })}>
        Back to today
      </Button>
    </Panel>
  );
}

function rainFrom(w: NonNullable<RibbonDay['weather']>): string {
  if (w.gauge !== null) return ' in your own rain gauge';
  if (w.source === 'own') return ' at your own station';
  return w.rainChancePct !== null ? `, ${w.rainChancePct} % likely` : '';
}

const Row = ({ label, value }: { label: string; value: string }) => (
  <>
    <dt className="text-soft">{label}</dt>
    <dd>{value}</dd>
  </>
);

/** The gardener's rain gauge: a record like any other. Emptying it deletes the reading. */
function Gauge({ day, gauge }: { day: string; gauge: WeatherDto['gauge'] }) {
  const garden = useGarden();
  const [rainMm, setRainMm] = useState(gauge?.rainMm ?? null);
  const [newId] = useState(() => uuid());
  const save = useWrite(saveRecord, garden.id);
  const remove = useWrite(deleteRecord, garden.id);
  const restore = useWrite(restoreRecord, garden.id);
  const say = useSay();
  const keep = async () => {
    if (Number.isNaN(rainMm)) return;
    if (rainMm === null) {
      if (!gauge) return;
      const id = gauge.recordId;
      remove.mutate(
        { id },
        { said: 'The weather service counts for this day again.', undo: () => restore.mutate({ id }) },
      );
      return;
    }
    const key = gauge ? { id: gauge.recordId, version: gauge.version } : { id: newId };
    try {
      await save.send({ record: { ...key, type: 'rain-gauge', data: { date: day, rainMm } } });
      say('Your rain gauge counts for this day.');
    } catch {
      // the reason is shown at the field
    }
  };
  return (
    <form
      noValidate
      className="mt-4 flex items-end gap-2 border-t border-line pt-3"
      onSubmit={(e) => {
        e.preventDefault();
        void keep();
      }}
    >
      <MeasuredInput
        className="flex-1"
        label="Your rain gauge"
        quantity="rainMillimetres"
        min={0}
        value={rainMm}
        onChange={setRainMm}
        error={faultsIn(save.error)[0]?.reason}
      />
      <Button type="submit">Save</Button>
    </form>
  );
}
