import type { PracticeAnswerDto } from '@candid-leaf/contract';
import { nextPractice, type PracticeTheme, THEMES } from '@candid-leaf/core/practice';
import { useQuery } from '@tanstack/react-query';
import { Check, X } from 'lucide-react';
import { Link } from 'react-router';
import { useFormat, useGarden, useLink } from '../../../lib/garden-context';
import { buttonLook } from '../../../ui/button';
import { PageGuard } from '../../../frame/page-guard';
import { Panel } from '../../../ui/panel';
import { HandbookPage } from '../../../frame/handbook-page';
import { CalibrationPanel } from '../components/calibration-panel';
import { asAnswered, nextSeed } from '../next-seed';
import { practiceQuery } from '../../../data/practice';
import { troubleLabel } from '../words';

/** Practice with made-up plants. */
export function PracticeScreen() {
  return <HandbookPage>{() => <Practice />}</HandbookPage>;
}

const MOST_LISTED = 12;
/** Series for those who want to see one thing often. */
const SERIES = ['wilting', 'spots', 'fruit'] as const satisfies readonly PracticeTheme[];

function Practice() {
  const query = useQuery(practiceQuery);
  return (
    <PageGuard query={query} waiting="Loading practice plants">
      {({ answers, calibration }) => (
        <div className="grid items-start gap-4 lg:grid-cols-[1fr_22rem]">
          <div className="flex flex-col gap-4">
            <Next answers={answers} />
            <Panel title="One thing, again and again">
              <ul className="mt-1">
                {SERIES.map((theme) => (
                  <Series key={theme} theme={theme} answers={answers.filter((a) => a.theme === theme)} />
                ))}
              </ul>
            </Panel>
          </div>
          <div className="flex flex-col gap-4">
            <CalibrationPanel calibration={calibration} />
            {answers.length > 0 && <Answered answers={answers} />}
          </div>
        </div>
      )}
    </PageGuard>
  );
}

/** The plant to look at next: a problem that was missed, or what this month brings. */
function Next({ answers }: { answers: readonly PracticeAnswerDto[] }) {
  const link = useLink();
  const { today, latitude } = useGarden();
  const { seed, again } = nextPractice(asAnswered(answers), today, latitude);
  return (
    <Panel main label="Next plant">
      <p className="max-w-prose">
        {again
          ? 'You missed one like this before. See whether you know it now.'
          : 'A made-up plant of this month, with its weather and records. What ails it?'}
      </p>
      <Link className={`${buttonLook('main')} mt-3`} to={link('practicePlant', { theme: 'mixed', seed: String(seed) })}>
        Look at the plant
      </Link>
    </Panel>
  );
}

function Series({ theme, answers }: { theme: (typeof SERIES)[number]; answers: readonly PracticeAnswerDto[] }) {
  const link = useLink();
  const right = answers.filter((a) => a.right).length;
  return (
    <li>
      <Link
        className="-mx-2 flex min-h-12 items-center gap-2 rounded-lg px-2 hover:bg-leafwash"
        to={link('practicePlant', { theme, seed: String(nextSeed(answers)) })}
      >
        <span className="grow font-semibold text-leaf">{THEMES[theme].title}</span>
        {answers.length > 0 && (
          <span className="text-sm text-soft tabular-nums">
            {right} of {answers.length} right
          </span>
        )}
      </Link>
    </li>
  );
}

function Answered({ answers }: { answers: readonly PracticeAnswerDto[] }) {
  const link = useLink();
  const format = useFormat();
  return (
    <Panel title="Your recent answers">
      <ul className="mt-1 flex flex-col">
        {answers.slice(0, MOST_LISTED).map((a) => {
          const Mark = a.right ? Check : X;
          return (
            <li key={`${a.theme} ${a.seed}`}>
              <Link
                className="-mx-2 flex min-h-11 items-center gap-2 rounded-lg px-2 hover:bg-leafwash"
                to={link('practicePlant', { theme: a.theme, seed: String(a.seed) })}
              >
                <Mark aria-hidden size={18} className={a.right ? 'shrink-0 text-leaf' : 'shrink-0 text-ripe'} />
                <span className="grow leading-snug">
                  <span className="sr-only">{a.right ? 'Right: ' : 'Wrong: '}</span>
                  {troubleLabel(a.trouble)}, {a.surePct} in 100
                </span>
                <span className="shrink-0 text-sm text-soft">{format.dayShort(a.answeredAt.slice(0, 10))}</span>
              </Link>
            </li>
          );
        })}
      </ul>
    </Panel>
  );
}
