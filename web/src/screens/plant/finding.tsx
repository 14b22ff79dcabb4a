import type { PlantView } from '@candid-leaf/contract';
import { CLEAR_FROM, type Diagnosis, DRIVERS, headline, sureness, whyHere } from '@candid-leaf/core/diagnosis';
import { type Crop, type DisorderCode, signRow } from '@candid-leaf/core/records';
import clsx from 'clsx';
import { BookOpen, Sun } from 'lucide-react';
import { Link } from 'react-router';
import { buttonLook } from '../../parts/button';
import { useGarden } from '../../data/garden-context';
import { Checks } from './checks';

interface Props {
  view: PlantView;
  driver: string | null;
  onDriver: (driver: string | null) => void;
  /** somebody else's plant: nothing can be recorded */
  reading: boolean;
}

/** What it is, as a sentence with its reasons under it; how sure; what else it could be; what would make it surer. */
export function Finding({ view, driver, onDriver, reading }: Props) {
  const { report, garden, plant } = view;
  const leader = report.diagnosis[0];
  if (!leader)
    return (
      <section aria-label="Finding" className="rounded-2xl border border-line bg-card p-5">
        <h2 className="text-2xl">Nothing has been reported.</h2>
        {!reading && (
          <>
            <p className="mt-1 max-w-prose text-soft">
              Look it over and say what you see, or that all is clear. From the first sign on, this page says what it is
              and why here.
            </p>
            <Link className={clsx(buttonLook('main'), 'mt-3')} to={`/gardens/${garden.id}/plants/${plant.id}/look`}>
              Look it over
            </Link>
          </>
        )}
      </section>
    );
  const clear = leader.probability >= CLEAR_FROM;
  const row = disorderRow(leader.disorder);
  // once it is settled, the look goes on to what the records make likely beside it
  const aboutIt = report.nextChecks[0]?.splits.includes(leader.disorder) ?? false;
  const why = whyHere(leader, 5);
  const others = report.diagnosis
    .slice(clear ? 1 : 0)
    .filter((d) => d.explains.length > 0)
    .slice(0, 4);
  return (
    <section aria-label="Finding" className="rounded-2xl border border-line bg-card p-5">
      <h2 className="text-2xl">{headline(report.diagnosis)}</h2>
      <div className={clsx(clear && 'grid gap-x-10 lg:grid-cols-[3fr_2fr]')}>
        {clear && (
          <div>
            <p className="mt-1 max-w-prose">
              {row.line}
              {report.harmless && ' Nothing needs doing.'}
            </p>
            <Bar d={leader} />
            <Link
              className={clsx(buttonLook('quiet'), '-ml-4 print:hidden')}
              to={`/gardens/${garden.id}/handbook/${leader.disorder}?crop=${plant.crop}`}
            >
              <BookOpen aria-hidden size={18} /> {row.label} in the handbook
            </Link>
            <h3 className="mt-3 font-body font-semibold">
              Why here <span className="font-normal text-soft">(touch a reason to light up its days)</span>
            </h3>
            {leader.drivers.length === 0 ? (
              <p className="text-soft">No cause found in the records.</p>
            ) : (
              <ul className="mt-1 flex flex-col gap-1">
                {leader.drivers.slice(0, 5).map((d, i) => (
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
            <Evidence d={leader} />
          </div>
        )}
        <div>
          {report.nextChecks.length > 0 && (
            <>
              <h3 className="mt-3 font-body font-semibold">
                {!clear ? 'Look at this first' : aboutIt ? 'To be surer' : 'Worth a look too'}
              </h3>
              <Checks view={view} most={clear ? 2 : 4} reading={reading} />
            </>
          )}
          {others.length > 0 && (
            <>
              <h3 className="mt-3 font-body font-semibold">{clear ? 'Could also be' : 'It could be'}</h3>
              <ul className="mt-1 flex flex-col gap-1">
                {others.map((d) => (
                  <li key={d.disorder}>
                    <HandbookLink disorder={d.disorder} crop={plant.crop} /> ({sureness(d.probability)}):{' '}
                    {row.lookAlikes[d.disorder] ?? disorderRow(d.disorder).line}
                  </li>
                ))}
              </ul>
            </>
          )}
          {clear && others.length === 0 && leader.lookAlikes.length > 0 && (
            <>
              <h3 className="mt-3 font-body font-semibold">Not to be taken for</h3>
              <ul className="mt-1 flex flex-col gap-1">
                {leader.lookAlikes.slice(0, 2).map((code) => (
                  <li key={code}>
                    <HandbookLink disorder={code} crop={plant.crop} />: {row.lookAlikes[code]}
                  </li>
                ))}
              </ul>
            </>
          )}
          {report.unexplained.length > 0 && (
            <p className="mt-3">
              Not explained by any of this: {report.unexplained.map((s) => signRow(s).label.toLowerCase()).join(', ')}.
            </p>
          )}
          {report.notKnown.length > 0 && (
            <details className="mt-3">
              <summary className="min-h-8 cursor-pointer text-soft">
                What the records could not say ({report.notKnown.length})
              </summary>
              <ul className="list-disc pl-6">
                {report.notKnown.map((t) => (
                  <li key={t}>{t}</li>
                ))}
              </ul>
            </details>
          )}
        </div>
      </div>
    </section>
  );
}

function HandbookLink({ disorder, crop }: { disorder: DisorderCode; crop: Crop }) {
  const garden = useGarden();
  return (
    <Link className="font-semibold text-leaf underline" to={`/gardens/${garden.id}/handbook/${disorder}?crop=${crop}`}>
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
        aria-label={`How sure: ${words}`}
        className="h-2.5 w-40 overflow-hidden rounded-full border border-soft/50"
      >
        <div className="h-full bg-leaf" style={{ width: `${d.probability * 100}%` }} />
      </div>
      <span className="text-sm text-soft">{words}</span>
    </div>
  );
}

function Evidence({ d }: { d: Diagnosis }) {
  const told = d.evidence.filter((e) => !(e.code in DRIVERS && e.effect === 'for'));
  if (told.length === 0) return null;
  return (
    <details className="mt-2">
      <summary className="min-h-8 cursor-pointer text-soft">What else speaks for and against it</summary>
      <ul className="mt-1 flex flex-col gap-0.5">
        {told.map((e) => (
          <li key={`${e.kind} ${e.code}`}>
            <strong>{e.effect === 'for' ? 'For' : 'Against'}</strong> ({e.strength}): {e.text}
          </li>
        ))}
      </ul>
    </details>
  );
}
