import { habitInWords } from '@candid-leaf/core/prevented';
import type { ComparedSeason, SeasonReportView } from '@candid-leaf/contract';
import { roundTo } from '@candid-leaf/core/units';
import { useFormat } from '../../../lib/garden-context';
import { wordOf } from '../../../lib/words';
import { kg } from './cells';
import { ReportTable } from './report-table';

/** Was it the method or the weather? */
export function Compared({ rows, file }: { rows: readonly ComparedSeason[]; file: string }) {
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

/** What was done about problems, and how it went. */
export function Remedies({ report: r, file }: { report: SeasonReportView; file: string }) {
  return (
    <ReportTable
      title="Problems and remedies"
      file={file}
      columns={['Problem', 'Plant', 'What was done', 'Outcome']}
      rows={r.remedies.map((t) => [
        t.label,
        t.plant,
        t.remedyLabels.join('; '),
        t.outcome ? wordOf(t.outcome) : 'open',
      ])}
      none="No remedies were started."
    >
      {r.habit && <p className="mt-1 max-w-prose">{habitInWords(r.habit)}</p>}
      {r.troubles.length > 0 && (
        <p className="mt-1 text-soft">
          By bed or pot: {r.troubles.map((t) => `${t.label.toLowerCase()} in ${t.place}`).join(', ')}.
        </p>
      )}
    </ReportTable>
  );
}
