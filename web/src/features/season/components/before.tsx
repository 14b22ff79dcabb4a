import type { SeasonView } from '@candid-leaf/contract';
import { Link } from 'react-router';
import { useLink } from '../../../lib/garden-context';
import { Unfold } from '../../../ui/unfold';

/** Problems by bed in the season before, and its review: input for this plan. */
export function Before({ before: { label, year, notes, stood } }: { before: NonNullable<SeasonView['before']> }) {
  const link = useLink();
  const ailed = stood.filter((p) => p.troubles.length > 0);
  const sound = stood.filter((p) => p.troubles.length === 0);
  return (
    <Unfold look="card" title={`Lessons from ${label}`} className="mb-4">
      {() => (
        <div className="grid gap-x-8 gap-y-2 px-4 py-2 lg:grid-cols-2">
          {notes && (notes.change || notes.worked) && (
            <div>
              {notes.change && (
                <p>
                  <strong>To change:</strong> {notes.change}
                </p>
              )}
              {notes.worked && (
                <p className="mt-1">
                  <strong>Worked:</strong> {notes.worked}
                </p>
              )}
            </div>
          )}
          {stood.length > 0 && (
            <div>
              <h3 className="sr-only">Problems by bed or pot</h3>
              <ul aria-label="Problems by bed or pot">
                {ailed.map((p) => (
                  <li key={p.placeId}>
                    <strong>{p.place}:</strong> {p.troubles.join(', ').toLowerCase()}
                  </li>
                ))}
              </ul>
              {sound.length > 0 && (
                <p className="text-soft">No problems recorded for {sound.map((p) => p.place).join(', ')}.</p>
              )}
              <Link className="font-semibold text-leaf underline" to={link('season', {}, { year: String(year) })}>
                What grew where in {label}
              </Link>
            </div>
          )}
        </div>
      )}
    </Unfold>
  );
}
