import type { GardenView, SeasonReportView, SeasonView } from '@candid-leaf/contract';
import { useQuery } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { useSearchParams } from 'react-router';
import { reportQuery } from '../../../data/reports';
import { seasonQuery } from '../../../data/season';
import { GardenPage } from '../../../frame/garden-page';
import { SeasonTabs } from '../../../frame/season-tabs';
import { useGarden } from '../../../lib/garden-context';
import { Failed, Waiting } from '../../../ui/states';

export interface Reported {
  view: GardenView;
  season: SeasonView;
  report: SeasonReportView;
}

interface Props {
  here: 'harvest' | 'compare' | 'closeYear';
  children: (of: Reported) => ReactNode;
}

/** A page about a whole season: its tabs, and what its records add up to. */
export function SeasonReport({ here, children }: Props) {
  return (
    <GardenPage title={() => 'Season'}>
      {(view) => (
        <Loaded view={view} here={here}>
          {children}
        </Loaded>
      )}
    </GardenPage>
  );
}

function Loaded({ view, here, children }: Props & { view: GardenView }) {
  const garden = useGarden();
  const [params] = useSearchParams();
  const asked = Number(params.get('year') ?? NaN);
  const year = Number.isInteger(asked) ? asked : null;
  const season = useQuery(seasonQuery(garden.id, year));
  const report = useQuery(reportQuery(garden.id, year));
  if (season.isPending || report.isPending) return <Waiting what="Adding up the season" />;
  if (season.error) return <Failed error={season.error} again={() => void season.refetch()} />;
  if (report.error) return <Failed error={report.error} again={() => void report.refetch()} />;
  return (
    <>
      <SeasonTabs season={season.data} here={here} />
      {children({ view, season: season.data, report: report.data })}
    </>
  );
}

/** Name of a file about this season, without its ending. */
export const fileOf = ({ view, report }: Reported, what: string): string =>
  `${view.garden.name} ${report.season.label.replace('/', '-')} ${what}`;
