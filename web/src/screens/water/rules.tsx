import type { PlaceDto, PlacePlan, PlaceWatering } from '@candid-leaf/contract';
import { LITRES_PER } from '@candid-leaf/core/units';
import { flowFromBucket, type SchoolCode, SCHOOLS } from '@candid-leaf/core/water';
import clsx from 'clsx';
import { useState } from 'react';
import { useGarden } from '../../data/garden-context';
import { Button } from '../../parts/button';
import { SelectField, TextField } from '../../parts/field';

interface Props {
  place: PlaceDto;
  p: PlacePlan;
  busy: boolean;
  onChange: (change: Partial<PlaceWatering>, flowLPerH?: number) => void;
}

const WEEK = ['Sunday', 'Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday'] as const;

/** Whose way of watering is followed here, and what local rules allow. */
export function Rules({ place, p, busy, onChange }: Props) {
  const garden = useGarden();
  const order = garden.weekStart === 'monday' ? [1, 2, 3, 4, 5, 6, 0] : [0, 1, 2, 3, 4, 5, 6];
  const allowed = new Set(p.watering.allowedDays?.length ? p.watering.allowedDays : [0, 1, 2, 3, 4, 5, 6]);
  const toggle = (d: number) => {
    const next = new Set(allowed);
    if (next.has(d)) next.delete(d);
    else next.add(d);
    onChange({ allowedDays: next.size === 7 || next.size === 0 ? null : [...next].sort() });
  };
  const per = LITRES_PER[garden.units.volume];
  const unit = symbolOf(garden.units.volume);
  const [cap, setCap] = useState(
    p.watering.weeklyCapL != null ? String(Math.round((p.watering.weeklyCapL / per) * 10) / 10) : '',
  );
  const keepCap = () => {
    const litres = Number(cap.replace(',', '.')) * per;
    const next = cap.trim() === '' || !(litres >= 1) ? null : Math.round(litres * 10) / 10;
    if (next !== (p.watering.weeklyCapL ?? null)) onChange({ weeklyCapL: next });
  };
  return (
    <section
      aria-label="How it is watered"
      className="flex flex-col gap-4 self-start rounded-2xl border border-line bg-card p-4"
    >
      <SelectField
        label="School"
        hint={SCHOOLS[p.school].line}
        value={p.school}
        disabled={busy}
        options={p.schools.map((s) => [s, SCHOOLS[s].label])}
        onChange={(e) => onChange({ school: e.target.value as SchoolCode })}
      />
      <fieldset>
        <legend className="font-semibold">Watering is allowed on</legend>
        <div className="mt-1 flex flex-wrap gap-0.5">
          {order.map((d) => (
            <button
              key={d}
              type="button"
              aria-label={WEEK[d]}
              aria-pressed={allowed.has(d)}
              disabled={busy}
              onClick={() => toggle(d)}
              className={clsx(
                'min-h-11 min-w-11 rounded-lg border font-semibold',
                allowed.has(d) ? 'border-leaf bg-leafwash text-leaf' : 'border-line text-soft line-through',
              )}
            >
              {WEEK[d]!.slice(0, 2)}
            </button>
          ))}
        </div>
      </fieldset>
      <TextField
        label={`Most in a week, ${unit}`}
        hint="Where water is restricted; empty for no limit."
        inputMode="decimal"
        value={cap}
        onChange={(e) => setCap(e.target.value)}
        onBlur={keepCap}
      />
      <SelectField
        label="When in doubt"
        value={p.watering.lean ?? ''}
        disabled={busy}
        hint="Tomatoes rather damp than bone dry, peppers rather dry than wet."
        options={[
          ['', 'as the crop likes it'],
          ['damp', 'rather damp'],
          ['dry', 'rather dry'],
        ]}
        onChange={(e) => onChange({ lean: (e.target.value || null) as PlaceWatering['lean'] })}
      />
      <label className="flex min-h-11 items-start gap-2">
        <input
          type="checkbox"
          className="mt-1 size-5 accent-leaf"
          checked={p.watering.drierFinish ?? false}
          disabled={busy}
          onChange={(e) => onChange({ drierFinish: e.target.checked })}
        />
        <span>
          Drier as fruit colours, for flavour
          <span className="block text-sm text-soft">Bounded: more splits and dark ends are the price.</span>
        </span>
      </label>
      <SelectField
        label="Hose timer"
        value={String(p.watering.timerZone ?? '')}
        disabled={busy}
        options={[
          ['', 'none'],
          ...Array.from({ length: 8 }, (_, i): [string, string] => [String(i + 1), `outlet ${i + 1}`]),
        ]}
        onChange={(e) => onChange({ timerZone: e.target.value ? Number(e.target.value) : null })}
      />
      <BucketTest place={place} busy={busy} onFlow={(flow) => onChange({}, flow)} />
    </section>
  );
}

/** Seconds to fill a bucket give the flow; nobody knows it otherwise. */
function BucketTest({ place, busy, onFlow }: { place: PlaceDto; busy: boolean; onFlow: (flowLPerH: number) => void }) {
  const { units } = useGarden();
  const [seconds, setSeconds] = useState('');
  const value = Number(seconds.replace(',', '.'));
  const flow = value > 0 ? Math.round(flowFromBucket(10, value)) : null;
  const odd = flow !== null && flow > 5000;
  return (
    <details>
      <summary className="min-h-8 cursor-pointer font-semibold">
        Flow: {place.flowLPerH ? `${showLitres(place.flowLPerH, units)} an hour` : 'not known'}
      </summary>
      <p className="mt-1 text-sm text-soft">
        Let everything that waters this place run into a bucket: how many seconds until 10 L (2.6 gal) are in it?
      </p>
      <div className="mt-2 flex items-end gap-2">
        <TextField
          label="Seconds for 10 L"
          inputMode="decimal"
          value={seconds}
          onChange={(e) => setSeconds(e.target.value)}
        />
        <Button disabled={busy || flow === null || odd} onClick={() => flow && onFlow(flow)}>
          Keep
        </Button>
      </div>
      {flow !== null && (
        <p role="status" className="mt-1 text-sm">
          {odd ? 'That is more than a fire hose gives: are those seconds?' : `${showLitres(flow, units)} an hour.`}
        </p>
      )}
    </details>
  );
}
