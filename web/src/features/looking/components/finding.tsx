import type { PlantView } from '@candid-leaf/contract';
import {
  NOTHING_RECORDED,
  CLEAR_FROM,
  disorderRow,
  doseInWords,
  heldBackInWords,
  DRIVERS,
  remedyRow,
  sureness,
  unexplainedInWords,
  whyHere,
  type Diagnosis,
} from '@candid-leaf/core/diagnosis';
import type { Crop, DisorderCode } from '@candid-leaf/core/records';
import clsx from 'clsx';
import { BookOpen, Sun } from 'lucide-react';
import { Link } from 'react-router';
import { useFormat, useGarden, useLink } from '../../../lib/garden-context';
import { buttonLook } from '../../../ui/button';
import { Explained } from '../../../ui/explained';
import { Panel } from '../../../ui/panel';
import { Checks } from './checks';
import { Prevented } from './prevented';
import { firstActOf, howInWords, precautionsOf, stepsFor, WHAT_TO_DO } from './steps';
import { TakeOn } from './take-on';
import { Precautions } from '../../../ui/precautions';
import { Unfold } from '../../../ui/unfold';

interface Props {
  view: PlantView;
  /** a plant from another garden: read-only */
  reading: boolean;
}

/** Returns the leading finding that explains something seen; others are background. */
export const leaderOf = ({ report }: PlantView): Diagnosis | undefined =>
  report.diagnosis.find((d) => d.explains.length > 0);
export const isClear = (d: Diagnosis): boolean => d.probability >= CLEAR_FROM;

/** The answer at a glance: what it is, how certain, what to do first, and the check that would change it. */
export function AnswerPanel({ view, reading }: Props) {
  const { report } = view;
  const leader = leaderOf(view);
  if (!leader)
    return report.unexplained.length > 0 ? (
      <Unexplained view={view} reading={reading} />
    ) : (
      <NoSymptom view={view} reading={reading} />
    );
  const clear = isClear(leader);
  return (
    <Panel main label="Finding">
      <h2 className="text-xl">{clear ? disorderRow(leader.disorder).label : report.headline}</h2>
      {clear && (
        <>
          <p className="mt-1 max-w-prose">
            {disorderRow(leader.disorder).line}
            {report.harmless && ' Nothing needs doing.'}
          </p>
          {report.seriousness && (
            <p className={clsx('max-w-prose', report.seriousness.level === 'urgent' && 'font-semibold')}>
              {report.seriousness.why}
            </p>
          )}
          <Bar d={leader} />
          {report.heldBack && <p className="mt-2 max-w-prose">{heldBackInWords(report.heldBack)}</p>}
        </>
      )}
      <FirstAct view={view} reading={reading} />
      <OneCheck view={view} leader={leader} clear={clear} reading={reading} />
    </Panel>
  );
}

/** The gentlest step, with what to do, amount, day and precautions, and the button that takes it on. */
function FirstAct({ view, reading }: Props) {
  const format = useFormat();
  const { today } = useGarden();
  const first = firstActOf(view);
  if (!first) return null;
  const steps = stepsFor(view, first.forDisorder);
  const dose = doseInWords(first.dose, format);
  const when = first.when <= today ? 'today' : format.day(first.when);
  return (
    <div className="mt-3 rounded-xl bg-leafwash p-3">
      <p className="font-semibold">
        {first.either ? 'Whichever it is: ' : first.general && 'In general: '}
        {remedyRow(first.remedy).label}
        <span className="tabular-nums">{`${dose ? `: ${dose}` : ''}, ${when}`}</span>
      </p>
      <p className="mt-1">{howInWords(first)}</p>
      {first.cautions.length > 0 && (
        <Unfold className="text-sm" look="act" title="Precautions">
          {() => <Precautions {...precautionsOf(steps)[0]!} text={(c) => c} />}
        </Unfold>
      )}
      <div className="mt-2 flex flex-wrap items-center gap-x-3">
        {!reading && <TakeOn pinned view={view} disorder={first.forDisorder} />}
        {steps.length > 1 && (
          <a href={`#${WHAT_TO_DO}`} className={buttonLook('quiet')}>
            {steps.length - 1} more {steps.length === 2 ? 'step' : 'steps'}
          </a>
        )}
      </div>
    </div>
  );
}

