import type { PlaceDto, PlacePlanDto, PlaceWatering } from '@candid-leaf/contract';
import { roundTo } from '@candid-leaf/core/units';
import { drierInWords, flowFromBucket, WATERING_METHODS, type MethodCode } from '@candid-leaf/core/water';
import clsx from 'clsx';
import { useState } from 'react';
import { useFormat, useGarden } from '../../../lib/garden-context';
import { CheckField } from '../../../ui/check-field';
import { Button } from '../../../ui/button';
import { SelectField } from '../../../ui/select-field';
import { MeasuredInput } from '../../../ui/measured-input';
import { Panel } from '../../../ui/panel';
import { Unfold } from '../../../ui/unfold';

interface Props {
  place: PlaceDto;
  p: PlacePlanDto;
  busy: boolean;
  onChange: (change: Partial<PlaceWatering>, flowLPerH?: number) => void;
}

/** Smallest weekly limit the server accepts, L. */
const LEAST_CAP_L = 1;

/** Watering method of this bed, and local rules. */
export function Rules({ place, p, busy, onChange }: Props) {
  const format = useFormat();
  return (
    <Panel label="Watering method" className="flex flex-col gap-4 self-start">
      <SelectField
        label="Watering method"
        hint={WATERING_METHODS[p.method].line}
        value={p.method}
        disabled={busy}
        options={p.methods.map((s) => [s, WATERING_METHODS[s].label])}
        onChange={(chosen) => onChange({ method: chosen as MethodCode })}
      />
      <AllowedDays allowedDays={p.watering.allowedDays} busy={busy} onChange={onChange} />
      <Unfold look="act" title="More rules">
        {() => (
          <div className="flex flex-col gap-4">
            <WeeklyCap key={p.watering.weeklyCapL} capL={p.watering.weeklyCapL ?? null} onChange={onChange} />
            <SelectField
              label="If in doubt"
              value={p.watering.moisture ?? ''}
              disabled={busy}
              hint="Keep tomatoes rather damp than bone dry, peppers rather dry than wet."
              options={[
                ['', 'as the crop prefers'],
                ['damp', 'on the damp side'],
                ['dry', 'on the dry side'],
              ]}
              onChange={(chosen) => onChange({ moisture: (chosen || null) as PlaceWatering['moisture'] })}
            />
            <CheckField
              checked={p.watering.drierRipening ?? false}
              disabled={busy}
              onChange={(drierRipening) => onChange({ drierRipening })}
            >
              Drier as fruit colours: sweeter, and peppers hotter
              <span className="block text-sm text-soft">
                {p.drier && `${drierInWords(p.drier, format)} `}It also costs more splits and blossom end rot, so it is
                limited. Sun on the leaves and full colour sweeten more; peppers get hotter with little feed in bloom,
                picked late and dried.
              </span>
            </CheckField>
            <SelectField
              label="Hose timer"
              value={String(p.watering.timerZone ?? '')}
              disabled={busy}
              options={[
                ['', 'none'],
                ...Array.from({ length: 8 }, (_, i): [string, string] => [String(i + 1), `outlet ${i + 1}`]),
              ]}
              onChange={(chosen) => onChange({ timerZone: chosen ? Number(chosen) : null })}
            />
            <BucketTest place={place} busy={busy} onFlow={(flow) => onChange({}, flow)} />
          </div>
        )}
      </Unfold>
    </Panel>
  );
}

const WEEKDAYS = ['Sunday', 'Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday'] as const;
const FIRST = { sunday: 0, monday: 1, saturday: 6 } as const;

function AllowedDays({
  allowedDays,
  busy,
  onChange,
}: {
  allowedDays: number[] | null | undefined;
  busy: boolean;
  onChange: Props['onChange'];
}) {
  const { weekStart } = useGarden();
  const all = WEEKDAYS.map((_, i) => i);
  const allowed = new Set(allowedDays?.length ? allowedDays : all);
  const toggle = (day: number) => {
    const next = new Set(allowed);
    if (next.has(day)) next.delete(day);
    else next.add(day);
    onChange({ allowedDays: next.size === 7 || next.size === 0 ? null : [...next].sort((a, b) => a - b) });
  };
  return (
    <fieldset>
      <legend className="font-semibold">Watering days</legend>
      <div className="mt-1 flex flex-wrap gap-0.5">
        {all
          .map((i) => (i + FIRST[weekStart]) % 7)
          .map((d) => (
            <button
              key={d}
              type="button"
              aria-label={WEEKDAYS[d]}
              aria-pressed={allowed.has(d)}
              disabled={busy}
              onClick={() => toggle(d)}
              className={clsx(
                'min-h-11 min-w-11 rounded-lg border font-semibold',
                allowed.has(d) ? 'border-leaf bg-leafwash text-leaf' : 'border-line text-soft line-through',
              )}
            >
              {WEEKDAYS[d]?.slice(0, 2)}
            </button>
          ))}
      </div>
    </fieldset>
  );
}

/** Saved when the field loses focus. */
function WeeklyCap({ capL, onChange }: { capL: number | null; onChange: Props['onChange'] }) {
  const [litres, setLitres] = useState(capL);
  const keep = () => {
    if (litres !== null && !(litres >= LEAST_CAP_L)) return;
    const next = litres === null ? null : roundTo(litres, 2);
    if (next !== capL) onChange({ weeklyCapL: next });
  };
  return (
    <MeasuredInput
      label="Weekly limit"
      quantity="litres"
      hint="For places with water restrictions: the most in any seven days, for the whole bed or pot. Leave empty for no limit."
      min={LEAST_CAP_L}
      value={litres}
      onChange={setLitres}
      onBlur={keep}
      onEnter={keep}
    />
  );
}

const BUCKET_L = 10;
/** More than a garden tap gives, L an hour; the server's maximum. */
const MOST_FLOW_L_H = 5000;

/** Measures the flow by seconds to fill a bucket. */
function BucketTest({ place, busy, onFlow }: { place: PlaceDto; busy: boolean; onFlow: (flowLPerH: number) => void }) {
  const format = useFormat();
  const [seconds, setSeconds] = useState<number | null>(null);
  const flow = seconds !== null && seconds > 0 ? Math.round(flowFromBucket(BUCKET_L, seconds)) : null;
  const odd = flow !== null && flow > MOST_FLOW_L_H;
  return (
    <Unfold look="act" title={`Flow: ${place.flowLPerH ? `${format.litres(place.flowLPerH)} an hour` : 'not known'}`}>
      {() => (
        <>
          <p className="mt-1 text-sm text-soft">
            Let everything that waters this bed or pot run into a bucket. How many seconds until it holds{' '}
            {format.litres(BUCKET_L)}?
          </p>
          <div className="mt-2 flex items-end gap-2">
            <MeasuredInput label="Time to fill it" quantity="seconds" min={0} value={seconds} onChange={setSeconds} />
            <Button disabled={busy || flow === null || odd} onClick={() => flow && onFlow(flow)}>
              Save
            </Button>
          </div>
          {flow !== null && (
            <p role="status" className="mt-1 text-sm">
              {odd ? 'That is more than a fire hose gives: did you enter seconds?' : `${format.litres(flow)} an hour.`}
            </p>
          )}
        </>
      )}
    </Unfold>
  );
}
