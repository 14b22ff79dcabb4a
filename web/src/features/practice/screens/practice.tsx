import type { PracticeAnswerDto } from '@candid-leaf/contract';
import { dailySeed, PRACTICE_THEMES, type PracticeTheme, THEMES } from '@candid-leaf/core/practice';
import { useQuery } from '@tanstack/react-query';
import { Check, X } from 'lucide-react';
import { Link } from 'react-router';
import { useFormat, useGarden, useLink } from '../../../lib/garden-context';
import { buttonLook } from '../../../ui/button';
import { PageGuard } from '../../../frame/page-guard';
import { Panel } from '../../../ui/panel';
import { GardenPage } from '../../../frame/garden-page';
import { CalibrationPanel } from '../components/calibration-panel';
import { nextSeed } from '../next-seed';
import { practiceQuery } from '../../../data/practice';
import { troubleLabel } from '../words';

/** Practice with made-up plants. */
export function PracticeScreen() {
  return <GardenPage title={() => 'Practice'}>{() => <Practice />}</GardenPage>;
}

const MOST_LISTED = 12;

function Practice() {
  const query = useQuery(practiceQuery);
  return (
    <>
      <p className="mb-4 max-w-prose text-soft">
        Look at a made-up plant with its weather and records, and check what you like. Then say what it is, why, and
        what you would do first. Nothing is added to your garden.
      </p>
      <PageGuard query={query} waiting="Loading practice plants">
        {({ answers, calibration }) => (
          <div className="grid items-start gap-4 lg:grid-cols-[1fr_22rem]">
            <div className="grid gap-4 sm:grid-cols-2">
              {PRACTICE_THEMES.map((theme) => (
                <ThemeCard key={theme} theme={theme} answers={answers} />
              ))}
            </div>
            <div className="flex flex-col gap-4">
              <CalibrationPanel calibration={calibration} />
              {answers.length > 0 && <Answered answers={answers} />}
            </div>
          </div>
        )}
      </PageGuard>
    </>
  );
}

function ThemeCard({ theme, answers }: { theme: PracticeTheme; answers: readonly PracticeAnswerDto[] }) {
  const link = useLink();
  const { today } = useGarden();
  const { title, line } = THEMES[theme];
  const own = answers.filter((a) => a.theme === theme);
  const seed = theme === 'daily' ? dailySeed(today) : nextSeed(own);
  const done = own.some((a) => a.seed === seed);
  return (
    <Panel title={title} className="flex flex-col">
      <p className="grow text-soft">{line}</p>
      {own.length > 0 && (
        <p className="mt-1 text-sm tabular-nums">
          {own.filter((a) => a.right).length} of {own.length} right
        </p>
      )}
      <Link
        className={`${buttonLook(theme === 'daily' && !done ? 'main' : 'plain')} mt-3 self-start`}
        to={link('practicePlant', { theme, seed: String(seed) })}
      >
        {done ? 'Look at it again' : theme === 'daily' ? 'Guess today’s plant' : `Plant ${seed}`}
      </Link>
    </Panel>
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
