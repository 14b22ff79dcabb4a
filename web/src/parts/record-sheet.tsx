import type { RecordDto, RecordType } from '@candid-leaf/contract';
import type { Day } from '@candid-leaf/core/units';
import clsx from 'clsx';
import { useState } from 'react';
import { v7 as uuid } from 'uuid';
import { useDayWords, useGarden } from '../data/garden-context';
import { useDeleteRecord, useRestoreRecord, useSaveRecord } from '../data/queries';
import { Button } from './button';
import { Field, inputLook, SelectField, TextField } from './field';
import { faultsIn } from './form-faults';
import { RECORD_KINDS, tellRecord, type Asked } from './record-kinds';
import { Sheet } from './sheet';
import { useSay } from './toast';

export interface Subject {
  plantId: string | null;
  placeId: string | null;
  name: string;
}

interface Props {
  open: boolean;
  onClose: () => void;
  subject: Subject;
  day: Day;
  /** kinds offered when something new is recorded */
  kinds?: readonly RecordType[];
  /** a record to correct; without it a new one is made */
  record?: RecordDto;
}

const OFFERED: readonly RecordType[] = ['watering', 'soil-check', 'feeding', 'pruning', 'note', 'spray', 'event'];

/** Records something done, or corrects it. */
export function RecordSheet({ open, onClose, subject, day, kinds = OFFERED, record }: Props) {
  const [chosen, setChosen] = useState<RecordType | null>(null);
  const type = record?.type ?? chosen;
  const close = () => {
    setChosen(null);
    onClose();
  };
  return (
    <Sheet
      open={open}
      onClose={close}
      title={
        record
          ? 'Correct a record'
          : type
            ? `${RECORD_KINDS[type].label}: ${subject.name}`
            : `What was done? ${subject.name}`
      }
    >
      {type ? (
        <RecordForm key={record?.id ?? type} type={type} subject={subject} day={day} record={record} onDone={close} />
      ) : (
        <ul className="grid grid-cols-2 gap-2 sm:grid-cols-3">
          {kinds.map((k) => {
            const { icon: Icon, label } = RECORD_KINDS[k];
            return (
              <li key={k}>
                <Button className="w-full justify-start" onClick={() => setChosen(k)}>
                  <Icon aria-hidden size={18} /> {label}
                </Button>
              </li>
            );
          })}
        </ul>
      )}
    </Sheet>
  );
}

type Values = Record<string, unknown>;
const startOf = (a: Asked): unknown => ('start' in a ? a.start : a.kind === 'several' ? [] : undefined);

function RecordForm({
  type,
  subject,
  day,
  record,
  onDone,
}: {
  type: RecordType;
  subject: Subject;
  day: Day;
  record: RecordDto | undefined;
  onDone: () => void;
}) {
  const garden = useGarden();
  const say = useSay();
  const save = useSaveRecord(garden.id);
  const remove = useDeleteRecord(garden.id);
  const restore = useRestoreRecord(garden.id);
  const [id] = useState(() => record?.id ?? uuid());
  const { asks } = RECORD_KINDS[type];
  const [values, setValues] = useState<Values>(() =>
    record ? { ...record.data } : { ...Object.fromEntries(asks.map((a) => [a.name, startOf(a)])), date: day },
  );
  const change = (name: string, value: unknown) => setValues((old) => ({ ...old, [name]: value }));
  const faults = faultsIn(save.error);
  const reason = (name: string) => faults.find((f) => f.path === `data.${name}`)?.reason;
  const named = new Set(['date', ...asks.map((a) => a.name)].map((n) => `data.${n}`));

  const submit = async () => {
    const data = Object.fromEntries(
      Object.entries(values).filter(([, v]) => v !== undefined && v !== null && v !== ''),
    );
    try {
      await save.mutateAsync({
        id,
        type,
        plantId: subject.plantId,
        placeId: subject.placeId,
        data,
        ...(record ? { version: record.version } : {}),
      });
    } catch {
      return; // the reasons stand at their fields
    }
    say(
      record ? 'Corrected.' : `${RECORD_KINDS[type].label}: recorded for ${subject.name}.`,
      record ? {} : { undo: () => remove.mutate(id) },
    );
    onDone();
  };
  const drop = () => {
    remove.mutate(id);
    say('Deleted.', { undo: () => restore.mutate(id) });
    onDone();
  };
  return (
    <form
      noValidate
      className="flex flex-col gap-4"
      onSubmit={(e) => {
        e.preventDefault();
        void submit();
      }}
    >
      <div className="grid grid-cols-2 gap-3">
        {asks.map((a) => (
          <AskedField
            key={a.name}
            asked={a}
            value={values[a.name]}
            error={reason(a.name)}
            onChange={(v) => change(a.name, v)}
          />
        ))}
        <TextField
          label="Day"
          type="date"
          max={garden.today}
          value={String(values.date ?? '')}
          error={reason('date')}
          onChange={(e) => change('date', e.target.value)}
        />
      </div>
      {faults
        .filter((f) => !named.has(f.path))
        .map((f) => (
          <p key={f.path} role="alert" className="text-ripe">
            {f.reason}
          </p>
        ))}
      <div className="flex gap-2">
        <Button type="submit" look="main" className="flex-1" disabled={save.isPending}>
          {record ? 'Save the correction' : 'Record it'}
        </Button>
        {record && <Button onClick={drop}>Delete</Button>}
      </div>
    </form>
  );
}

