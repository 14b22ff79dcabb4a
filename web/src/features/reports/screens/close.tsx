import { useFormat, useGarden } from '../../../lib/garden-context';
import { wordOf } from '../../../lib/words';
import { CloseYear } from '../components/close-year';
import { ReportTable } from '../components/report-table';
import { fileOf, SeasonReport, type Reported } from '../components/season-report';

/** Closing a year, step by step. */
export function CloseScreen() {
  return <SeasonReport here="closeYear">{(of) => <Closing of={of} />}</SeasonReport>;
}

function Closing({ of }: { of: Reported }) {
  const garden = useGarden();
  const f = useFormat();
  const { season, report } = of;
  if (season.season.from > garden.today) return <p>{season.season.label} has not begun.</p>;
  return (
    <div className="flex flex-col gap-4">
      <CloseYear key={season.season.year} season={season} report={report} />
      {report.ended.length > 0 && (
        <ReportTable
          title="Cleared plants"
          file={fileOf(of, 'ended')}
          columns={['Plant', 'Bed or pot', 'On', 'Because']}
          rows={report.ended.map((e) => [
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
