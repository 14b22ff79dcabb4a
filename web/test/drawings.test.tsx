import { CROPS, SIGNS } from '@candid-leaf/core/records';
import { renderToStaticMarkup } from 'react-dom/server';
import { SignPicture } from '../src/signs/sign-picture';

test('every sign has a drawing on each crop that can show it, and no two of a crop are equal', () => {
  for (const crop of CROPS) {
    const seen = new Map<string, string>();
    for (const s of SIGNS) {
      if ('crop' in s && s.crop !== crop) continue;
      const drawn = renderToStaticMarkup(<SignPicture sign={s.code} crop={crop} />);
      expect([s.code, drawn.length > 150]).toEqual([s.code, true]);
      expect([s.code, seen.get(drawn)]).toEqual([s.code, undefined]);
      seen.set(drawn, s.code);
    }
  }
});
