import type { PhotoDto } from '@candid-leaf/contract';
import type { SignCode } from '@candid-leaf/core/records';
import type { Day } from '@candid-leaf/core/units';
import { queryOptions } from '@tanstack/react-query';
import { api } from '../lib/api';
import { apiOf } from '../lib/paths';
import { queryKeys } from '../lib/query-keys';
import { sendInParts } from '../lib/send-in-parts';
import { defineWrite, type OfGarden } from '../lib/writes';

/** Subject of photos: one plant, or one bed. */
export type PhotoSubject = { plantId: string } | { placeId: string };

export const photosQuery = (gardenId: string, of: PhotoSubject) =>
  queryOptions({
    queryKey: [...queryKeys.garden(gardenId), 'photos', of] as const,
    queryFn: () => api<PhotoDto[]>('GET', `${apiOf(gardenId, 'photos')}?${new URLSearchParams(of)}`),
  });

export interface PhotoToSave extends OfGarden {
  id: string;
  of: PhotoSubject;
  day: Day;
  sign?: SignCode | undefined;
  /** as shrunk on this device */
  picture: Blob;
}

export const PHOTO_SAVE = 'photo.save';

export const savePhoto = defineWrite(
  PHOTO_SAVE,
  ({ gardenId, id, of, day, sign, picture }: PhotoToSave) =>
    sendInParts<PhotoDto>(
      apiOf(gardenId, 'photos', id, 'parts'),
      picture,
      `?${new URLSearchParams({ ...of, day, ...(sign ? { sign } : {}) })}`,
    ),
  {
    label: () => 'A photo',
    // shown from the waiting picture
    apply: (_client, { id, of, day, sign, picture }): PhotoDto => ({
      id,
      plantId: 'plantId' in of ? of.plantId : null,
      placeId: 'placeId' in of ? of.placeId : null,
      sign: sign ?? null,
      day,
      width: 0,
      height: 0,
      bytes: picture.size,
      by: '',
    }),
  },
);
export const deletePhoto = defineWrite('photo.delete', ({ gardenId, id }: OfGarden & { id: string }) =>
  api('DELETE', apiOf(gardenId, 'photos', id)),
);
export const restorePhoto = defineWrite('photo.restore', ({ gardenId, id }: OfGarden & { id: string }) =>
  api('POST', apiOf(gardenId, 'photos', id, 'restore')),
);
