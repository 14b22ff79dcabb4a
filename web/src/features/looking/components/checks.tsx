import type { PlantView } from '@candid-leaf/contract';
import { type CheckOutcome, checkRow } from '@candid-leaf/core/diagnosis';
import { Eye } from 'lucide-react';
import { Link } from 'react-router';
import { useLink } from '../../../lib/garden-context';
import { Button, buttonLook } from '../../../ui/button';
import { useSay } from '../../../ui/toast';
import { useInspection } from '../use-inspection';

/** The likeliest outcomes, plus "none of these" if possible. */
const worthAButton = (shown: readonly CheckOutcome[], most: number): CheckOutcome[] => [
  ...shown.filter((f) => f.present.length > 0).slice(0, most),
  ...shown.filter((f) => f.present.length === 0),
];

interface Props {
  view: PlantView;
  /** range of checks, most informative first: from this one, before that one */
  from: number;
  to: number;
  reading: boolean;
}

/** Checks that make the finding more certain. One touch records the result, and the finding updates at once. */
export function Checks({ view, from, to, reading }: Props) {
  const say = useSay();
  const inspection = useInspection(view, (e) => say(e.message, { bad: true }));
  const { report, plant } = view;
  const link = useLink();
  const record = (f: CheckOutcome) =>
    inspection.putAll([
      ...f.present.map((sign) => ({ sign, present: true })),
      ...f.absent.map((sign) => ({ sign, present: false })),
    ]);
  return (
    <>
      <ol className="mt-1 flex flex-col gap-3">
        {report.nextChecks.slice(from, to).map((c, i) => {
          const row = checkRow(c.check);
          return (
            <li key={c.check}>
              <p>
                <strong>{row.label}.</strong> <span className="text-soft">{row.how}</span>
              </p>
              {!reading && c.mayShow.length > 0 && (
                <div
                  role="group"
                  aria-label={`${row.label}: what did it show?`}
                  className="mt-1.5 flex flex-wrap gap-1.5 print:hidden"
                >
                  {worthAButton(c.mayShow, from + i === 0 ? 6 : 3).map((f) => (
                    <Button
                      key={f.text}
                      className="px-3 text-sm"
                      disabled={inspection.saving}
                      onClick={() => record(f)}
                    >
                      {f.text}
                    </Button>
                  ))}
                </div>
              )}
            </li>
          );
        })}
      </ol>
      {!reading && from === 0 && (
        <Link
          data-key="l"
          className={`${buttonLook('quiet')} mt-2 -ml-3 print:hidden`}
          to={link('look', { plantId: plant.id })}
        >
          <Eye aria-hidden size={18} /> Look it over again
        </Link>
      )}
    </>
  );
}
