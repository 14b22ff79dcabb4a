import type { SeasonView } from '@candid-leaf/contract';
import { Link, useSearchParams } from 'react-router';
import { useLink } from '../lib/garden-context';
import { tabLook } from '../ui/tabs';

/** The pages of a season. */
const PAGES = [
  ['season', 'Plan'],
  ['harvest', 'Harvest'],
  ['compare', 'Compare'],
  ['closeYear', 'Close the year'],
] as const;

/** Chooses the season and its page. */
export function SeasonTabs({ season, here }: { season: SeasonView; here: (typeof PAGES)[number][0] }) {
  const link = useLink();
  // the address has the requested season; the page may still show the previous one
  const [params] = useSearchParams();
  const asked = params.get('year') ?? String(season.season.year);
  const year = { year: asked };
  return (
    <div className="mb-4 flex flex-wrap items-center justify-between gap-x-6 border-b border-line print:hidden">
      <nav aria-label="Seasons" className="flex max-w-full gap-x-3 overflow-x-auto [scrollbar-width:none]">
        {season.seasons.map((s) => {
          const open = String(s.year) === asked;
          return (
            <Link
              key={s.year}
              to={link(here, {}, { year: String(s.year) })}
              aria-current={open ? 'page' : undefined}
              className={tabLook({ isActive: open })}
            >
              {s.label}
            </Link>
          );
        })}
      </nav>
      <nav aria-label="Of this season" className="flex max-w-full gap-x-3 overflow-x-auto [scrollbar-width:none]">
        {PAGES.map(([page, words]) => (
          <Link
            key={page}
            to={link(page, {}, year)}
            aria-current={here === page ? 'page' : undefined}
            className={tabLook({ isActive: here === page })}
          >
            {words}
          </Link>
        ))}
      </nav>
    </div>
  );
}
