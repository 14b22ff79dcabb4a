import type { RecordDto } from '@candid-leaf/contract';
import { RECORD_TYPES, type RecordType, type Spraying } from '@candid-leaf/core/records';
import type { Day } from '@candid-leaf/core/units';
import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useRef, useState } from 'react';
import { v7 as uuid } from 'uuid';
import { useFormat, useGarden } from '../../lib/garden-context';
import { DayField } from '../../ui/day-field';
import { Button } from '../../ui/button';
import { faultsIn } from '../../ui/faults';
import { useSay } from '../../ui/toast';
import { Unfold } from '../../ui/unfold';
import { useWrite } from '../../ui/use-write';
import { RECORD_FORMS, type Asked } from './record-forms';
import { placeHere } from '../../data/place-here';
import { saveRecord } from '../../data/records';
import { showFirstFault } from '../../ui/show-first-fault';
import { remarkOnSpray } from './spray-remark';
import { AskedField } from './asked-field';
import type { RecordTarget, Values } from './record-target';
import { useDeleteWithUndo } from './use-delete-with-undo';

interface Props {
  kind: RecordType;
  target: RecordTarget;
  day: Day;
  record: RecordDto | undefined;
  /** what is already known of a new record */
  filled?: Values | undefined;
  /** `claim`: a claim it names for the first time; `more`: the form stays open */
  onDone: (claim?: string, more?: boolean) => void;
}

/** In words that follow the label. */
const missingIn = (a: Asked): string =>
  a.as === 'water' || a.as === 'feed' ? 'is missing: type it, or choose “Not sure” above' : 'must be a number';

const startOf = (a: Asked): unknown =>
  'start' in a ? a.start : a.as === 'several' ? [] : a.as === 'water' || a.as === 'feed' ? NaN : undefined;
const isEmpty = (v: unknown): boolean => v === undefined || v === null || v === '';

/** The form of one record type, from its table row. */
export function RecordForm({ kind, target, day, record, filled, onDone }: Props) {
  const garden = useGarden();
  const say = useSay();
  const format = useFormat();
  const save = useWrite(saveRecord, garden.id);
  const remove = useDeleteWithUndo(garden.id);
  const [id, setId] = useState(() => record?.id ?? uuid());
  const { asks } = RECORD_FORMS[kind];
  const empty = (): Values => ({ ...Object.fromEntries(asks.map((a) => [a.name, startOf(a)])), date: day });
  const [values, setValues] = useState<Values>(() => (record ? { ...record.data } : { ...empty(), ...filled }));
  const client = useQueryClient();
  const at = placeHere(client, garden.id, target);
  const form = useRef<HTMLFormElement>(null);
  const [tried, setTried] = useState(false);
  const change = (a: Asked, value: unknown) => setValues((old) => ({ ...old, [a.name]: value }));
  const isAsked = (a: Asked): boolean => !a.only || (values[a.only[0]] === a.only[1] && values.did !== 'off');
  const faults = faultsIn(save.error);
  const isMissing = (a: Asked): boolean =>
    Number.isNaN(values[a.name]) || (a.as === 'water' && Number.isNaN(values.minutes));
  const reason = (a: Asked) =>
    faults.find((f) => f.path === `data.${a.name}` || (a.as === 'water' && f.path === 'data.minutes'))?.reason ??
    (tried && isMissing(a) ? missingIn(a) : undefined);
  const named = new Set(['date', 'minutes', ...asks.map((a) => a.name)].map((n) => `data.${n}`));
  useEffect(() => {
    if (tried || save.error) showFirstFault(form.current);
  }, [tried, save.error]);

  /** `andAnother`: the form stays for what else was in the can */
  const submit = async (andAnother = false) => {
    // invalid numbers are shown at their field, and nothing is sent
    if (asks.some(isMissing)) return setTried(true);
    const unasked = new Set(asks.filter((a) => !isAsked(a)).map((a) => a.name));
    const data = Object.fromEntries(Object.entries(values).filter(([name, v]) => !isEmpty(v) && !unasked.has(name)));
    const { plantId, placeId } = target;
    const version = record ? { version: record.version } : {};
    let claim: string | undefined;
    try {
      ({ claim } = await save.send({ record: { id, type: kind, plantId, placeId, data, ...version } }));
    } catch {
      return; // the reasons are shown at their fields
    }
    if (record) say('Corrected.');
    else {
      const remark =
        kind === 'spray'
          ? remarkOnSpray(client, garden.id, { target, id, spray: data as unknown as Spraying }, format)
          : '';
      say(`${RECORD_TYPES[kind].label}: recorded for ${target.name}.${remark ? ` Note: ${remark}.` : ''}`, {
        undo: () => remove(id),
      });
    }
    onDone(claim, andAnother);
    if (!andAnother) return;
    setId(uuid());
    setTried(false);
    setValues({ ...empty(), date: values.date });
  };
  const shown = asks
    .filter((a) => !('whenRefused' in a) || faults.length > 0 || !isEmpty(values[a.name]))
    .filter(isAsked);
  const folds = asks.some((a) => a.more);
  const dateFault = faults.find((f) => f.path === 'data.date')?.reason;
  const isFaulty = dateFault !== undefined || shown.some((a) => a.more && reason(a) !== undefined);
  const field = (a: Asked) => (
    <AskedField
      key={a.name}
      asked={a}
      value={values[a.name]}
      error={reason(a)}
      said={values}
      ofPlace={target.placeId !== null}
      at={at}
      onChange={(v) => change(a, v)}
      onFill={(filled) => setValues((old) => ({ ...old, ...filled }))}
    />
  );
  const date = (
    <DayField
      label="Date"
      max={garden.today}
      value={typeof values.date === 'string' ? values.date : null}
      error={dateFault}
      onChange={(date) => setValues((old) => ({ ...old, date }))}
    />
  );
  return (
    <form
      ref={form}
      noValidate
      className="flex flex-col gap-4"
      onSubmit={(e) => {
        e.preventDefault();
        void submit();
      }}
    >
      <div className="grid grid-cols-2 gap-3">
        {shown.filter((a) => !a.more).map(field)}
        {!folds && date}
      </div>
      {folds && (
        <Unfold look="act" title="Day and details" open={record !== undefined || day !== garden.today} held={isFaulty}>
          {() => (
            <div className="grid grid-cols-2 gap-3">
              {shown.filter((a) => a.more).map(field)}
              {date}
            </div>
          )}
        </Unfold>
      )}
      {faults
        .filter((f) => !named.has(f.path))
        .map((f) => (
          <p key={f.path} role="alert" className="text-ripe">
            {f.reason}
          </p>
        ))}
      <div className="flex flex-wrap gap-2">
        <Button type="submit" look="main" className="flex-1" disabled={save.isPending}>
          {record ? 'Save correction' : 'Save record'}
        </Button>
        {kind === 'feeding' && !record && (
          <Button disabled={save.isPending} onClick={() => void submit(true)}>
            Save, and add another
          </Button>
        )}
        {record && <Button onClick={() => remove(id, () => onDone())}>Delete</Button>}
      </div>
    </form>
  );
}
