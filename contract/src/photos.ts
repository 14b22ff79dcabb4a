import { IsCalendarDay, SIGN_CODES, type SignCode } from '@candid-leaf/core/records';
import type { Day } from '@candid-leaf/core/units';
import { IsIn, IsOptional } from 'class-validator';
import { IsId } from './id.js';

/** Of what a photo is, sent in the address; the picture itself is the body. */
export class PhotoOf {
  /** a photo is of one plant or of one place */
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

/** Which photos are asked for. */
export class PhotosWanted {
  @IsOptional()
  @IsId()
  plantId?: string;

  @IsOptional()
  @IsId()
  placeId?: string;
}

export interface PhotoDto {
  id: string;
  plantId: string | null;
  placeId: string | null;
  sign: SignCode | null;
  day: Day;
  /** px, upright */
  width: number;
  height: number;
  /** of the picture, without its small one */
  bytes: number;
  by: string;
}

/** The longer side of a picture that is kept, and of its small one, px. */
export const PHOTO_PX = { whole: 1600, small: 320 } as const;
/** What is taken in; a device shrinks before it sends, and is well below. */
export const PHOTO_BYTES = 8_000_000;