function OneCheck({ view, leader, clear, reading }: BesideProps & { reading: boolean }) {
  const [first] = view.report.nextChecks;
  if (!first) return null;
  // once settled, the check is about what the records make likely besides
  const aboutIt = first.splits.includes(leader.disorder);
  return (
    <>
      <h3 className="mt-3 font-body font-semibold">
        {!clear ? 'Look at this first' : aboutIt ? 'To be more certain' : 'Also worth a look'}
      </h3>
      <Checks view={view} from={0} to={1} reading={reading} />
    </>
  );
}

/** What else it could be, other checks, and what is unknown. */
export function BesidePanel({ view, reading }: Props) {
  const { report } = view;
  const leader = leaderOf(view);
  if (!leader) return null;
  const clear = isClear(leader);
  const more = report.nextChecks.slice(1, clear ? 2 : 4).length;
  return (
    <Panel label="Also">
      {more > 0 && (
        <>
          <h3 className="font-body font-semibold">Other checks</h3>
          <Checks view={view} from={1} to={clear ? 2 : 4} reading={reading} />
        </>
      )}
      <Others view={view} leader={leader} clear={clear} />
      {report.unexplained.length > 0 && <p className="mt-3">{unexplainedInWords(report.unexplained)}</p>}
      {report.notKnown.length > 0 && (
        <Unfold className="mt-3" look="quiet" title={`What the records could not show (${report.notKnown.length})`}>
          {() => (
            <ul className="list-disc pl-6">
              {report.notKnown.map((t) => (
                <li key={t}>{t}</li>
              ))}
            </ul>
          )}
        </Unfold>
      )}
    </Panel>
  );
}

/** Something seen that no known problem explains. */
function Unexplained({ view, reading }: { view: PlantView; reading: boolean }) {
  const { report } = view;
  return (
    <Panel main label="Finding">
      <h2 className="text-xl">{report.headline}</h2>
      <p className="mt-1 max-w-prose">{unexplainedInWords(report.unexplained)}</p>
      {report.nextChecks.length > 0 && <Checks view={view} from={0} to={4} reading={reading} />}
    </Panel>
  );
}

/** Nothing is seen on the plant itself: what the soil needs, or the question what is there. */
function NoSymptom({ view: { report, plant }, view, reading }: { view: PlantView; reading: boolean }) {
  const link = useLink();
  const asks = report.nextChecks.length > 0;
  return (
    <Panel main label="Finding">
      <h2 className="max-w-prose text-xl">{report.headline}</h2>
      {asks && <Checks view={view} from={0} to={2} reading={reading} />}
      {!reading && !asks && (
        <>
          {report.headline === NOTHING_RECORDED && (
            <p className="mt-1 max-w-prose text-soft">Look it over and record what you see, or that all is clear.</p>
          )}
          <Link data-key="l" className={clsx(buttonLook('main'), 'mt-3')} to={link('look', { plantId: plant.id })}>
            Look it over
          </Link>
        </>
      )}
    </Panel>
  );
}

const MOST_REASONS = 5;

interface WhyProps extends Omit<Parameters<typeof Prevented>[0], 'view'> {
  view: PlantView;
  driver: string | null;
  onDriver: (driver: string | null) => void;
}

/** Why here: touching a reason highlights its days. */
export function WhyPanel({ view, leader, driver, onDriver, ...change }: WhyProps & { leader: Diagnosis }) {
  const { plant } = view;
  const link = useLink();
  const row = disorderRow(leader.disorder);
  const why = whyHere(leader, MOST_REASONS);
  return (
    <Panel label="Why here">
      <h2 className="text-xl">Why here</h2>
      {leader.drivers.length > 0 && (
        <p className="text-sm text-soft max-sm:hidden">Touch a reason to highlight its days.</p>
      )}
      {leader.drivers.length === 0 ? (
        <p className="text-soft">{why[0]}</p>
      ) : (
        <ul className="flex flex-col gap-1 sm:mt-1">
          {leader.drivers.slice(0, MOST_REASONS).map((d, i) => (
            <li key={d.driver}>
              <button
                type="button"
                aria-pressed={driver === d.driver}
                onClick={() => onDriver(driver === d.driver ? null : d.driver)}
                className={clsx(
                  '-ml-2 flex w-full gap-2 rounded-lg px-2 py-2.5 text-left leading-snug hover:bg-leafwash',
                  driver === d.driver ? 'bg-lit' : '',
                )}
              >
                <Sun aria-hidden size={17} className="mt-0.5 shrink-0 text-leaf" />
                <span>{why[i]}</span>
              </button>
            </li>
          ))}
        </ul>
      )}
      <Prevented view={view} {...change} />
      <Evidence d={leader} />
      <Link
        className={clsx(buttonLook('quiet'), '-mb-1 -ml-4 print:hidden')}
        to={link('disorder', { disorder: leader.disorder }, { crop: plant.crop })}
      >
        <BookOpen aria-hidden size={18} /> {row.label} in the handbook
      </Link>
    </Panel>
  );
}

