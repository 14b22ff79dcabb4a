import type { PlaceDto } from '@candid-leaf/contract';
import {
  CAUTIONS,
  checked,
  P_METHODS,
  RefusedInput,
  SOIL_UNITS,
  SoilTest,
  type Crop,
  type Level,
  type SoilUnit,
} from '@candid-leaf/core/records';
import {
  LEAD_IN_WORDS,
  leadVerdict,
  readSoilTest,
  soilTestFaults,
  unitsOf,
  type SoilElement,
  type SoilRow,
} from '@candid-leaf/core/soil';
import { useState } from 'react';
import { asInput } from '../../../lib/as-input';
import { useFormat, useGarden } from '../../../lib/garden-context';
import { DayField } from '../../../ui/day-field';
import { Button } from '../../../ui/button';
import { SelectField } from '../../../ui/select-field';
import { faultsIn } from '../../../ui/faults';
import { MeasuredInput } from '../../../ui/measured-input';
import { Panel } from '../../../ui/panel';
import { Unfold } from '../../../ui/unfold';
import { useSay } from '../../../ui/toast';
import { useWrite } from '../../../ui/use-write';
import { savePlace } from '../../../data/places';
import { wordsOf } from '../../../lib/words';

const ELEMENTS: readonly (readonly [SoilElement, string])[] = [
  ['nitrate', 'Nitrate nitrogen'],
  ['phosphorus', 'Phosphorus'],
  ['potassium', 'Potassium'],
  ['calcium', 'Calcium'],
  ['magnesium', 'Magnesium'],
];
const UNIT_WORDS: Partial<Record<SoilUnit, string>> = {
  'mg/100g-oxide': 'mg/100 g, as oxide',
  'mg/100g': 'mg/100 g',
  'meq/100g': 'meq/100 g',
};
const LEVEL_WORDS: Record<Level, string> = { low: 'short', ok: 'enough', high: 'plenty' };

/** The newest soil test, judged for the crop; and a new one in the report's units. */
export function SoilTestPanel({ place, crop }: { place: PlaceDto; crop: Crop }) {
  const format = useFormat();
  const [adding, setAdding] = useState(false);
  const test = place.soilTest;
  const rows = test ? readSoilTest(test, crop) : [];
  const short = rows.filter((r) => r.level === 'low').map((r) => named(r.what));
  return (
    <Panel title="Soil test" main>
      {test ? (
        <>
          <p className="text-soft">
            Of {format.day(test.date)}, judged for {crop === 'pepper' ? 'peppers' : 'tomatoes'}.{' '}
            {short.length > 0
              ? `Low: ${short.join(', ')}. Add only what is low, and nitrogen by need: it washes out.`
              : 'Nothing is low: add only compost.'}
          </p>
          {test.values?.leadMgPerKg != null && (
            <p className="mt-1 font-semibold">{LEAD_IN_WORDS[leadVerdict(test.values.leadMgPerKg)]}</p>
          )}
          <Rows rows={rows.filter((r) => r.level !== 'ok')} />
          {rows.some((r) => r.level === 'ok') && (
            <Unfold
              look="act"
              title={`Enough: ${rows
                .filter((r) => r.level === 'ok')
                .map((r) => named(r.what))
                .join(', ')}`}
            >
              {() => <Rows rows={rows.filter((r) => r.level === 'ok')} />}
            </Unfold>
          )}
          {(place.soilTests?.length ?? 0) > 1 && (
            <p className="mt-2 text-sm text-soft">
              Earlier tests:{' '}
              {place
                .soilTests!.slice(0, -1)
                .map((t) => `${format.day(t.date)} ${t.date.slice(0, 4)}${t.pH != null ? ` (pH ${t.pH})` : ''}`)
                .join(', ')}
              .
            </p>
          )}
        </>
      ) : (
        <p className="text-soft">
          None yet. A test shows what is low, so you add nothing else. Without one, go by compost and the label.{' '}
          {CAUTIONS.lead}
        </p>
      )}
      {adding ? (
        <NewTest place={place} onDone={() => setAdding(false)} />
      ) : (
        <Button className="mt-3" onClick={() => setAdding(true)}>
          {test ? 'Add a newer test' : 'Add a soil test'}
        </Button>
      )}
    </Panel>
  );
}

const named = (what: string): string => (what === 'pH' ? what : what.toLowerCase());

const Rows = ({ rows }: { rows: readonly SoilRow[] }) => (
  <ul className="mt-2 divide-y divide-line">
    {rows.map((r) => (
      <Row key={r.what} row={r} />
    ))}
  </ul>
);

