import { useFormat, useGarden } from '../../lib/garden-context';
import { usePhotos } from '../../data/use-photos';
import { ChartRow } from './chart-row';
import type { ChartDay } from './chart-days';

/** Its photos on their days, as small links. */
export function PhotoChart({ days, plantId }: { days: readonly ChartDay[]; plantId: string }) {
  const garden = useGarden();
  const format = useFormat();
  const photos = usePhotos(garden.id, { plantId });
  const shown = days.flatMap((d) => {
    const photo = photos.find((p) => p.day === d.day);
    return photo ? [{ d, photo }] : [];
  });
  if (shown.length === 0) return null;
  return (
    <ChartRow label="Photos" tall="h-15 sm:h-13">
      {shown.map(({ d, photo }) => (
        <a
          key={photo.id}
          href={photo.whole}
          target="_blank"
          rel="noreferrer"
          className="absolute top-6 -translate-x-1/2 rounded border border-soft hover:z-10 sm:top-1"
          style={{ left: `${((d.i + 0.5) / days.length) * 100}%` }}
          aria-label={`Photo of ${format.day(d.day)}`}
        >
          <img src={photo.small} alt="" className="size-11 rounded-[3px] object-cover" />
        </a>
      ))}
    </ChartRow>
  );
}
