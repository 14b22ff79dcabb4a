import type { GardenView, SeasonView } from '@candid-leaf/contract';
import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { Link, useSearchParams } from 'react-router';
import { useGarden, useLink } from '../../../lib/garden-context';
import { Panel } from '../../../ui/panel';
import { Failed, Waiting } from '../../../ui/states';
import { tabLook } from '../../../ui/tabs';
import { GardenPage } from '../../garden/components/garden-page';
import { Coming } from '../components/coming';
import { NeedsPanel } from '../components/needs-panel';
import { Plantings } from '../components/plantings';
import { YearLine } from '../components/year-line';
import { seasonQuery } from '../queries';

/** Where one is in the year: its line, what comes next, what is planned. */
export function SeasonScreen() {
  return <GardenPage title={() => 'Season'}>{(view) => <Season view={view} />}</GardenPage>;
}

function Season({ view }: { view: GardenView }) {
  const garden = useGarden();
  const [params] = useSearchParams();
  const asked = Number(params.get('year') ?? NaN);
  const query = useQuery({
    ...seasonQuery(garden.id, Number.isInteger(asked) ? asked : null),
    placeholderData: keepPreviousData,
  });
  if (query.isPending) return <Waiting what="Reckoning the year" />;
  if (query.error) return <Failed error={query.error} again={() => void query.refetch()} />;
  const season = query.data;
  return (
    <>
      <Years season={season} />
      <Panel title={season.season.label}>
        {season.past && <p className="text-soft">An earlier season: to be read, not written.</p>}
        <YearLine view={season} />
      </Panel>
      <div className="mt-4 grid items-start gap-4 lg:grid-cols-[1fr_24rem]">
        <Plantings season={season} view={view} />
        <div className="flex flex-col gap-4 max-lg:order-first">
          {!season.past && <Coming view={season} />}
          {season.needs && <NeedsPanel needs={season.needs} />}
        </div>
      </div>
    </>
  );
}

function Years({ season }: { season: SeasonView }) {
  const link = useLink();
  return (
    <nav aria-label="Seasons" className="mb-4 flex flex-wrap gap-x-3 border-b border-line">
      {season.seasons.map((s) => {
        const here = s.year === season.season.year;
        return (
          <Link
            key={s.year}
            to={link('season', {}, { year: String(s.year) })}
            aria-current={here ? 'page' : undefined}
            className={tabLook({ isActive: here })}
          >
            {s.label}
          </Link>
        );
      })}
    </nav>
  );
}
