import { UnsupportedMediaTypeException } from '@nestjs/common';
import { PHOTO_PX } from '@candid-leaf/contract';
import { callingAccount } from '../shared/caller.js';
import { unavailable } from '../shared/http-errors.js';
import { Turns } from '../shared/turns.js';

/** Accepted formats, by file content, not by name. An XML drawing, for one, could request other files. */
const TAKEN: ReadonlySet<string> = new Set(['image/jpeg', 'image/png', 'image/webp']);
/** Most pixels of a picture to open: a phone's; a small file may claim to be a wall. */
const MOST_PIXELS = 24_000_000;
const QUALITY = { whole: 80, small: 70 };

/** One at a time, as an open picture uses a lot of memory; accounts take turns, each with so many waiting. */
const MOST_WAITING = 40;
/** The request is answered by then in any case, ms. */
const MOST_WAIT_MS = 60_000;
const turns = new Turns(1, MOST_WAITING, MOST_WAIT_MS, () =>
  unavailable('Other photos are being stored right now. Try again in a moment; sending it twice is safe.'),
);

/** A picture ready to store: re-encoded, upright, without metadata. */
export interface Kept {
  whole: Buffer;
  small: Buffer;
  width: number;
  height: number;
}

/**
 * Returns the picture as stored: upright, no larger than needed, redrawn from its pixels, so nothing else in the file
 * remains: no location, device or time.
 * @param keepIfPlain keeps one that is no larger and contains only pixels
 * @throws 415 if it is not a picture, or not what it claims; 503 if this account sends too many at once
 */
export function asKept(data: Buffer, keepIfPlain = false): Promise<Kept> {
  return turns.run(callingAccount() ?? 'nobody', () => redraw(data, keepIfPlain));
}

async function redraw(data: Buffer, keepIfPlain: boolean): Promise<Kept> {
  // loaded with the first photo: most processes never need it
  const { fileTypeFromBuffer } = await import('file-type');
  const { default: sharp } = await import('sharp');
  const type = await fileTypeFromBuffer(data);
  if (!type || !TAKEN.has(type.mime))
    throw new UnsupportedMediaTypeException('This is not a photo we can read: use JPEG, PNG or WebP.');
  const at = (px: number, quality: number) =>
    sharp(data, { limitInputPixels: MOST_PIXELS, failOn: 'error' })
      .rotate()
      .resize({ width: px, height: px, fit: 'inside', withoutEnlargement: true })
      .flatten({ background: '#ffffff' })
      .jpeg({ quality })
      .toBuffer({ resolveWithObject: true });
  try {
    const whole = await at(PHOTO_PX.whole, QUALITY.whole);
    const small = await at(PHOTO_PX.small, QUALITY.small);
    const { format, exif, xmp, iptc, icc, comments, width, height } = await sharp(data).metadata();
    const fits = format === 'jpeg' && Math.max(width, height) <= PHOTO_PX.whole;
    if (keepIfPlain && fits && !exif && !xmp && !iptc && !icc && !comments?.length && endsWithPicture(data))
      return { whole: data, small: small.data, width, height };
    return { whole: whole.data, small: small.data, width: whole.info.width, height: whole.info.height };
  } catch {
    throw new UnsupportedMediaTypeException('This photo can’t be read: it is damaged or far too large.');
  }
}

/** Returns whether nothing follows the end of the picture (mark FF D9). */
const endsWithPicture = (data: Buffer): boolean => data.at(-2) === 0xff && data.at(-1) === 0xd9;