interface BesideProps {
  view: PlantView;
  leader: Diagnosis;
  clear: boolean;
}

/** What else it could be; if nothing else is likely, its look-alikes. */
function Others({ view: { report, plant }, leader, clear }: BesideProps) {
  const row = disorderRow(leader.disorder);
  const others = report.diagnosis
    .slice(clear ? 1 : 0)
    .filter((d) => d.explains.length > 0)
    .slice(0, 4);
  if (others.length > 0)
    return (
      <>
        <h3 className="mt-3 font-body font-semibold">{clear ? 'Could also be' : 'It could be'}</h3>
        <ul className="mt-1 flex flex-col gap-1">
          {others.map((d) => (
            <li key={d.disorder}>
              <HandbookLink disorder={d.disorder} crop={plant.crop} /> (<HowSure probability={d.probability} />
              ): {row.lookAlikes[d.disorder] ?? disorderRow(d.disorder).line}
            </li>
          ))}
        </ul>
      </>
    );
  if (!clear || leader.lookAlikes.length === 0) return null;
  return (
    <>
      <h3 className="mt-3 font-body font-semibold">Easily confused with</h3>
      <ul className="mt-1 flex flex-col gap-1">
        {leader.lookAlikes.slice(0, 2).map((code) => (
          <li key={code}>
            <HandbookLink disorder={code} crop={plant.crop} />: {row.lookAlikes[code]}
          </li>
        ))}
      </ul>
    </>
  );
}

function HandbookLink({ disorder, crop }: { disorder: DisorderCode; crop: Crop }) {
  const link = useLink();
  return (
    <Link className="font-semibold text-leaf underline" to={link('disorder', { disorder }, { crop })}>
      {disorderRow(disorder).label}
    </Link>
  );
}

function Bar({ d }: { d: Diagnosis }) {
  const words = sureness(d.probability);
  return (
    <div className="mt-2 flex items-center gap-3">
      <div
        role="img"
        aria-label={`How certain: ${words}`}
        className="h-2.5 w-40 overflow-hidden rounded-full border border-soft/50"
      >
        <div className="h-full bg-leaf" style={{ width: `${d.probability * 100}%` }} />
      </div>
      <span className="text-sm text-soft">
        <HowSure probability={d.probability} />
      </span>
    </div>
  );
}

/** Certainty in words; opens to the number. */
function HowSure({ probability }: Pick<Diagnosis, 'probability'>) {
  return (
    <Explained says={sureness(probability)}>
      <p>
        <strong className="tabular-nums">{Math.min(99, Math.round(probability * 100))} in 100.</strong> Out of 100
        plants with the same signs and records, about this many have it.
      </p>
      <p className="mt-2 text-sm text-soft">
        Estimated from what was seen and not seen, and from recorded water, weather, feed and cuts. Anything not
        recorded counts neither way.
      </p>
    </Explained>
  );
}

function Evidence({ d }: { d: Diagnosis }) {
  const shown = d.evidence.filter((e) => !(e.code in DRIVERS && e.effect === 'for'));
  if (shown.length === 0) return null;
  return (
    <Unfold className="sm:mt-2" look="quiet" title="Other evidence for and against it">
      {() => (
        <ul className="mt-1 flex flex-col gap-0.5">
          {shown.map((e) => (
            <li key={`${e.kind} ${e.code}`}>
              <strong>{e.effect === 'for' ? 'For' : 'Against'}</strong> ({e.strength}): {e.text}
            </li>
          ))}
        </ul>
      )}
    </Unfold>
  );
}