function AskedField({
  asked,
  value,
  error,
  onChange,
}: {
  asked: Asked;
  value: unknown;
  error: string | undefined;
  onChange: (v: unknown) => void;
}) {
  const { units } = useGarden();
  if (asked.kind === 'choice')
    return (
      <SelectField
        label={asked.label}
        options={asked.options}
        error={error}
        value={String(value ?? '')}
        onChange={(e) => onChange(e.target.value)}
      />
    );
  if (asked.kind === 'several') return <Several asked={asked} value={(value ?? []) as string[]} onChange={onChange} />;
  if (asked.kind === 'text')
    return asked.long ? (
      <Field label={asked.label} error={error} className="col-span-2">
        {(f) => (
          <textarea
            id={f.id}
            rows={3}
            aria-describedby={f.describedBy}
            aria-invalid={f.invalid}
            className={inputLook}
            value={String(value ?? '')}
            onChange={(e) => onChange(e.target.value)}
          />
        )}
      </Field>
    ) : (
      <TextField
        label={asked.label}
        className="col-span-2"
        error={error}
        value={String(value ?? '')}
        onChange={(e) => onChange(e.target.value)}
      />
    );
  const m = asked.measure?.(units) ?? { symbol: '', per: 1 };
  return (
    <TextField
      label={m.symbol ? `${asked.label} (${m.symbol})` : asked.label}
      type="number"
      inputMode="decimal"
      step="any"
      min={0}
      error={error}
      defaultValue={typeof value === 'number' ? Number((value / m.per).toFixed(3)) : ''}
      onChange={(e) => onChange(e.target.value === '' ? null : e.target.valueAsNumber * m.per)}
    />
  );
}

function Several({
  asked,
  value,
  onChange,
}: {
  asked: Extract<Asked, { kind: 'several' }>;
  value: string[];
  onChange: (v: string[]) => void;
}) {
  return (
    <fieldset className="col-span-2">
      <legend className="font-semibold">{asked.label}</legend>
      <div className="mt-1 flex flex-wrap gap-2">
        {asked.options.map(([code, label]) => {
          const on = value.includes(code);
          return (
            <button
              key={code}
              type="button"
              aria-pressed={on}
              onClick={() => onChange(on ? value.filter((c) => c !== code) : [...value, code])}
              className={clsx(
                'min-h-11 rounded-lg border px-3',
                on ? 'border-leaf bg-leafwash font-semibold text-leaf' : 'border-soft/60',
              )}
            >
              {label}
            </button>
          );
        })}
      </div>
    </fieldset>
  );
}

/** Records in a list, newest first; touching one opens it to be corrected. */
export function RecordList({
  records,
  subjectOf,
}: {
  records: readonly RecordDto[];
  /** null: to look at only */
  subjectOf: ((r: RecordDto) => Subject) | null;
}) {
  const garden = useGarden();
  const [open, setOpen] = useState<RecordDto | null>(null);
  const remove = useDeleteRecord(garden.id);
  const restore = useRestoreRecord(garden.id);
  const say = useSay();
  const dayWords = useDayWords();
  const [all, setAll] = useState(false);
  const shown = all ? records : records.slice(0, 12);
  return (
    <>
      <ul className="divide-y divide-line">
        {shown.map((r) => {
          const Icon = RECORD_KINDS[r.type].icon;
          const editable = subjectOf !== null && RECORD_KINDS[r.type].asks.length > 0;
          const line = (
            <>
              <span className="w-24 shrink-0 text-left text-soft tabular-nums">{dayWords(r.day)}</span>
              <Icon aria-hidden size={18} className="mt-1 shrink-0 text-soft" />
              <span className="text-left">
                {tellRecord(r, garden.units)}
                {r.placeId && <span className="text-soft"> · whole place</span>}
              </span>
            </>
          );
          return (
            <li key={r.id} className="flex items-center gap-2">
              {editable ? (
                <button
                  type="button"
                  className="flex min-h-11 flex-1 items-start gap-2 rounded py-2 hover:bg-leafwash"
                  onClick={() => setOpen(r)}
                >
                  {line}
                </button>
              ) : (
                <div className="flex min-h-11 flex-1 items-start gap-2 py-2">{line}</div>
              )}
              {subjectOf && !editable && (
                <Button
                  look="quiet"
                  aria-label={`Delete: ${tellRecord(r, garden.units)}`}
                  onClick={() => {
                    remove.mutate(r.id);
                    say('Deleted.', { undo: () => restore.mutate(r.id) });
                  }}
                >
                  Delete
                </Button>
              )}
            </li>
          );
        })}
      </ul>
      {records.length > shown.length && (
        <Button look="quiet" className="mt-2" onClick={() => setAll(true)}>
          All {records.length} records
        </Button>
      )}
      {open && subjectOf && (
        <RecordSheet open onClose={() => setOpen(null)} subject={subjectOf(open)} day={open.day} record={open} />
      )}
    </>
  );
}
