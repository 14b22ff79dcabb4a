import type { ComparedSeason, GardenView, SeasonReportView } from '@candid-leaf/contract';
import { salvageRow } from '@candid-leaf/core/harvest';
import type { HarvestReport } from '@candid-leaf/core/reports';
import { type Formatter, roundTo } from '@candid-leaf/core/units';
import { useQuery } from '@tanstack/react-query';
import { Printer } from 'lucide-react';
import { lazy, Suspense } from 'react';
import { useSearchParams } from 'react-router';
import { useFormat, useGarden } from '../../../lib/garden-context';
import { wordOf } from '../../../lib/words';
import { Button } from '../../../ui/button';
import { Panel } from '../../../ui/panel';
import { Failed, Waiting } from '../../../ui/states';
import { GardenPage } from '../../../frame/garden-page';
import { SeasonTabs } from '../../../frame/season-tabs';
import { seasonQuery } from '../../../data/season';
import { Shelf } from '../components/shelf';
import { CloseYear } from '../components/close-year';
import { ReportTable, type Cell } from '../components/report-table';
import { reportQuery } from '../../../data/reports';

const WeekChart = lazy(() => import('../components/week-chart'));

/** The season's report on one printable page. */
export function ReportScreen() {
  return <GardenPage title={() => 'Season'}>{(view) => <Report view={view} />}</GardenPage>;
}

function Report({ view }: { view: GardenView }) {
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
      <SeasonTabs season={season.data} here="report" />
      <Sheet report={report.data} name={view.garden.name} />
      <div className="mt-4">
        {season.data.season.from <= garden.today && (
          <CloseYear key={season.data.season.year} season={season.data} report={report.data} />
        )}
      </div>
    </>
  );
}

const kg = (x: number, f: Formatter): Cell => ({ shown: x === 0 ? '–' : f.kilograms(x), value: x });
const perKg = (x: number | null, write: (n: number) => string): Cell => ({
  shown: x === null ? '–' : write(x),
  value: x,
});

function Sheet({ report: r, name }: { report: SeasonReportView; name: string }) {
  const f = useFormat();
  const { fruit } = f.per;
  const garden = useGarden();
  const { harvest: h, season } = r;
  const file = (what: string): string => `${name} ${season.label.replace('/', '-')} ${what}`;
  return (
    <div className="flex flex-col gap-4">
      <Sum harvest={h} cooked={r.cooked} label={season.label} />
      {season.to >= garden.today && <Shelf rows={r.shelf} />}
      <ReportTable
        title="By week"
        file={file('weeks')}
        columns={['Week of', 'Used', 'Binned']}
        rows={h.weeks.map((w) => [{ shown: f.day(w.from), value: w.from }, kg(w.kg, f), kg(w.lostKg, f)])}
        none="Nothing picked yet."
      >
        {h.weeks.length > 0 && (
          <Suspense fallback={<div className="h-44" />}>
            <WeekChart weeks={h.weeks} />
          </Suspense>
        )}
      </ReportTable>
      <div className="grid grid-cols-1 items-start gap-4 lg:grid-cols-2">
        <ReportTable
          title="By plant"
          file={file('plants')}
          columns={['Plant', 'Bed or pot', 'Used', 'Binned', `Water for ${fruit.words}`, `Nitrogen for ${fruit.words}`]}
          rows={h.plants.map((p) => [
            p.name,
            p.place,
            kg(p.kg, f),
            kg(p.lostKg, f),
            perKg(p.litresPerKg, (x) => f.litres(x * fruit.metric)),
            perKg(p.nitrogenGPerKg, (x) => f.nutrient(x * fruit.metric)),
          ])}
          none="No plant was planted out this season."
        />
        <ReportTable
          title="By variety"
          file={file('varieties')}
          columns={['Variety', 'Used', 'Binned']}
          rows={h.varieties.map((k) => [wordOf(k.variety), kg(k.kg, f), kg(k.lostKg, f)])}
          none="No plant was planted out this season."
        />
        <ReportTable
          title="Losses"
          file={file('losses')}
          columns={['Because of', 'Weight', 'Of all']}
          rows={h.losses.map((l) => [
            salvageRow(l.state).label,
            kg(l.kg, f),
            { shown: `${Math.round(l.share * 100)} %`, value: Math.round(l.share * 1000) / 10 },
          ])}
          none="No losses recorded."
        >
          {h.savedKg > 0 && (
            <p className="mt-1">{f.kilograms(h.savedKg)} were split, scalded or marked but still used.</p>
          )}
        </ReportTable>
        <ReportTable
          title="Problems and remedies"
          file={file('remedies')}
          columns={['Trouble', 'Plant', 'What was done', 'Outcome']}
          rows={r.remedies.map((t) => [
            t.label,
            t.plant,
            t.remedyLabels.join('; '),
            t.outcome ? wordOf(t.outcome) : 'open',
          ])}
          none="No remedies were started."
        >
          {r.troubles.length > 0 && (
            <p className="mt-1 text-soft">
              By bed or pot: {r.troubles.map((t) => `${t.label.toLowerCase()} in ${t.place}`).join(', ')}.
            </p>
          )}
        </ReportTable>
      </div>
      <Compared rows={r.compared} file={file('compared with other seasons')} />
      {r.ended.length > 0 && (
        <ReportTable
          title="Cleared plants"
          file={file('ended')}
          columns={['Plant', 'Bed or pot', 'On', 'Because']}
          rows={r.ended.map((e) => [
            e.name,
            e.place,
            { shown: f.day(e.on), value: e.on },
            e.because ? wordOf(e.because) : '',
          ])}
          none=""
        />
      )}
    </div>
  );
}

