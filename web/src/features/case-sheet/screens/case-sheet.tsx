import { isRecordOf, type PlantView } from '@candid-leaf/contract';
import { checkRow, CLEAR_FROM, disorderRow, sureness, whyHere } from '@candid-leaf/core/diagnosis';
import { describeRecord, signRow } from '@candid-leaf/core/records';
import type { Day } from '@candid-leaf/core/units';
import { ArrowLeft, Download, FileUp, Printer } from 'lucide-react';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { useFormat, useLink } from '../../../lib/garden-context';
import { apiOf } from '../../../lib/paths';
import { sentence } from '../../../lib/words';
import { Button, buttonLook } from '../../../ui/button';
import { usePhotos } from '../../../data/use-photos';
import { PlantPage } from '../../../frame/plant-page';
import { PlantCharts } from '../../../frame/charts/plant-charts';

/** A plant's case on one or two printed pages, for an adviser. */
export function SheetScreen() {
  return (
    <PlantPage waiting="Preparing the case sheet">
      {(view) => (
        <>
          <Acts view={view} />
          <CaseSheet view={view} />
        </>
      )}
    </PlantPage>
  );
}

function Acts({ view: { garden, plant } }: { view: PlantView }) {
  const link = useLink();
  return (
    <div className="mb-3 flex flex-wrap gap-2 print:hidden">
      <Button look="main" onClick={() => window.print()}>
        <Printer aria-hidden size={18} /> Print
      </Button>
      <a
        className={buttonLook()}
        href={`/api${apiOf(garden.id, 'plants', plant.id, 'case')}`}
        download={`${plant.name.toLowerCase().replaceAll(' ', '-')}.case.json`}
      >
        <Download aria-hidden size={18} /> Save case file
      </a>
      <Link className={buttonLook('quiet')} to={link('otherGarden', {})}>
        <FileUp aria-hidden size={18} /> Open another case file
      </Link>
      <Link className={buttonLook('quiet')} to={link('plant', { plantId: plant.id })}>
        <ArrowLeft aria-hidden size={18} /> Back to the plant
      </Link>
    </div>
  );
}

const NO_DAYS: ReadonlySet<Day> = new Set();
/** Most looks that fit on paper. */
const MOST_LOOKS = 4;
const MOST_RECORDS = 18;
const MOST_QUESTIONS = 6;
const MOST_PHOTOS = 4;

interface Props {
  view: PlantView;
}

function CaseSheet({ view }: Props) {
  return (
    <article
      aria-label="Case sheet"
      className="mx-auto max-w-3xl bg-card p-5 text-sm leading-snug print:p-0 print:text-[10pt]"
    >
      <Head view={view} />
      <Found view={view} />
      <Part title="What was seen">
        <Seen view={view} />
      </Part>
      <Part title="The last four weeks">
        <PlantCharts view={view} lit={NO_DAYS} />
      </Part>
      <Pictures view={view} />
      <Questions view={view} />
      <Part title="Fed, pruned, sprayed and looked over">
        <Done view={view} />
      </Part>
      <p className="mt-3 border-t border-line pt-1 text-sm">
        Made by Candid Leaf from this garden’s records. Advice only. Always follow the product label and local rules; a
        licensed adviser knows more.
      </p>
    </article>
  );
}

function Part({ title, children }: { title: string; children: ReactNode }) {
  return (
    <section aria-label={title} className="mt-3 break-inside-avoid">
      <h2 className="text-xl">{title}</h2>
      {children}
    </section>
  );
}

