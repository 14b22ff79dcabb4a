import type { PlaceOnView } from '@candid-leaf/contract';
import { LITRES_PER, roundTo } from '@candid-leaf/core/units';
import { litresFromMinutes } from '@candid-leaf/core/water';
import { Minus, Plus } from 'lucide-react';
import { useState } from 'react';
import { Link } from 'react-router';
import { useFormat, useLink, useUnits } from '../../lib/garden-context';
import { IconButton } from '../../ui/icon-button';
import { MeasuredInput } from '../../ui/measured-input';
import { SelectField } from '../../ui/select-field';
import { CAN_L } from './can';
import { pourStep } from './pour-step';

/** How someone says what they gave. */
type Way = 'amount' | 'minutes' | 'cans' | 'ran-through' | 'unknown';

export interface WaterSaid {
  litres?: number | null;
  minutes?: number | null;
  end?: 'plain' | 'ran-through' | null;
}

interface Props {
  value: WaterSaid;
  /** the whole bed or pot, not one plant */
  ofPlace: boolean;
  at: PlaceOnView | undefined;
  error: string | undefined;
  onChange: (said: WaterSaid) => void;
}

const wayOf = ({ litres, minutes, end }: WaterSaid): Way =>
  minutes != null ? 'minutes' : litres != null ? 'amount' : end === 'ran-through' ? 'ran-through' : 'unknown';

/** How much water: an amount, minutes, cans, until it ran out below, or not sure. */
export function WaterAmount({ value, ofPlace, at, error, onChange }: Props) {
  const plants = ofPlace ? Math.max(1, at?.plants.length ?? 1) : 1;
  const { volume } = useUnits();
  const canL = CAN_L[volume];
  const unit = LITRES_PER[volume];
  const [way, setWay] = useState<Way>(() => wayOf(value));
  const [cans, setCans] = useState<number | null>(1);
  const [size, setSize] = useState<number | null>(canL);
  const fill = (count: number | null, litres: number | null) =>
    onChange({ litres: count == null || litres == null ? NaN : roundTo((count * litres) / plants, 3), minutes: null });
  const choose = (next: Way) => {
    setWay(next);
    if (next === 'cans') fill(cans, size);
    else if (next === 'ran-through') onChange({ litres: null, minutes: null, end: 'ran-through' });
    else if (next === 'unknown') onChange({ litres: null, minutes: null, end: null });
    else if (next === 'amount') onChange({ litres: NaN, minutes: null, end: null });
    else onChange({ litres: null, minutes: NaN, end: null });
  };
  const each = value.litres;
  const step = (by: 1 | -1) => {
    const size = pourStep(each ?? 0, unit);
    onChange({ litres: roundTo(Math.max(size, (each ?? 0) + by * size), 3), minutes: null });
  };
  return (
    <>
      <SelectField
        label="How much"
        className="col-span-2"
        value={way}
        options={[
          ['amount', 'An amount'],
          ['cans', 'Watering cans'],
          ['minutes', 'Minutes it ran'],
          ['ran-through', 'Until it ran out below'],
          ['unknown', 'Not sure'],
        ]}
        error={way === 'ran-through' || way === 'unknown' ? error : undefined}
        onChange={(v) => choose(v as Way)}
      />
      {way === 'amount' && (
        <>
          {plants > 1 && (
            <MeasuredInput
              label={`All ${plants} plants`}
              quantity="litres"
              min={0}
              value={each == null ? each : each * plants}
              onChange={(all) => onChange({ litres: all === null ? NaN : roundTo(all / plants, 3), minutes: null })}
            />
          )}
          <MeasuredInput
            label="Per plant"
            quantity="litres"
            min={0}
            value={each}
            error={error}
            onChange={(litres) => onChange({ litres: litres ?? NaN, minutes: null })}
          />
          {each != null && !Number.isNaN(each) && (
            <div className="flex items-end gap-1">
              <IconButton icon={Minus} label="Less" onClick={() => step(-1)} />
              <IconButton icon={Plus} label="More" onClick={() => step(1)} />
            </div>
          )}
        </>
      )}
      {way === 'cans' && (
        <>
          <MeasuredInput
            label={plants > 1 ? 'Cans in all' : 'Cans'}
            quantity="count"
            min={0}
            value={cans}
            error={error}
            onChange={(n) => {
              setCans(n);
              fill(n, size);
            }}
          />
          <MeasuredInput
            label="Can size"
            quantity="litres"
            min={0}
            value={size}
            onChange={(litres) => {
              setSize(litres);
              fill(cans, litres);
            }}
          />
          {plants > 1 && each != null && !Number.isNaN(each) && <Each litres={each} />}
        </>
      )}
      {way === 'minutes' && (
        <>
          <MeasuredInput
            label="How long"
            quantity="minutes"
            min={0}
            value={value.minutes}
            error={error}
            onChange={(minutes) => onChange({ litres: null, minutes: minutes ?? NaN })}
          />
          <FlowHint at={at} minutes={value.minutes} />
        </>
      )}
    </>
  );
}

const Each = ({ litres }: { litres: number }) => (
  <p className="col-span-2 -mt-1 text-sm text-soft tabular-nums">{useFormat().litres(litres)} per plant</p>
);

/** What the minutes make, or how to find out. */
function FlowHint({ at, minutes }: { at: PlaceOnView | undefined; minutes: number | null | undefined }) {
  const format = useFormat();
  const link = useLink();
  if (!at) return null;
  const { flowLPerH, id } = at.place;
  if (flowLPerH)
    return minutes ? (
      <p className="self-end pb-3 text-sm text-soft tabular-nums">
        {format.litres(litresFromMinutes(minutes, flowLPerH, Math.max(1, at.plants.length)))} per plant
      </p>
    ) : null;
  return (
    <p className="col-span-2 -mt-1 text-sm text-soft">
      Saved with the amount unknown until the flow is measured. To measure it, hold a cup under one dripper for a
      minute, or time how long a can takes to fill. Then{' '}
      <Link to={link('place', { placeId: id })} className="font-semibold text-leaf underline">
        enter the flow
      </Link>
      .
    </p>
  );
}
