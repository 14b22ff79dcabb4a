import type { GardenView } from '@candid-leaf/contract';
import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useSearchParams } from 'react-router';
import { useGarden } from '../../../lib/garden-context';
import { Panel } from '../../../ui/panel';
import { Failed, Waiting } from '../../../ui/states';
import { GardenPage } from '../../../frame/garden-page';
import { Before } from '../components/before';
import { Coming } from '../components/coming';
import { NeedsPanel } from '../components/needs-panel';
import { SecondCrop } from '../components/second-crop';
import { SeasonTabs } from '../../../frame/season-tabs';
import { Plantings } from '../components/plantings';
import { Stood } from '../components/stood';
import { YearLine } from '../components/year-line';
import { seasonQuery } from '../../../data/season';

/** The season page: the year's line, what comes next, what is planned. */
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
  if (query.isPending) return <Waiting what="Calculating the season" />;
  if (query.error) return <Failed error={query.error} again={() => void query.refetch()} />;
  const season = query.data;
  return (
    <>
      <SeasonTabs season={season} here="season" />
      {season.before && !season.past && <Before before={season.before} />}
      <Panel title={season.season.label}>
        {season.past && <p className="text-soft">Past season (read-only).</p>}
        <YearLine view={season} />
      </Panel>
      {(season.past || season.stood.some((p) => p.plants.some((x) => x.endedOn))) && (
        <div className="mt-4">
          <Stood places={season.stood} label={season.season.label} />
        </div>
      )}
      <div className="mt-4 grid items-start gap-4 lg:grid-cols-[1fr_24rem]">
        <Plantings season={season} view={view} />
        <div className="flex flex-col gap-4 max-lg:order-first">
          {!season.past && <Coming view={season} />}
          {season.second && <SecondCrop second={season.second} />}
          {season.needs && <NeedsPanel needs={season.needs} />}
        </div>
      </div>
    </>
  );
}