function Head({ view: { garden, plant, growth, place } }: Props) {
  const format = useFormat();
  const facts = [[plant.habit, plant.type, plant.crop].filter(Boolean).join(' '), growth.stage].filter(Boolean);
  const home = [
    place.kind.replaceAll('-', ' '),
    place.texture.replaceAll('-', ' '),
    place.volumeL != null && format.litres(place.volumeL),
    place.potMaterial,
    place.drainageMmPerH != null && `drains ${format.rain(place.drainageMmPerH)} an hour`,
    place.soilTest?.pH != null && `pH ${place.soilTest.pH}`,
  ].filter(Boolean);
  return (
    <header className="border-b-2 border-ink pb-2">
      <h1 className="text-xl">{plant.name}</h1>
      <p>
        {sentence(facts.join(', ')).slice(0, -1)}; {home.join(', ')}.{' '}
        {plant.transplantedOn && `Planted out ${format.day(plant.transplantedOn)}. `}
        As of {format.day(garden.today)}, at {garden.latitude.toFixed(1)}, {garden.longitude.toFixed(1)},{' '}
        {format.elevation(garden.elevationM)}.
      </p>
    </header>
  );
}

function Found({ view: { report } }: Props) {
  const [leader] = report.diagnosis;
  const clear = leader !== undefined && leader.probability >= CLEAR_FROM;
  const others = report.diagnosis.slice(clear ? 1 : 0, 5);
  return (
    <section aria-label="Finding" className="mt-3">
      <h2 className="text-xl">{report.headline}</h2>
      {clear && <p>{whyHere(leader, 4).join(' ')}</p>}
      {others.length > 0 && (
        <p className="mt-1">
          <strong>{clear ? 'Could also be' : 'It could be'}:</strong>{' '}
          {others.map((d) => `${disorderRow(d.disorder).label.toLowerCase()} (${sureness(d.probability)})`).join(', ')}.
        </p>
      )}
    </section>
  );
}

function Seen({ view: { records } }: Props) {
  const format = useFormat();
  const looks = records.filter((r) => isRecordOf(r, 'inspection')).slice(0, MOST_LOOKS);
  if (looks.length === 0) return <p>No problems recorded.</p>;
  return (
    <ul className="columns-2 gap-6">
      {looks.map((r) => (
        <li key={r.id} className="break-inside-avoid">
          <strong>{format.day(r.day)}:</strong> {describeRecord(r.type, r.data, format)}
        </li>
      ))}
    </ul>
  );
}

/** The newest photos that fit in a row. */
function Pictures({ view: { garden, plant } }: Props) {
  const format = useFormat();
  const photos = usePhotos(garden.id, { plantId: plant.id }).slice(0, MOST_PHOTOS);
  if (photos.length === 0) return null;
  return (
    <Part title="Photos">
      <ul className="mt-1 grid grid-cols-4 gap-2">
        {photos.map((p) => (
          <li key={p.id}>
            <img
              src={p.whole}
              alt={`On ${format.day(p.day)}`}
              className="aspect-square w-full rounded bg-paper object-cover"
            />
            <span className="text-sm">
              {format.day(p.day)}
              {p.sign && `: ${signRow(p.sign).label.toLowerCase()}`}
            </span>
          </li>
        ))}
      </ul>
    </Part>
  );
}

function Questions({ view: { report } }: Props) {
  const { nextChecks, notKnown, unexplained } = report;
  if (nextChecks.length === 0 && notKnown.length === 0 && unexplained.length === 0) return null;
  return (
    <Part title="Open questions">
      <ul className="list-disc pl-5">
        {nextChecks.map((c) => (
          <li key={c.check}>
            {checkRow(c.check).label}: {c.splits.map((d) => disorderRow(d).label.toLowerCase()).join(' or ')}?
          </li>
        ))}
        {unexplained.length > 0 && <li>Some signs are not explained by any of this.</li>}
        {notKnown.slice(0, MOST_QUESTIONS).map((t) => (
          <li key={t}>Not known: {t}.</li>
        ))}
      </ul>
    </Part>
  );
}

function Done({ view: { records } }: Props) {
  const format = useFormat();
  const done = records.filter((r) => r.type !== 'watering' && r.type !== 'inspection').slice(0, MOST_RECORDS);
  return (
    <ul className="columns-2 gap-6">
      {done.map((r) => (
        <li key={r.id} className="break-inside-avoid">
          {format.day(r.day)}: {describeRecord(r.type, r.data, format)}
        </li>
      ))}
    </ul>
  );
}
