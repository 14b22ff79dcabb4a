import { useQueryClient } from '@tanstack/react-query';
import { Send, TriangleAlert } from 'lucide-react';
import type { GardenView, RecordInput } from '@candid-leaf/contract';
import { describeRecord, RECORD_TYPES } from '@candid-leaf/core/records';
import type { Formatter } from '@candid-leaf/core/units';
import { useEffect, useState } from 'react';
import { api } from '../lib/api';
import { useFormat } from '../lib/garden-context';
import { apiOf } from '../lib/paths';
import { queryKeys } from '../lib/query-keys';
import { isStuck, sendWaiting, setAside, settle } from '../offline/outbox';
import type { Waiting } from '../offline/store';
import { Button } from '../ui/button';
import { Sheet } from '../ui/sheet';
import { whenAt } from './when-at';

interface Props {
  list: readonly Waiting[];
  online: boolean;
  onClose: () => void;
}

/** The waiting changes, one by one, and what to decide about them. */
export function OutboxList({ list, online, onClose }: Props) {
  return (
    <Sheet open onClose={onClose} title="Waiting to sync">
      <ul className="divide-y divide-line">
        {list.map((w) => (
          <li key={w.n} className="py-3">
            <p className="font-semibold">
              <Named w={w} />
            </p>
            <p className="text-sm text-soft">recorded {whenAt(w.at)}</p>
            {w.state === 'conflict' && <Conflict w={w} />}
            {w.state === 'refused' && <Refused w={w} />}
            {(w.state === 'aside' || isStuck(w)) && <Stuck w={w} />}
          </li>
        ))}
      </ul>
      <SendNow online={online} />
    </Sheet>
  );
}

type Kept = Omit<RecordInput, 'data'> & { data: { date: string } };
const recordIn = (w: Waiting): Kept | undefined => (w.input as { record?: Kept }).record;

/** What it is, of what, and for which day. */
function Named({ w }: { w: Waiting }) {
  const f = useFormat();
  const client = useQueryClient();
  const record = recordIn(w);
  const view = client.getQueryData<GardenView>([...queryKeys.garden(w.input.gardenId), 'view']);
  const of = view?.places.flatMap((p) => [
    { id: p.place.id, name: p.place.name },
    ...p.plants.map((x) => ({ id: x.plant.id, name: x.plant.name })),
  ]);
  const name = of?.find((x) => x.id === (record?.plantId ?? record?.placeId))?.name;
  const date = record?.data.date;
  return <>{[w.label, name, date && f.day(date)].filter(Boolean).join(', ')}</>;
}

function SendNow({ online }: { online: boolean }) {
  const client = useQueryClient();
  return (
    <div className="mt-3">
      <Button look="main" disabled={!online} onClick={() => void sendWaiting(client, { asked: true })}>
        <Send aria-hidden size={17} /> Sync now
      </Button>
      {!online && (
        <p className="mt-1 text-sm text-soft">They sync by themselves, in this order, when you’re back online.</p>
      )}
    </div>
  );
}

function Refused({ w }: { w: Waiting }) {
  const client = useQueryClient();
  return (
    <div className="mt-1">
      <p className="flex gap-1 text-ripe">
        <TriangleAlert aria-hidden size={17} className="mt-1 shrink-0" /> The server rejected this: {w.reason}
      </p>
      <Button className="mt-2" onClick={() => void settle(client, w, 'theirs')}>
        Discard it
      </Button>
    </div>
  );
}

/** The server fails at it each time: it can be put aside, so that nothing has to wait for it. */
function Stuck({ w }: { w: Waiting }) {
  const client = useQueryClient();
  const isAside = w.state === 'aside';
  return (
    <div className="mt-1">
      <p className="text-soft">
        {isAside
          ? 'Set aside. It stays on this device until you send or discard it.'
          : `The server failed at this ${w.tries} times. We keep trying, and the others go on.`}
      </p>
      <div className="mt-2 flex flex-wrap gap-2">
        {isAside ? (
          <Button onClick={() => void settle(client, w, 'mine')}>Try again</Button>
        ) : (
          <Button onClick={() => void setAside(client, w)}>Set aside</Button>
        )}
        <Button look="quiet" onClick={() => void settle(client, w, 'theirs')}>
          Discard it
        </Button>
      </div>
    </div>
  );
}

/** Mine and theirs side by side: one of them stays. */
function Conflict({ w }: { w: Waiting }) {
  const client = useQueryClient();
  const mine = recordIn(w);
  const [theirs, setTheirs] = useState<Kept | null | undefined>();
  useEffect(() => {
    if (!mine) return;
    const of = mine.plantId ? `plantId=${mine.plantId}` : `placeId=${mine.placeId}`;
    void api<Kept[]>('GET', `${apiOf(w.input.gardenId, 'records')}?${of}`).then(
      (list) => setTheirs(list.find((r) => r.id === mine.id) ?? null),
      () => setTheirs(undefined),
    );
  }, [mine, w.input.gardenId]);
  const keepMine = () =>
    settle(client, w, 'mine', {
      ...w.input,
      ...(mine && theirs?.version ? { record: { ...mine, version: theirs.version } } : {}),
    });
  return (
    <div className="mt-2">
      <p>Someone else edited this too. Which version do you want to keep?</p>
      <div className="mt-2 grid gap-3 sm:grid-cols-2">
        <Side title="Mine" record={mine} onKeep={() => void keepMine()} disabled={theirs == null} />
        <Side title="Theirs" record={theirs} onKeep={() => void settle(client, w, 'theirs')} disabled={false} />
      </div>
    </div>
  );
}

interface SideProps {
  title: 'Mine' | 'Theirs';
  record: Kept | null | undefined;
  onKeep: () => void;
  disabled: boolean;
}

/** One of the two, as in the list of records. */
function Side({ title, record, onKeep, disabled }: SideProps) {
  const f = useFormat();
  return (
    <section aria-label={title} className="flex flex-col justify-between rounded-lg border border-line p-3">
      <div>
        <h3 className="font-semibold">{title}</h3>
        {record === null && <p className="text-soft">deleted</p>}
        {record && (
          <p>
            {described(record, f)}, {f.day(record.data.date)}
          </p>
        )}
      </div>
      <Button className="mt-2 w-full" onClick={onKeep} disabled={disabled}>
        Keep {title.toLowerCase()}
      </Button>
    </section>
  );
}

/** Only the server converts minutes of water to litres. */
const described = (r: Kept, f: Formatter): string =>
  r.type === 'watering' && !('litres' in r.data) ? RECORD_TYPES.watering.label : describeRecord(r.type, r.data, f);
