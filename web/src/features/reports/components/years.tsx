import type { YearsView } from '@candid-leaf/contract';
import { disorderRow } from '@candid-leaf/core/diagnosis';
import {
  datesInWords,
  grownInWords,
  halfMonthInWords,
  overYearsInWords,
  type PlantingDates,
} from '@candid-leaf/core/reports';
import { useFormat } from '../../../lib/garden-context';
import { kg } from './cells';
import { ReportTable } from './report-table';

/** What the seasons show together: when to plant, and which problems came back. */
export function Years({ years, file }: { years: YearsView; file: (what: string) => string }) {
  return (
    <>
      <Dates dates={years.dates} file={file('planting dates')} />
      {(years.troubles[0]?.years.length ?? 0) > 1 && (
        <Troubles troubles={years.troubles} file={file('problems over the years')} />
      )}
    </>
  );
}

function Dates({ dates, file }: { dates: readonly PlantingDates[]; file: string }) {
  const f = useFormat();
  return (
    <ReportTable
      title="Best planting date"
      file={file}
      columns={['Planted out', 'Crop', 'Plants', 'Seasons', 'Days to first ripe', 'A plant']}
      rows={dates.flatMap((d) =>
        d.windows.map((w) => [
          halfMonthInWords(w.from, f),
          grownInWords(d),
          { shown: String(w.plants), value: w.plants },
          { shown: w.seasons.join(', '), value: w.seasons.join(' ') },
          { shown: w.daysToRipe === null ? '–' : String(w.daysToRipe), value: w.daysToRipe },
          w.kgEach === null ? { shown: 'not over', value: null } : kg(w.kgEach, f),
        ]),
      )}
      none="No plant was planted out yet."
    >
      <div>
        {datesInWords(dates, f).map((line) => (
          <p key={line} className="mt-1 max-w-prose">
            {line}
          </p>
        ))}
      </div>
    </ReportTable>
  );
}

function Troubles({ troubles, file }: { troubles: YearsView['troubles']; file: string }) {
  const labels = troubles[0]!.years.map((y) => y.label);
  return (
    <ReportTable
      title="Problems over the years"
      file={file}
      columns={['Problem', ...labels, 'What differed']}
      rows={troubles.map((t) => [
        disorderRow(t.disorder).label,
        ...t.years.map((y) => ({ shown: `${y.plants} of ${y.of}`, value: y.plants })),
        overYearsInWords(t) ?? '',
      ])}
      none=""
    />
  );
}
