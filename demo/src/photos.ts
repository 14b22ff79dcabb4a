import { PLANTS } from './garden.js';
import { idOf } from './ids.js';

const photo = (plant: string, day: string, file: string) => ({
  id: idOf(`photo of ${plant}, ${day}`),
  plantId: PLANTS.find((p) => p.name === plant)!.id,
  day,
  file,
});

/** Photos of the demo garden: drawn, like everything in it. */
export const PHOTOS = [
  photo('Sleeper Paste', '2026-05-24', 'paste-young.jpg'),
  photo('Sleeper Paste', '2026-06-25', 'paste-flowering.jpg'),
  photo('Sleeper Paste', '2026-07-16', 'paste-fruiting.jpg'),
  photo('Junction Bell', '2026-06-20', 'bell-young.jpg'),
  photo('Junction Bell', '2026-07-15', 'bell-fruiting.jpg'),
];
