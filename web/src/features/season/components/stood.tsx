import type { StoodPlace, StoodPlant } from '@candid-leaf/contract';
import { Link } from 'react-router';
import { useFormat, useLink } from '../../../lib/garden-context';
import { Panel } from '../../../ui/panel';
import { PlantDrawing } from '../../../signs/plant/plant-drawing';
import { END_WORDS } from '../../../ui/plant-ends';

/** What grew where in a season: beds in walking order with plants, dates and problems. */
export function Stood({ places, label }: { places: readonly StoodPlace[]; label: string }) {
  if (places.length === 0) return null;
  return (
    <Panel title={`The garden in ${label}`}>
      <div className="mt-1 divide-y divide-line">
        {places.map((p) => (
          <section key={p.placeId} aria-label={`${p.place} in ${label}`} className="py-3 first:pt-1 last:pb-0">
            <h3 className="inline text-xl">{p.place}</h3>
            {p.troubles.length > 0 && <span className="ml-2 text-ripe">{p.troubles.join(', ')}</span>}
            <ul className="mt-1 grid grid-cols-2 gap-x-3 gap-y-2 sm:grid-cols-[repeat(auto-fill,minmax(10rem,1fr))]">
              {p.plants.map((plant) => (
                <OnePlant key={plant.id} plant={plant} />
              ))}
            </ul>
          </section>
        ))}
      </div>
    </Panel>
  );
}

function OnePlant({ plant }: { plant: StoodPlant }) {
  const link = useLink();
  const f = useFormat();
  return (
    <li>
      <Link
        to={link('plant', { plantId: plant.id })}
        className="group flex min-h-11 items-end gap-2 rounded-lg p-1 hover:bg-leafwash"
      >
        <PlantDrawing plant={plant} bare aria-hidden className="h-14 w-9 shrink-0" />
        <span className="min-w-0">
          <span className="block leading-5 font-semibold group-hover:underline">{plant.name}</span>
          <span className="block text-sm text-soft tabular-nums">
            {f.day(plant.plantedOn)}
            {plant.endedOn ? ` to ${f.day(plant.endedOn)}` : ', growing'}
          </span>
          {plant.because && <span className="block text-sm text-soft">{END_WORDS[plant.because].then}</span>}
        </span>
      </Link>
    </li>
  );
}
