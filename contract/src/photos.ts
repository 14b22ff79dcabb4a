import { IsCalendarDay, SIGN_CODES, type SignCode } from '@candid-leaf/core/records';
import type { Day } from '@candid-leaf/core/units';
import { IsIn, IsOptional } from 'class-validator';
import { IsId } from './id.js';

/** What a photo is of, sent in the address; the picture itself is the body. */
export class PhotoOf {
  /** a photo belongs to one plant or to one bed or pot */
  @IsOptional()
  @IsId()
  plantId?: string;

  @IsOptional()
  @IsId()
  placeId?: string;

  /** what it shows */
  @IsOptional()
  @IsIn(SIGN_CODES)
  sign?: SignCode;

  @IsCalendarDay()
  day: Day;
}

/** Which photos to return. */
export class PhotosWanted {
  @IsOptional()
  @IsId()
  plantId?: string;

  @IsOptional()
  @IsId()
  placeId?: string;
}

/** A photo without its picture. */
export interface PhotoDto {
  id: string;
  plantId: string | null;
  placeId: string | null;
  sign: SignCode | null;
  day: Day;
  /** px, upright */
  width: number;
  height: number;
  /** size of the picture, without its thumbnail */
  bytes: number;
  by: string;
}

/** Longer side of a stored picture and of its thumbnail, px. */
export const PHOTO_PX = { whole: 1600, small: 320 } as const;
/** Largest upload; a device shrinks photos first and stays well below. */
export const PHOTO_BYTES = 8_000_000;
