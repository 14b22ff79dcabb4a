import { isRecordOf, type PlantView } from '@candid-leaf/contract';
import type { Inspection, SignSeen } from '@candid-leaf/core/records';
import { useRef, useState } from 'react';
import { v7 as uuid } from 'uuid';
import { useWrite } from '../../ui/use-write';
import { deleteRecord, saveRecord } from '../../data/records';

type PartOfDay = NonNullable<Inspection['partOfDay']>;
const partOfDayNow = (): PartOfDay => (new Date().getHours() < 12 ? 'morning' : 'afternoon');

/**
 * Today's look at a plant, saved at every touch, so a walk can be interrupted anywhere. Touches during a request are
 * sent together after it.
 */
export function useInspection(view: PlantView, onError: (e: Error) => void) {
  const { garden, plant } = view;
  const save = useWrite(saveRecord, garden.id);
  const remove = useWrite(deleteRecord, garden.id);
  // continues today's look; an all-clear of today is a separate one
  const todays = view.records
    .filter((r) => isRecordOf(r, 'inspection'))
    .find((r) => r.day === garden.today && r.plantId === plant.id && !r.data.allClear);
  const record = useRef<{ id: string; version: number | null }>({
    id: todays?.id ?? uuid(),
    version: todays?.version ?? null,
  });
  const [signs, setSigns] = useState<SignSeen[]>(() => todays?.data.signs ?? []);
  const latest = useRef(signs);
  const sending = useRef(false);
  const again = useRef(false);
  const [partOfDay, setPartOfDay] = useState<PartOfDay>(() => todays?.data.partOfDay ?? partOfDayNow());
  const when = useRef(partOfDay);

  const sendOnce = async (): Promise<void> => {
    const { id, version } = record.current;
    if (latest.current.length === 0) {
      if (version !== null) await remove.send({ id });
      record.current = { id: uuid(), version: null };
      return;
    }
    const data: Inspection = { date: garden.today, allClear: false, partOfDay: when.current, signs: latest.current };
    const kept = await save.send({
      record: { id, type: 'inspection', plantId: plant.id, data, ...(version !== null ? { version } : {}) },
    });
    record.current = { id: kept.id, version: kept.version };
  };
  const send = async (): Promise<void> => {
    if (sending.current) {
      again.current = true;
      return;
    }
    sending.current = true;
    try {
      do {
        again.current = false;
        await sendOnce();
      } while (again.current);
    } catch (error) {
      onError(error as Error);
    } finally {
      sending.current = false;
    }
  };
  const change = (next: SignSeen[]): void => {
    latest.current = next;
    setSigns(next);
    void send();
  };
  return {
    signs,
    partOfDay,
    saving: save.isPending,
    setPartOfDay: (p: PartOfDay): void => {
      when.current = p;
      setPartOfDay(p);
      if (latest.current.length > 0) void send();
    },
    /** Sets one sign, or removes it if null. */
    put: (sign: SignSeen['sign'], seen: SignSeen | null): void =>
      change([...latest.current.filter((s) => s.sign !== sign), ...(seen ? [seen] : [])]),
    /** Sets several at once: the result of a check. */
    putAll: (seen: readonly SignSeen[]): void =>
      change([...latest.current.filter((s) => !seen.some((x) => x.sign === s.sign)), ...seen]),
  };
}
