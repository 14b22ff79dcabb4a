import type { PlaceDto } from '@candid-leaf/contract';
import { disorderRow } from '@candid-leaf/core/diagnosis';
import { isPotted } from '@candid-leaf/core/records';
import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { useGarden, useLink, useMay } from '../../../lib/garden-context';
import { Panel } from '../../../ui/panel';
import { soilQuery } from '../../../data/soil';
import { EarlierYears } from './earlier-years';

/** Earlier crops and problems by year: filled in automatically, with the gardener's own notes. */
export function PlotHistory({ place }: { place: PlaceDto }) {
  const link = useLink();
  const may = useMay();
  const query = useQuery(soilQuery(useGarden().id, place.id));
  const years = [...(place.history ?? []), ...(query.data?.grown ?? [])].sort((a, b) => b.year - a.year);
  return (
    <Panel title="What grew here, and its problems">
      {years.length > 0 && (
        <ul className="mt-1 divide-y divide-line">
          {years.map((y, i) => (
            <li key={`${y.year} ${i}`} className="flex gap-4 py-1.5">
              <strong className="tabular-nums">{y.year}</strong>
              <span>
                {y.family === 'nightshade' ? 'Tomatoes, peppers or relatives' : 'Others or nothing'}
                {(y.problems ?? []).map((p, k) => (
                  <span key={p}>
                    {k === 0 ? ': ' : ', '}
                    <Link className="underline" to={link('disorder', { disorder: p })}>
                      {disorderRow(p).label.toLowerCase()}
                    </Link>
                  </span>
                ))}
              </span>
            </li>
          ))}
        </ul>
      )}
      {query.data && may('keep') && !isPotted(place) && <EarlierYears place={place} known={years} />}
      {years.length === 0 && <p className="mt-1 text-soft">It fills in from your plantings and treatments.</p>}
    </Panel>
  );
}
