import { Compared, Remedies } from '../components/compared';
import { Around } from '../components/around';
import { Years } from '../components/years';
import { fileOf, SeasonReport } from '../components/season-report';

/** The season beside others: what was picked, the weather, and what helped. */
export function CompareScreen() {
  return (
    <SeasonReport here="compare">
      {(of) => (
        <div className="flex flex-col gap-4">
          <Compared rows={of.report.compared} file={fileOf(of, 'compared with other seasons')} />
          <Years years={of.report.years} file={(what) => fileOf(of, what)} />
          <Around around={of.report.around} />
          <Remedies report={of.report} file={fileOf(of, 'remedies')} />
        </div>
      )}
    </SeasonReport>
  );
}
