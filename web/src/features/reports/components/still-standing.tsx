import { PLANT_ENDS, type PlantEnd, type StoodPlace } from '@candid-leaf/contract';
import { clearingFor } from '@candid-leaf/core/reports';
import { useState } from 'react';
import { Link } from 'react-router';
import { useGarden, useLink } from '../../../lib/garden-context';
import { Button } from '../../../ui/button';
import { SelectField } from '../../../ui/select-field';
import { useWrite } from '../../../ui/use-write';
import { END_WORDS } from '../../../ui/plant-ends';
import { restorePlant, retirePlant } from '../../../data/plants';

/** Plants of the season not yet archived, bed by bed, with one reason for all; single ones on their own page. */
export function StillStanding({ places, label }: { places: readonly StoodPlace[]; label: string }) {
  if (places.length === 0) return <p className="mt-1 text-soft">All plants of {label} are cleared.</p>;
  return (
    <>
      <p className="mt-1 text-sm">{END_WORDS['season-over'].after}</p>
      <ul className="mt-1 divide-y divide-line">
        {places.map((p) => (
          <OnePlace key={p.placeId} place={p} />
        ))}
      </ul>
    </>
  );
}

/** What ailed them decides how they are cleared, whatever ended the season. */
function isSick(place: StoodPlace): boolean {
  const { bag, bury } = clearingFor([place]);
  return bag.length + bury.length > 0;
}

function OnePlace({ place }: { place: StoodPlace }) {
  const garden = useGarden();
  const link = useLink();
  const end = useWrite(retirePlant, garden.id);
  const back = useWrite(restorePlant, garden.id);
  const [because, setBecause] = useState<PlantEnd>(isSick(place) ? 'disease' : 'season-over');
  const plants = place.plants.filter((p) => p.endedOn === null);
  const endAll = () => {
    const ids = plants.map((p) => p.id);
    ids.slice(0, -1).forEach((id) => end.mutate({ id, because }));
    end.mutate(
      { id: ids.at(-1)!, because },
      {
        said: `${place.place}: ${plants.length === 1 ? 'one plant' : `${plants.length} plants`} archived; all records stay.`,
        undo: () => ids.forEach((id) => back.mutate({ id })),
      },
    );
  };
  return (
    <li className="py-3">
      <div className="flex flex-wrap items-end justify-between gap-x-3 gap-y-2">
        <SelectField
          className="min-w-52 flex-1"
          label={`${place.place}: reason`}
          options={PLANT_ENDS.map((e) => [e, END_WORDS[e].now])}
          value={because}
          onChange={(chosen) => setBecause(chosen as PlantEnd)}
        />
        <Button onClick={endAll} disabled={end.isPending} aria-label={`Clear the plants in ${place.place}`}>
          {plants.length === 1 ? 'Clear it' : `Clear all ${plants.length}`}
        </Button>
      </div>
      <p className="mt-1 text-sm text-soft">
        {plants.map((p, i) => (
          <span key={p.id}>
            {i > 0 && ', '}
            <Link className="underline" to={link('plantEdit', { plantId: p.id })}>
              {p.name}
            </Link>
          </span>
        ))}
      </p>
      {because !== 'season-over' && <p className="mt-1 text-sm">{END_WORDS[because].after}</p>}
    </li>
  );
}
