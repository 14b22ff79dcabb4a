import type { PlaceOnView } from '@candid-leaf/contract';
import { readSoilTest } from '@candid-leaf/core/soil';
import { Link } from 'react-router';
import { useFormat, useLink } from '../../../lib/garden-context';
import { ShedPage } from '../../../frame/shed-page';
import { Drenches } from '../components/drenches';

/** The soil of every bed: when tested, and what is low. */
export function SoilsScreen() {
  return (
    <ShedPage>
      {(view) => (
        <>
          <ul className="grid gap-3 sm:grid-cols-2 lg:grid-cols-3">
            {view.places.map((p) => (
              <Place key={p.place.id} at={p} />
            ))}
          </ul>
          <Drenches />
        </>
      )}
    </ShedPage>
  );
}

function Place({ at: { place, plants } }: { at: PlaceOnView }) {
  const link = useLink();
  const f = useFormat();
  const test = place.soilTest;
  const rows = test ? readSoilTest(test, plants[0]?.plant.crop ?? 'tomato') : [];
  const off = rows.filter((r) => r.level !== 'ok');
  return (
    <li>
      <Link
        to={link('placeSoil', { placeId: place.id })}
        className="block rounded-2xl border border-line bg-card p-4 hover:bg-leafwash"
      >
        <h2 className="text-xl text-leaf">{place.name}</h2>
        <p className="text-soft">
          {test ? `Tested ${f.day(test.date)} ${test.date.slice(0, 4)}` : 'Not tested'}
          {off.length > 0 &&
            `: ${off.map((r) => `${r.what === 'pH' ? 'pH' : r.what.toLowerCase()} ${r.level}`).join(', ')}`}
        </p>
      </Link>
    </li>
  );
}
