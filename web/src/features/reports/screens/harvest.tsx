import { salvageRow } from '@candid-leaf/core/harvest';
import { Printer } from 'lucide-react';
import { lazy, Suspense } from 'react';
import type { SeasonReportView } from '@candid-leaf/contract';
import type { HarvestReport } from '@candid-leaf/core/reports';
import { useFormat, useGarden } from '../../../lib/garden-context';
import { wordOf } from '../../../lib/words';
import { Button } from '../../../ui/button';
import { Panel } from '../../../ui/panel';
import { kg, perKg } from '../components/cells';
import { Compared, Remedies } from '../components/compared';
import { ReportTable } from '../components/report-table';
import { fileOf, SeasonReport, type Reported } from '../components/season-report';
import { Shelf } from '../components/shelf';

const WeekChart = lazy(() => import('../components/week-chart'));
const SplitChart = lazy(() => import('../components/split-chart'));

/** What a season gave; printed, it holds the whole year. */
export function HarvestScreen() {
  return <SeasonReport here="harvest">{(of) => <Harvest of={of} />}</SeasonReport>;
}

function Harvest({ of }: { of: Reported }) {
  const f = useFormat();
  const garden = useGarden();
  const { harvest: h, season, cooked, shelf } = of.report;
  return (
    <div className="flex flex-col gap-4">
      <Sum harvest={h} cooked={cooked} label={season.label} over={season.to < garden.today} />
      {season.to >= garden.today && <Shelf rows={shelf} />}
      {h.weeks.length > 0 && (
        <ReportTable
          title="By week"
          file={fileOf(of, 'weeks')}
          columns={['Week of', 'Used', 'Binned']}
          rows={h.weeks.map((w) => [{ shown: f.day(w.from), value: w.from }, kg(w.kg, f), kg(w.lostKg, f)])}
          none=""
          folded
        >
          <Suspense fallback={<div className="h-44" />}>
            <WeekChart weeks={h.weeks} />
          </Suspense>
        </ReportTable>
      )}
      <Splits of={of} />
      <div className="grid grid-cols-1 items-start gap-4 lg:grid-cols-2">
        <Plants of={of} />
        <div className="flex flex-col gap-4">
          <ReportTable
            title="By variety"
            file={fileOf(of, 'varieties')}
            columns={['Variety', 'Used', 'Binned']}
            rows={h.varieties.map((k) => [wordOf(k.variety), kg(k.kg, f), kg(k.lostKg, f)])}
            none="No plant was planted out this season."
          />
          {h.tastes.length > 0 && (
            <ReportTable
              title="Taste"
              file={fileOf(of, 'taste')}
              columns={['Variety', 'Tasted', 'Good or best', 'Sugar, °Brix']}
              rows={h.tastes.map((t) => [
                wordOf(t.variety),
                { shown: String(t.tasted), value: t.tasted },
                { shown: t.tasted === 0 ? '–' : String(t.good), value: t.good },
                { shown: t.brix === null ? '–' : String(t.brix), value: t.brix },
              ])}
              none=""
            />
          )}
          <ReportTable
            title="Losses"
            file={fileOf(of, 'losses')}
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
        </div>
      </div>
      <div className="hidden flex-col gap-4 print:flex">
        <Compared rows={of.report.compared} file="" />
        <Remedies report={of.report} file="" />
      </div>
    </div>
  );
}

/** Split fruit beside the pauses between waterings; only if some split. */
function Splits({ of }: { of: Reported }) {
  const f = useFormat();
  const { weeks } = of.report.harvest;
  if (!weeks.some((w) => (w.splitShare ?? 0) > 0)) return null;
  return (
    <ReportTable
      title="Split fruit and pauses between waterings"
      file={fileOf(of, 'split fruit')}
      columns={['Week of', 'Split', 'Longest pause']}
      rows={weeks.map((w) => [
        { shown: f.day(w.from), value: w.from },
        w.splitShare === null
          ? { shown: 'none picked', value: null }
          : { shown: `${Math.round(w.splitShare * 100)} %`, value: Math.round(w.splitShare * 1000) / 10 },
        w.gapDays === null
          ? { shown: 'not recorded', value: null }
          : { shown: `${w.gapDays} ${w.gapDays === 1 ? 'day' : 'days'}`, value: w.gapDays },
      ])}
      none=""
      folded
    >
      <p className="mt-1 text-soft">
        Bars: split fruit. Line: the longest pause that ended in that week or the one before. Rain is not counted.
      </p>
      <Suspense fallback={<div className="h-44" />}>
        <SplitChart weeks={weeks} />
      </Suspense>
    </ReportTable>
  );
}

/** What each plant gave; those that gave nothing yet stand in one line. */
function Plants({ of }: { of: Reported }) {
  const f = useFormat();
  const { fruit } = f.per;
  const { plants } = of.report.harvest;
  const gave = plants.filter((p) => p.kg + p.lostKg > 0);
  const none = plants.length - gave.length;
  return (
    <ReportTable
      title="By plant"
      file={fileOf(of, 'plants')}
      columns={['Plant', 'Bed or pot', 'Used', 'Binned', `Water for ${fruit.words}`, `Nitrogen for ${fruit.words}`]}
      rows={gave.map((p) => [
        p.name,
        p.place,
        kg(p.kg, f),
        kg(p.lostKg, f),
        perKg(p.litresPerKg, (x) => f.litres(x * fruit.metric)),
        perKg(p.nitrogenGPerKg, (x) => f.nutrient(x * fruit.metric)),
      ])}
      none={none === 0 ? 'No plant was planted out this season.' : ''}
    >
      {none > 0 && <p className="mt-1 text-soft">No harvest yet: {none === 1 ? '1 plant' : `${none} plants`}.</p>}
    </ReportTable>
  );
}

interface SumProps {
  harvest: HarvestReport;
  cooked: SeasonReportView['cooked'];
  label: string;
  /** the season is past */
  over: boolean;
}

function Sum({ harvest: h, cooked, label, over }: SumProps) {
  const f = useFormat();
  return (
    <Panel title={`Harvest of ${label}`} main>
      <p className="mt-1">
        {h.kg > 0 ? `${f.kilograms(h.kg)} recorded${over ? '' : ' so far'}.` : 'No picking recorded yet.'}
      </p>
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
      {(h.lateKg ?? 0) > 0 && <p>The late crop, picked with frost near: {f.kilograms(h.lateKg!)}.</p>}
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
