import type { SignCode } from '@candid-leaf/core/records';
import type { Day } from '@candid-leaf/core/units';
import { useQuery } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { apiOf } from '../lib/paths';
import type { Waiting } from '../offline/store';
import { useOutbox } from '../offline/use-outbox';
import { PHOTO_SAVE, photosQuery, type PhotoSubject, type PhotoToSave } from './photos';

/** A photo to show: from the server, or waiting on the device. */
export interface Shown {
  id: string;
  day: Day;
  sign: SignCode | null;
  small: string;
  whole: string;
  waiting: boolean;
}

const isOf = (w: Waiting, of: PhotoSubject): boolean =>
  w.key === PHOTO_SAVE && JSON.stringify((w.input as unknown as PhotoToSave).of) === JSON.stringify(of);

/** Object URLs of waiting pictures, for as long as they are shown. */
function useLocal(list: readonly Waiting[]): ReadonlyMap<string, string> {
  const [urls, setUrls] = useState<ReadonlyMap<string, string>>(new Map());
  const ids = list.map((w) => w.n).join();
  useEffect(() => {
    const made = new Map(
      list.map((w) => {
        const { id, picture } = w.input as unknown as PhotoToSave;
        return [id, URL.createObjectURL(picture)] as const;
      }),
    );
    setUrls(made);
    return () => made.forEach((url) => URL.revokeObjectURL(url));
    // the same ones stay the same
    // oxlint-disable-next-line react-hooks/exhaustive-deps
  }, [ids]);
  return urls;
}

/** The photos of a plant or bed, newest first, including waiting ones. */
export function usePhotos(gardenId: string, of: PhotoSubject): Shown[] {
  const { data = [] } = useQuery(photosQuery(gardenId, of));
  const waiting = useOutbox().filter((w) => isOf(w, of));
  const local = useLocal(waiting);
  const at = (id: string, size: string): string => `/api${apiOf(gardenId, 'photos', id, size)}`;
  const kept = data.map(({ id, day, sign }): Shown => ({
    id,
    day,
    sign,
    small: at(id, 'small'),
    whole: at(id, 'whole'),
    waiting: false,
  }));
  const here = waiting.flatMap((w): Shown[] => {
    const { id, day, sign } = w.input as unknown as PhotoToSave;
    const url = local.get(id);
    return url && !kept.some((k) => k.id === id)
      ? [{ id, day, sign: sign ?? null, small: url, whole: url, waiting: true }]
      : [];
  });
  return [...here, ...kept].sort((a, b) => (a.day === b.day ? (a.id < b.id ? 1 : -1) : a.day < b.day ? 1 : -1));
}
