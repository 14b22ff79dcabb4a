import sharp from 'sharp';

/** A photo as a phone writes it: lying on its side, with the place where it was taken. */
export async function phonePhoto(colour = '#4a7a35'): Promise<{ name: string; mimeType: string; buffer: Buffer }> {
  const buffer = await sharp({ create: { width: 2400, height: 1800, channels: 3, background: colour } })
    .withExif({
      IFD0: { Make: 'A maker' },
      IFD3: { GPSLatitudeRef: 'N', GPSLatitude: '45/1 36/1 0/1', GPSLongitudeRef: 'E', GPSLongitude: '8/1 54/1 0/1' },
    })
    .withMetadata({ orientation: 6 })
    .jpeg()
    .toBuffer();
  return { name: 'holiday.jpg', mimeType: 'image/jpeg', buffer };
}

/** A photo with so much detail that it is sent in several parts. */
export async function grainyPhoto(): Promise<{ name: string; mimeType: string; buffer: Buffer }> {
  const noise = { type: 'gaussian', mean: 120, sigma: 60 } as const;
  const buffer = await sharp({ create: { width: 1600, height: 1200, channels: 3, background: '#fff', noise } })
    .jpeg()
    .toBuffer();
  return { name: 'leaves.jpg', mimeType: 'image/jpeg', buffer };
}
