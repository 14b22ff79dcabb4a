import type { PlantView } from '@candid-leaf/contract';
import { CLEAR_FROM } from '@candid-leaf/core/diagnosis';
import type { Part } from '@candid-leaf/core/records';
import type { Day } from '@candid-leaf/core/units';
import { Droplets, FileText, Pencil, Plus } from 'lucide-react';
import { useMemo, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { useDayWords } from '../../data/garden-context';
import { Button, buttonLook } from '../../parts/button';
import { RecordList, RecordSheet } from '../../parts/record-sheet';
import { Strands } from '../../parts/strands/strands';
import { TouchPlant } from '../../parts/touch-plant';
import { percent } from '../../parts/water-left';
import { Finding } from './finding';
import { FollowUp } from './follow-up';
import { WhatToDo } from './what-to-do';

/** All days that speak for the leading finding, until one reason is touched. */
function litDays(view: PlantView, driver: string | null): Set<Day> {
  const leader = view.report.diagnosis[0];
  if (!leader || leader.probability < CLEAR_FROM) return new Set();
  return new Set(
    leader.drivers
      .filter((d) => driver === null || d.driver === driver)
      .flatMap((d) => d.because.filter((b) => !['place', 'plant', 'sign'].includes(b.record)).map((b) => b.date)),
  );
}

interface Props {
  view: PlantView;
  /** somebody else's plant: to look at only */
  reading?: boolean;
}

/** A plant drawn, with its strands, what it is, why here, and what to do. */
export function PlantStory({ view, reading = false }: Props) {
  const { garden, plant, place, report } = view;
  const navigate = useNavigate();
  const Title = reading ? 'h2' : 'h1';
  const dayWords = useDayWords();
  const [driver, setDriver] = useState<string | null>(null);
  const [recording, setRecording] = useState<'watering' | 'any' | null>(null);
  const lit = useMemo(() => litDays(view, driver), [view, driver]);
  const signs = useMemo(
    () => [...new Set(report.diagnosis.flatMap((d) => d.explains).concat(report.unexplained))],
    [report],
  );
  const subject = { plantId: plant.id, placeId: null, name: plant.name };
  const now = report.water.daily.at(-1);
  const next = report.water.nextWatering;
  const look = (part?: Part) =>
    void navigate(`/gardens/${garden.id}/plants/${plant.id}/look${part ? `?part=${part}` : ''}`);
  const facts = [plant.habit, plant.type, plant.crop].filter(Boolean).join(' ');
  return (
    <>
      <div className="mb-3 flex flex-wrap items-end justify-between gap-x-4 gap-y-2">
        <div>
          <Title className="text-3xl">{plant.name}</Title>
          <p className="text-soft">
            {facts.charAt(0).toUpperCase() + facts.slice(1)} in{' '}
            {reading ? (
              place.name
            ) : (
              <Link className="underline" to={`/gardens/${garden.id}`}>
                {place.name}
              </Link>
            )}
            {plant.transplantedOn && `, planted out ${dayWords(plant.transplantedOn)}`}
            {plant.heightM != null && `, ${showCm(plant.heightM * 100, garden.units)} tall`}
          </p>
        </div>
        {!reading && (
          <div className="flex flex-wrap gap-1 print:hidden">
            <Button look="quiet" onClick={() => setRecording('watering')}>
              <Droplets aria-hidden size={18} /> Water
            </Button>
            <Button look="quiet" onClick={() => setRecording('any')}>
              <Plus aria-hidden size={18} /> Record
            </Button>
            <Link className={buttonLook('quiet')} to={`/gardens/${garden.id}/plants/${plant.id}/edit`}>
              <Pencil aria-hidden size={17} /> Change
            </Link>
            <Link className={buttonLook('quiet')} to={`/gardens/${garden.id}/plants/${plant.id}/sheet`}>
              <FileText aria-hidden size={17} /> Case sheet
            </Link>
          </div>
        )}
      </div>
      <FollowUp view={view} />
      <div className="grid gap-4 lg:grid-cols-[20rem_1fr]">
        <section aria-label="The plant" className="rounded-2xl border border-line bg-card p-3 lg:order-1 print:hidden">
          {!reading && <p className="mb-1 text-sm text-soft">Something looks wrong? Touch where.</p>}
          <TouchPlant plant={plant} signs={signs} onTouch={reading ? null : look} />
          <p className="mt-2 text-center tabular-nums">
            <strong>{percent(now?.fractionAvailable ?? null)}</strong> of the water left
            {report.water.evenness !== null && (
              <span className="text-soft"> · evenness {report.water.evenness.toFixed(2)} of 1</span>
            )}
          </p>
          {next && (
            <p className="text-center text-sm text-soft">
              Next water: {showLitres(next.litres, garden.units)}{' '}
              {next.date === garden.today ? 'today' : `on ${dayWords(next.date)}`}
            </p>
          )}
        </section>
        <div className="min-w-0 lg:order-3 lg:col-span-2">
          <Finding view={view} driver={driver} onDriver={setDriver} reading={reading} />
        </div>
        <div className="min-w-0 lg:order-2">
          <Strands view={view} lit={lit} />
        </div>
        <div className="lg:order-4 lg:col-span-2">
          <WhatToDo view={view} reading={reading} />
        </div>
        <section
          aria-labelledby="history"
          className="rounded-2xl border border-line bg-card p-4 lg:order-5 lg:col-span-2"
        >
          <h2 id="history" className="mb-1 text-xl">
            What was recorded
          </h2>
          <RecordList
            records={view.records}
            subjectOf={
              reading ? null : (r) => (r.plantId ? subject : { plantId: null, placeId: place.id, name: place.name })
            }
          />
        </section>
      </div>
      {recording && (
        <RecordSheet
          open
          onClose={() => setRecording(null)}
          subject={subject}
          day={garden.today}
          kinds={
            recording === 'watering'
              ? ['watering']
              : ['watering', 'soil-check', 'feeding', 'pruning', 'note', 'spray', 'event', 'pot-weight']
          }
        />
      )}
    </>
  );
}
