import type { PlaceOnView } from '@candid-leaf/contract';
import type { Day } from '@candid-leaf/core/units';
import { coverOf, isPotted } from '@candid-leaf/core/records';
import { SOILS } from '@candid-leaf/core/water';
import { CalendarDays, Footprints, Pencil, Plus } from 'lucide-react';
import { useState } from 'react';
import { Link } from 'react-router';
import { useFormat, useGarden, useLink, useMay } from '../../../lib/garden-context';
import { Button, buttonLook } from '../../../ui/button';
import { Panel } from '../../../ui/panel';
import { COVER_WORDS, KIND_WORDS, percent } from '../../../ui/water-left';
import { FeelFirst } from './feel-first';
import { RecordSheet } from '../../records/components/record-sheet';
import { WaterButton } from '../../water/components/water-button';
import { leftOn, PlantCell } from './plant-cell';

const mean = (list: readonly (number | null)[]): number | null => {
  const known = list.flatMap((left) => (left === null ? [] : [left]));
  return known.length === 0 ? null : known.reduce((a, b) => a + b, 0) / known.length;
};

/** One bed, or one group of pots, drawn as one walks past it. */
export function PlaceStrip({ view, day }: { view: PlaceOnView; day: Day }) {
  const garden = useGarden();
  const link = useLink();
  const { place, plants } = view;
  const may = useMay();
  const pots = isPotted(place);
  return (
    <Panel label={place.name} className="px-3 pt-2 pb-3 sm:px-4">
      <div className="flex flex-wrap items-center justify-between gap-x-4 gap-y-1">
        <Heading view={view} left={mean(plants.map((p) => leftOn(p, day)))} />
        <Acts view={view} day={day <= garden.today ? day : garden.today} />
      </div>
      {day === garden.today && may('record') && plants.some((p) => p.feelFirst) && <FeelFirst view={view} />}
      <ul className="mt-1 grid grid-cols-3 items-end gap-y-2 sm:grid-cols-[repeat(auto-fit,minmax(6.5rem,1fr))]">
        {plants.map((p) => (
          <PlantCell
            key={p.plant.id}
            view={p}
            left={leftOn(p, day)}
            pot={pots ? (place.potMaterial ?? 'plastic') : null}
            isToday={day === garden.today}
          />
        ))}
        {plants.length === 0 && (
          <li className="col-span-full py-6 text-center text-soft">
            Nothing stands here yet.{' '}
            {may('keep') && (
              <Link className="font-semibold text-leaf underline" to={link('newPlant', { placeId: place.id })}>
                Add a plant
              </Link>
            )}
          </li>
        )}
      </ul>
    </Panel>
  );
}

function Heading({ view: { place }, left }: { view: PlaceOnView; left: number | null }) {
  const format = useFormat();
  const cover = coverOf(place);
  const what = [
    isPotted(place)
      ? [
          place.volumeL != null ? format.litres(place.volumeL) : '',
          place.potMaterial,
          place.potMaterial === 'fabric' ? 'bags' : 'pots',
        ]
          .filter(Boolean)
          .join(' ')
      : `${KIND_WORDS[place.kind]}, ${SOILS[place.texture].label.toLowerCase()}`,
    cover === 'none' || place.kind === 'tunnel-bed' ? '' : COVER_WORDS[cover].toLowerCase(),
  ]
    .filter(Boolean)
    .join(', ');
  return (
    <div className="min-w-0">
      <h2 className="inline text-lg">{place.name}</h2>
      <span className="ml-2 text-sm text-soft">
        {!isPotted(place) && left !== null && (
          <>
            <strong className="text-base text-ink tabular-nums">{percent(left)}</strong> left ·{' '}
          </>
        )}
        {what}
      </span>
    </div>
  );
}

/** What can be done at the whole place. */
function Acts({ view, day }: { view: PlaceOnView; day: Day }) {
  const link = useLink();
  const may = useMay();
  const { place, plants } = view;
  const [recording, setRecording] = useState(false);
  const at = { placeId: place.id };
  return (
    <div className="flex items-center">
      {plants.length > 0 && (
        <>
          {may('record') && <WaterButton view={view} />}
          <Link to={link('placePlan', at)} aria-label={`Water plan of ${place.name}`} className={buttonLook('quiet')}>
            <CalendarDays aria-hidden size={18} /> <span className="max-sm:hidden">Week</span>
          </Link>
          {may('record') && (
            <Link to={link('placeWalk', at)} aria-label={`Walk along ${place.name}`} className={buttonLook('quiet')}>
              <Footprints aria-hidden size={18} /> <span className="max-sm:hidden">Walk</span>
            </Link>
          )}
        </>
      )}
      {may('record') && (
        <Button
          look="quiet"
          onClick={() => setRecording(true)}
          className="px-3.5"
          aria-label={`Record something done at ${place.name}`}
        >
          <Plus aria-hidden size={18} />
        </Button>
      )}
      {may('keep') && (
        <Link to={link('place', at)} aria-label={`Change ${place.name}`} className={`${buttonLook('quiet')} px-3`}>
          <Pencil aria-hidden size={17} />
        </Link>
      )}
      <RecordSheet
        open={recording}
        onClose={() => setRecording(false)}
        target={{ plantId: null, placeId: place.id, name: place.name }}
        day={day}
      />
    </div>
  );
}
