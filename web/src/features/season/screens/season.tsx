import type { GardenView, SeasonView } from '@candid-leaf/contract';
import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useSearchParams } from 'react-router';
import { useGarden } from '../../../lib/garden-context';
import { Panel } from '../../../ui/panel';
import { Failed, Waiting } from '../../../ui/states';
import { GardenPage } from '../../garden/components/garden-page';
import { Coming } from '../components/coming';
import { NeedsPanel } from '../components/needs-panel';
import { SeasonTabs } from '../components/season-tabs';
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
      <SeasonTabs season={season} here="season" />
      {season.before && <Before before={season.before} />}
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

/** What was said of the season before: this one's plan begins with it. */
function Before({ before: { label, notes } }: { before: NonNullable<SeasonView['before']> }) {
  return (
    <Panel title={`From ${label}`} className="mb-4">
      {notes.change && (
        <p className="mt-1">
          <strong>To change:</strong> {notes.change}
        </p>
      )}
      {notes.worked && (
        <p className="mt-1">
          <strong>Worked:</strong> {notes.worked}
        </p>
      )}
    </Panel>
  );
}