function Row({ row }: { row: SoilRow }) {
  const [low, high] = row.band;
  return (
    <li className="grid grid-cols-[1fr_auto_5rem] items-baseline gap-3 py-1.5">
      <span>{row.what}</span>
      <span className="text-right tabular-nums">
        <strong>{row.value}</strong> {row.unit}{' '}
        <span className="text-sm text-soft max-sm:block">
          (target {low > 0 ? `${low} to ${high}` : `up to ${high}`})
        </span>
      </span>
      <span className={row.level === 'ok' ? 'text-leaf' : 'font-semibold text-ripe'}>{LEVEL_WORDS[row.level]}</span>
    </li>
  );
}

type Amounts = Partial<Record<SoilElement, number | null>>;

function NewTest({ place, onDone }: { place: PlaceDto; onDone: () => void }) {
  const garden = useGarden();
  const say = useSay();
  const save = useWrite(savePlace, garden.id);
  const [date, setDate] = useState(garden.today);
  const [pH, setPh] = useState<number | null>(null);
  const [salts, setSalts] = useState<number | null>(null);
  const [om, setOm] = useState<number | null>(null);
  const [lead, setLead] = useState<number | null>(null);
  const [amounts, setAmounts] = useState<Amounts>({});
  const [units, setUnits] = useState<Record<SoilElement, SoilUnit>>({
    nitrate: 'mg/kg',
    phosphorus: 'mg/kg',
    potassium: 'mg/kg',
    calcium: 'mg/kg',
    magnesium: 'mg/kg',
  });
  const [by, setBy] = useState('');
  const [own, setOwn] = useState<readonly { path: string; reason: string }[]>([]);
  const faults = own.length > 0 ? own : faultsIn(save.error);
  const reason = (path: string) => faults.find((f) => f.path === path || f.path === `soilTest.${path}`)?.reason;
  const submit = async () => {
    const values = Object.fromEntries(
      ELEMENTS.flatMap(([e]) => (amounts[e] == null ? [] : [[e, { amount: amounts[e], unit: units[e] }]])),
    );
    const entered = {
      date,
      ...(pH !== null ? { pH } : {}),
      ...(salts !== null ? { saltsDsPerM: salts } : {}),
      values: {
        ...values,
        ...(by ? { phosphorusBy: by } : {}),
        ...(om !== null ? { organicMatterPct: om } : {}),
        ...(lead !== null ? { leadMgPerKg: lead } : {}),
      },
    };
    try {
      const test = checked(SoilTest, entered);
      const found = soilTestFaults(test, 'soilTest');
      setOwn(found);
      if (found.length > 0) return;
      await save.send({ place: { ...asInput(place), soilTest: test } });
      say('Soil test: saved.');
      onDone();
    } catch (error) {
      if (error instanceof RefusedInput) setOwn(error.faults);
      // otherwise the reasons are shown at their fields
    }
  };
  return (
    <form
      noValidate
      className="mt-4 flex flex-col gap-4 border-t border-line pt-4"
      onSubmit={(e) => {
        e.preventDefault();
        void submit();
      }}
    >
      <div className="grid grid-cols-2 gap-3 sm:grid-cols-3">
        <DayField
          label="Day"
          max={garden.today}
          value={date}
          error={reason('date')}
          onChange={(day) => setDate(day ?? '')}
        />
        <MeasuredInput label="pH" quantity="count" value={pH} error={reason('pH')} onChange={setPh} />
        <MeasuredInput
          label="Salts (dS/m)"
          quantity="count"
          value={salts}
          error={reason('saltsDsPerM')}
          onChange={setSalts}
        />
        <MeasuredInput
          label="Organic matter"
          quantity="percent"
          value={om}
          error={reason('values.organicMatterPct')}
          onChange={setOm}
        />
        <MeasuredInput
          label="Lead (mg/kg)"
          quantity="count"
          min={0}
          value={lead}
          error={reason('values.leadMgPerKg')}
          onChange={setLead}
        />
      </div>
      {ELEMENTS.map(([element, label]) => (
        <div key={element} className="grid grid-cols-2 gap-3">
          <MeasuredInput
            label={label}
            quantity="count"
            min={0}
            value={amounts[element]}
            error={reason(`values.${element}.amount`)}
            onChange={(v) => setAmounts({ ...amounts, [element]: v })}
          />
          <SelectField
            label={`${label} in`}
            value={units[element]}
            error={reason(`values.${element}.unit`)}
            options={unitsOf(element, SOIL_UNITS).map((u) => [u, UNIT_WORDS[u] ?? u])}
            onChange={(chosen) => setUnits({ ...units, [element]: chosen as SoilUnit })}
          />
        </div>
      ))}
      <SelectField
        label="Phosphorus method"
        hint="It is on the lab report; without it the number means little."
        value={by}
        options={[['', 'not known'], ...wordsOf(P_METHODS)]}
        onChange={setBy}
      />
      <div className="flex gap-2">
        <Button type="submit" look="main" disabled={save.isPending}>
          Save test
        </Button>
        <Button look="quiet" onClick={onDone}>
          Cancel
        </Button>
      </div>
    </form>
  );
}