interface SumProps {
  harvest: HarvestReport;
  cooked: SeasonReportView['cooked'];
  label: string;
}

function Sum({ harvest: h, cooked, label }: SumProps) {
  const f = useFormat();
  return (
    <Panel title={`Harvest of ${label}`} main>
      <p className="mt-1 text-lg">{h.kg > 0 ? `${f.kilograms(h.kg)} recorded so far.` : 'No picking recorded yet.'}</p>
      {cooked.kg > 0 && (
        <p>
          {f.kilograms(cooked.kg)} was for cooking
          {cooked.litres > 0 && `: about ${f.litres(cooked.litres)} of thick sauce`}.
        </p>
      )}
      {h.estimatedShare > 0.005 && (
        <p className="text-soft">
          {Math.round(h.estimatedShare * 100)} % of it is estimated from counts and the weight of one fruit.
        </p>
      )}
      {h.unweighed > 0 && (
        <p className="text-soft">
          {h.unweighed} {h.unweighed === 1 ? 'picking has' : 'pickings have'} neither weight nor count and are not
          included.
        </p>
      )}
      <Button className="mt-2 print:hidden" onClick={() => window.print()}>
        <Printer aria-hidden size={17} /> Print the year
      </Button>
    </Panel>
  );
}

/** Was it the method or the weather? */
function Compared({ rows, file }: { rows: readonly ComparedSeason[]; file: string }) {
  const f = useFormat();
  const each = (c: ComparedSeason): number => (c.plants === 0 ? 0 : roundTo(c.kg / c.plants, 2));
  return (
    <ReportTable
      title="Compared with other seasons"
      file={file}
      columns={['Season', 'Plants', 'Used', 'A plant', 'First picked', 'Usual warmth', 'Hot days', 'Rain']}
      rows={rows.map((c) => [
        c.label,
        { shown: String(c.plants), value: c.plants },
        kg(c.kg, f),
        kg(each(c), f),
        { shown: c.firstPick ? f.day(c.firstPick) : '–', value: c.firstPick },
        { shown: c.weather ? f.temperature(c.weather.meanC) : 'not recorded', value: c.weather?.meanC ?? null },
        { shown: c.weather ? String(c.weather.hotDays) : 'not recorded', value: c.weather?.hotDays ?? null },
        { shown: c.weather ? f.rain(c.weather.rainMm) : 'not recorded', value: c.weather?.rainMm ?? null },
      ])}
      none="This is your first season."
    >
      <p className="mt-1 text-soft">
        Was it the method or the weather? Average temperature, hot days and rain from the first planting out to the last
        picking.
      </p>
    </ReportTable>
  );
}
