import type { PlantView } from '@candid-leaf/contract';
import { checkRow, CLEAR_FROM, headline, sureness, whyHere } from '@candid-leaf/core/diagnosis';
import type { Day } from '@candid-leaf/core/units';
import { ArrowLeft, Download, FileUp, Printer } from 'lucide-react';
import { Link, Navigate, useParams } from 'react-router';
import { ApiError } from '../../data/api';
import { useDayWords } from '../../data/garden-context';
import { useGardenView, usePlantView } from '../../data/queries';
import { Button, buttonLook } from '../../parts/button';
import { tellRecord } from '../../parts/record-kinds';
import { Shell } from '../../parts/shell';
import { Failed, Waiting } from '../../parts/states';
import { Strands } from '../../parts/strands/strands';

/** A plant's case on one or two sheets of paper, to take to somebody who knows more. */
export function SheetScreen() {
  const { gardenId, plantId } = useParams() as { gardenId: string; plantId: string };
  const view = usePlantView(gardenId, plantId);
  const around = useGardenView(gardenId);
  if (view.isPending) return <Waiting what="Writing it out" />;
  if (view.error instanceof ApiError && view.error.status === 401) return <Navigate to="/sign-in" replace />;
  if (view.error) return <Failed error={view.error} again={() => void view.refetch()} />;
  const { garden, plant } = view.data;
  return (
    <Shell garden={garden} ribbon={around.data?.ribbon} weather={around.data?.weather}>
      <div className="mb-3 flex flex-wrap gap-2 print:hidden">
        <Button look="main" onClick={() => window.print()}>
          <Printer aria-hidden size={18} /> Print
        </Button>
        <a
          className={buttonLook()}
          href={`/api/gardens/${garden.id}/plants/${plant.id}/case`}
          download={`${plant.name.toLowerCase().replaceAll(' ', '-')}.case.json`}
        >
          <Download aria-hidden size={18} /> Save the case file
        </a>
        <Link className={buttonLook('quiet')} to={`/gardens/${garden.id}/neighbour`}>
          <FileUp aria-hidden size={18} /> Read somebody’s case file
        </Link>
        <Link className={buttonLook('quiet')} to={`/gardens/${garden.id}/plants/${plant.id}`}>
          <ArrowLeft aria-hidden size={18} /> Back to the plant
        </Link>
      </div>
      <Sheet view={view.data} />
    </Shell>
  );
}

const NO_DAYS: ReadonlySet<Day> = new Set();

function Sheet({ view }: { view: PlantView }) {
  const { garden, plant, place, report, caseFile } = view;
  const dayWords = useDayWords();
  const leader = report.diagnosis[0];
  const clear = leader && leader.probability >= CLEAR_FROM;
  const signs = caseFile.observations.filter((o) => o.present);
  const facts = [[plant.habit, plant.type, plant.crop].filter(Boolean).join(' '), plant.stage]
    .filter(Boolean)
    .join(', ');
  const home = [
    place.kind.replaceAll('-', ' '),
    place.texture?.replaceAll('-', ' '),
    place.volumeL != null && `${place.volumeL} L`,
    place.potMaterial,
    place.drainageMmPerH != null && `drains ${place.drainageMmPerH} mm an hour`,
    place.soilTest?.pH != null && `pH ${place.soilTest.pH}`,
  ].filter(Boolean);
  const recent = view.records.filter((r) => r.day <= garden.today && r.type !== 'watering').slice(0, 18);
  return (
    <article
      aria-label="Case sheet"
      className="mx-auto max-w-3xl bg-card p-5 text-[0.95rem] leading-snug print:p-0 print:text-[10pt]"
    >
      <header className="border-b-2 border-ink pb-2">
        <h1 className="text-2xl">{plant.name}</h1>
        <p>
          {facts.charAt(0).toUpperCase() + facts.slice(1)}; {home.join(', ')}.{' '}
          {plant.transplantedOn && `Planted out ${dayWords(plant.transplantedOn)}. `}
          As of {dayWords(garden.today)}, at {garden.latitude.toFixed(1)}, {garden.longitude.toFixed(1)},{' '}
          {garden.elevationM} m.
        </p>
      </header>
      <section aria-label="Finding" className="mt-3">
        <h2 className="text-xl">{headline(report.diagnosis)}</h2>
        {clear && <p>{whyHere(leader, 4).join(' ')}</p>}
        {report.diagnosis.length > (clear ? 1 : 0) && (
          <p className="mt-1">
            <strong>{clear ? 'Could also be' : 'It could be'}:</strong>{' '}
            {report.diagnosis
              .slice(clear ? 1 : 0, 5)
              .map((d) => `${disorderRow(d.disorder).label.toLowerCase()} (${sureness(d.probability)})`)
              .join(', ')}
            .
          </p>
        )}
      </section>
      <section aria-label="What was seen" className="mt-3">
        <h2 className="text-lg">What was seen</h2>
        {signs.length === 0 && caseFile.observations.length === 0 ? (
          <p>Nothing was reported.</p>
        ) : (
          <ul className="columns-2 gap-6">
            {view.records
              .filter((r) => r.type === 'inspection')
              .slice(0, 4)
              .map((r) => (
                <li key={r.id} className="break-inside-avoid">
                  <strong>{dayWords(r.day)}:</strong> {tellRecord(r, garden.units)}
                </li>
              ))}
          </ul>
        )}
      </section>
      <section aria-label="The last four weeks" className="mt-3 break-inside-avoid">
        <h2 className="text-lg">The last four weeks</h2>
        <Strands view={view} lit={NO_DAYS} />
      </section>
      {(report.nextChecks.length > 0 || report.notKnown.length > 0 || report.unexplained.length > 0) && (
        <section aria-label="Questions open" className="mt-3 break-inside-avoid">
          <h2 className="text-lg">Questions open</h2>
          <ul className="list-disc pl-5">
            {report.nextChecks.map((c) => (
              <li key={c.check}>
                {checkRow(c.check).label}: {c.splits.map((d) => disorderRow(d).label.toLowerCase()).join(' or ')}?
              </li>
            ))}
            {report.unexplained.length > 0 && <li>Some of what was seen is explained by none of this.</li>}
            {report.notKnown.slice(0, 6).map((t) => (
              <li key={t}>Not known: {t}.</li>
            ))}
          </ul>
        </section>
      )}
      <section aria-label="Done and recorded" className="mt-3">
        <h2 className="text-lg">Fed, cut, sprayed and looked over</h2>
        <ul className="columns-2 gap-6">
          {recent
            .filter((r) => r.type !== 'inspection')
            .map((r) => (
              <li key={r.id} className="break-inside-avoid">
                {dayWords(r.day)}: {tellRecord(r, garden.units)}
              </li>
            ))}
        </ul>
      </section>
      <p className="mt-3 border-t border-line pt-1 text-sm">
        Made by Candid Leaf from this garden’s records. Advice, not law: the label, local rules and a licensed adviser
        decide.
      </p>
    </article>
  );
}
