import type { PlaceDto } from '@candid-leaf/contract';
import { layOut, mostIn, spacingOf } from '@candid-leaf/core/planning';
import { isPotted, type Crop } from '@candid-leaf/core/records';
import { useFormat } from '../../../lib/garden-context';

/** The bed from above, to scale, with the plants as they would stand and the room that each wants. */
export function BedFromAbove({ place, count, crop }: { place: PlaceDto; count: number; crop: Crop }) {
  const f = useFormat();
  const { lengthM, widthM } = place;
  if (isPotted(place) || !lengthM || !widthM) return null;
  const bed = { lengthM, widthM };
  const [least, most] = spacingOf(crop);
  const spots = layOut(bed, count, least);
  const room = mostIn(bed, least);
  const said = `${place.name} from above: ${count} of at most ${room} plants`;
  return (
    <figure className="mt-2">
      <svg
        role="img"
        aria-label={said}
        viewBox={`-0.03 -0.03 ${lengthM + 0.06} ${widthM + 0.06}`}
        className="w-full"
        style={{ maxWidth: `${Math.min(34, lengthM * 11)}rem` }}
      >
        <rect width={lengthM} height={widthM} rx={0.03} className="fill-moist" />
        {spots.map((s, i) => (
          <g key={i}>
            <circle cx={s.x} cy={s.y} r={least / 2} className="fill-green/40" />
            <circle cx={s.x} cy={s.y} r={0.05} className="fill-greendark" />
          </g>
        ))}
      </svg>
      <figcaption className="text-sm text-soft">
        {f.metres(lengthM)} by {f.metres(widthM)}: {count} of at most {room}; each wants {f.centimetres(least * 100)} to{' '}
        {f.centimetres(most * 100)}.
      </figcaption>
    </figure>
  );
}
