import { UnsupportedMediaTypeException } from '@nestjs/common';
import { PHOTO_PX } from '@candid-leaf/contract';

/** What is looked into at all, by what stands in the file and not by its name. A drawing in XML, for one, could ask for other files. */
const TAKEN: ReadonlySet<string> = new Set(['image/jpeg', 'image/png', 'image/webp']);
/** Pixels of the largest picture that is opened: a phone's; a small file may say that it holds a wall. */
const MOST_PIXELS = 64_000_000;
const QUALITY = { whole: 80, small: 70 };

/** One at a time: a picture that is opened takes some memory. */
let turn: Promise<unknown> = Promise.resolve();

export interface Kept {
  whole: Buffer;
  small: Buffer;
  width: number;
  height: number;
}

/**
 * A picture as it is kept: upright, no larger than it must be, and drawn anew from its pixels, so that nothing else that stood in the file is
 * kept: no place, no maker, no time.
 * @param keepIfPlain one that is no larger and holds nothing but its pixels stays as it is
 * @throws 415 what is no picture, or is not what it says
 */
export function asKept(data: Buffer, keepIfPlain = false): Promise<Kept> {
  const work = turn.then(() => redraw(data, keepIfPlain));
  turn = work.catch(() => undefined);
  return work;
}

async function redraw(data: Buffer, keepIfPlain: boolean): Promise<Kept> {
  // what draws is loaded with the first photo: most processes never need it
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

/** Nothing stands behind the end of the picture (the mark FF D9). */
const endsWithPicture = (data: Buffer): boolean => data.at(-2) === 0xff && data.at(-1) === 0xd9;
