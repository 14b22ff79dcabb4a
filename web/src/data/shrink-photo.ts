import { PHOTO_PX } from '@candid-leaf/contract';

const QUALITY = 0.82;

/**
 * Shrinks a photo on the device: upright, at stored size, redrawn so its location never leaves the phone.
 * @throws if the browser can't open it as a picture
 */
export async function shrink(file: Blob): Promise<Blob> {
  const picture = await createImageBitmap(file, { imageOrientation: 'from-image' });
  try {
    const scale = Math.min(1, PHOTO_PX.whole / Math.max(picture.width, picture.height));
    const canvas = document.createElement('canvas');
    canvas.width = Math.max(1, Math.round(picture.width * scale));
    canvas.height = Math.max(1, Math.round(picture.height * scale));
    const pen = canvas.getContext('2d');
    if (!pen) throw new Error('this browser cannot draw pictures');
    pen.drawImage(picture, 0, 0, canvas.width, canvas.height);
    return await new Promise((done, fail) =>
      canvas.toBlob(
        (b) => (b ? done(b) : fail(new Error('the picture could not be made smaller'))),
        'image/jpeg',
        QUALITY,
      ),
    );
  } finally {
    picture.close();
  }
}
