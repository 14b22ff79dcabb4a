import type { Inspection, PlantView } from '@candid-leaf/contract';
import type { SignSeen } from '@candid-leaf/core/records';
import { useRef, useState } from 'react';
import { v7 as uuid } from 'uuid';
import { useDeleteRecord, useSaveRecord } from '../../data/queries';

/**
 * Today's look at a plant, written down as it is touched: every touch is kept at once, so a walk can be broken off
 * anywhere. Touches that come while one is being sent are sent together after it.
 */
export function useInspection(view: PlantView, onError: (e: Error) => void) {
  const { garden, plant } = view;
  const save = useSaveRecord(garden.id);
  const remove = useDeleteRecord(garden.id);
  const standing = view.records.find(
    (r) =>
      r.type === 'inspection' && r.day === garden.today && r.plantId === plant.id && !(r.data as Inspection).allClear,
  );
  const record = useRef<{ id: string; version: number | null }>({
    id: standing?.id ?? uuid(),
    version: standing?.version ?? null,
  });
  const [signs, setSigns] = useState<SignSeen[]>(() => (standing?.data as Inspection | undefined)?.signs ?? []);
  const latest = useRef(signs);
  const sending = useRef(false);
  const again = useRef(false);
  const [partOfDay, setPartOfDay] = useState<'morning' | 'afternoon'>(
    () =>
      (standing?.data as Inspection | undefined)?.partOfDay ?? (new Date().getHours() < 12 ? 'morning' : 'afternoon'),
  );
  const when = useRef(partOfDay);

  const send = async () => {
    if (sending.current) {
      again.current = true;
      return;
    }
    sending.current = true;
    try {
      do {
        again.current = false;
        const now = latest.current;
        const { id, version } = record.current;
        if (now.length === 0) {
          if (version !== null) await remove.mutateAsync(id);
          record.current = { id: uuid(), version: null };
        } else {
          const data: Inspection = { date: garden.today, allClear: false, partOfDay: when.current, signs: now };
          const kept = await save.mutateAsync({
            id,
            type: 'inspection',
            plantId: plant.id,
            data,
            ...(version !== null ? { version } : {}),
          });
          record.current = { id: kept.id, version: kept.version };
        }
      } while (again.current);
    } catch (error) {
      onError(error as Error);
    } finally {
      sending.current = false;
    }
  };
  const change = (next: SignSeen[]) => {
    latest.current = next;
    setSigns(next);
    void send();
  };
  return {
    signs,
    partOfDay,
    saving: save.isPending,
    setPartOfDay: (p: 'morning' | 'afternoon') => {
      when.current = p;
      setPartOfDay(p);
      if (latest.current.length > 0) void send();
    },
    /** Puts one sign as given, or takes it out when null. */
    put: (sign: SignSeen['sign'], seen: SignSeen | null) =>
      change([...latest.current.filter((s) => s.sign !== sign), ...(seen ? [seen] : [])]),
    /** Puts several at once: what a check showed. */
    putAll: (seen: readonly SignSeen[]) =>
      change([...latest.current.filter((s) => !seen.some((x) => x.sign === s.sign)), ...seen]),
  };
}
