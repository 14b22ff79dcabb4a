import type { PlaceOnView } from '@candid-leaf/contract';
import { SoilFeel } from '../../../frame/acts/soil-feel';

/** The watering history of this bed is unknown: no amount before a finger check, which one touch records. */
export const FeelFirst = ({ view: { place } }: { view: PlaceOnView }) => (
  <div className="mt-1 flex flex-wrap items-center gap-x-3 gap-y-1 rounded-lg bg-leafwash px-3 py-1">
    <span>
      Water <strong>unknown: check the soil</strong>
    </span>
    <SoilFeel place={place} said={(felt) => `${place.name}: soil felt ${felt}.`} />
  </div>
);
