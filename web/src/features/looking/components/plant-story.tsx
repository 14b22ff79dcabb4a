import { asGrown } from '../../../lib/plant-now';
import { SupportPanel } from './support-panel';
import { CutsPanel } from './cuts-panel';
import { isRecordOf, type PlantView } from '@candid-leaf/contract';
import type { Prevention } from '@candid-leaf/core/prevented';
import type { Part } from '@candid-leaf/core/records';
import { HELD_WHY } from '@candid-leaf/core/water';
import type { Day } from '@candid-leaf/core/units';
import clsx from 'clsx';
import { ArrowRight, CopyPlus, Droplets, FileText, Pencil, Plus } from 'lucide-react';
import { memo, useMemo, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { useFormat, useGarden, useLink, useMay } from '../../../lib/garden-context';
import { sentence } from '../../../lib/words';
import { Button, buttonLook } from '../../../ui/button';
import { Fold } from '../../../ui/fold';
import { Menu, MenuLink } from '../../../ui/menu';
import { Panel } from '../../../ui/panel';
import { useTurns } from '../../../ui/use-turns';
import { useWide } from '../../../ui/use-wide';
import { Evenness } from '../../../ui/evenness';
import { WaterLeftOpened } from '../../../ui/water-left-opened';
import { Photos } from '../../../frame/acts/photos';
import { RecordTable } from '../../../frame/acts/record-table';
import { RecordSheet } from '../../../frame/acts/record-sheet';
import { PlantCharts } from '../../../frame/charts/plant-charts';
import { Ended } from './ended';
import { FeedingPanel } from './feeding-panel';
import { AnswerPanel, BesidePanel, isClear, leaderOf, WhyPanel } from './finding';
import { FollowUp } from './follow-up';
import { NextHere } from './next-here';
import { lineOf } from './prevented';
import { TouchPlant } from '../../../signs/plant/touch-plant';
import { Trends } from './trends';
import { WHAT_TO_DO } from './steps';
import { WhatToDo } from './what-to-do';

/** Reasons without days to highlight. */
const WITHOUT_DAY: ReadonlySet<string> = new Set(['place', 'plant', 'sign']);

/** Returns all days that support the leading finding, until one reason is touched. */
function litDays(view: PlantView, driver: string | null): Set<Day> {
  const [leader] = view.report.diagnosis;
  if (!leader || !isClear(leader)) return new Set();
  return new Set(
    leader.drivers
      .filter((d) => driver === null || d.driver === driver)
      .flatMap((d) => d.because.filter((b) => !WITHOUT_DAY.has(b.record)).map((b) => b.date)),
  );
}

interface Props {
  view: PlantView;
  /** a plant from another garden, on its own page: read-only */
  fromOther?: boolean;
  /** the next plant on the walk */
  next?: PlantView['plant'] | null;
}

/** Number of turns the page is drawn in. */
const TURNS = 7;

/**
 * A plant: drawing, charts, finding, why here, and what to do. Redrawn only if its data changed, not at every
 * refetch.
 */
export const PlantStory = memo(function PlantStory({ view, fromOther = false, next = null }: Props) {
  const { ended } = view;
  const may = useMay();
  const reading = fromOther || ended !== null || !may('record');
  const [driver, setDriver] = useState<string | null>(null);
  const lit = useMemo(() => litDays(view, driver), [view, driver]);
  const wide = useWide();
  // the best change that moves the water is drawn until another is chosen; on a phone the list is folded, and so is it
  const [change, setChange] = useState<Prevention['change'] | null | undefined>(undefined);
  const shown = view.prevented.find((p) => (change === undefined ? wide && p.left : p.change === change)) ?? null;
  const other = useMemo(() => lineOf(shown), [shown]);
  const leader = leaderOf(view);
  const turn = useTurns(TURNS);
  return (
    <>
      <Heading view={view} fromOther={fromOther} next={next} />
      {ended ? <Ended view={view} ended={ended} /> : <FollowUp view={view} />}
      <div className="grid gap-4 lg:grid-cols-[19rem_1fr]">
        <div className="min-w-0 lg:order-2">
          {turn > 1 ? <AnswerPanel view={view} reading={reading} /> : <div className="min-h-60" />}
          {turn > 1 && !leader && !reading && (
            <Fold title="Next here" className="mt-4">
              <NextHere view={view} />
            </Fold>
          )}
        </div>
        {turn > 2 ? <Drawn view={view} reading={reading} /> : <div className="min-h-90" />}
      </div>
      <div className={clsx('mt-4 grid gap-4', leader && isClear(leader) && 'lg:grid-cols-[24rem_1fr]')}>
        {turn > 3 && leader && isClear(leader) && (
          <WhyPanel
            view={view}
            leader={leader}
            driver={driver}
            onDriver={setDriver}
            shown={shown}
            onShow={setChange}
            reading={reading}
          />
        )}
        <div className="min-w-0">
          {turn > 4 && <PlantCharts view={view} lit={lit} other={other} photos={!fromOther} />}
          {turn > 5 && <Trends view={view} />}
        </div>
      </div>
      {turn > 6 && <Rest view={view} reading={reading} fromOther={fromOther} />}
    </>
  );
});

/** What follows from it and details: folded on a phone. */
function Rest({ view, reading, fromOther }: { view: PlantView; reading: boolean; fromOther: boolean }) {
  const { plant, place } = view;
  const leader = leaderOf(view);
  const target = { plantId: plant.id, placeId: null, name: plant.name };
  return (
    <div className={clsx('mt-4 grid items-start gap-4', !reading && leader && 'lg:grid-cols-[1fr_23rem]')}>
      <div className="flex min-w-0 flex-col gap-4">
        {leader && isClear(leader) && (
          <Fold title="What to do, step by step" id={WHAT_TO_DO}>
            <WhatToDo view={view} reading={reading} />
          </Fold>
        )}
        {leader && (
          <Fold everywhere={isClear(leader)} title="What else it could be">
            <BesidePanel view={view} reading={reading} />
          </Fold>
        )}
        {!reading && (
          <>
            <Fold everywhere title="Pruning and training">
              <CutsPanel view={view} />
            </Fold>
            <Fold everywhere title="Feeding" open={view.feeding.plan.kind === 'ask'}>
              <FeedingPanel view={view} />
            </Fold>
            <Fold everywhere title="Support and fruit set">
              <SupportPanel view={view} />
            </Fold>
          </>
        )}
        {!fromOther && (
          <Fold everywhere title="Photos" className="print:hidden">
            <Photos of={{ plantId: plant.id }} name={plant.name} reading={reading} />
          </Fold>
        )}
        <Fold everywhere={leader !== undefined} title="Records">
          <Panel title="Records">
            <RecordTable
              brief
              records={view.records}
              targetOf={
                reading ? null : (r) => (r.plantId ? target : { plantId: null, placeId: place.id, name: place.name })
              }
            />
          </Panel>
        </Fold>
      </div>
      {!reading && leader && (
        <Fold title="Next here" className="lg:sticky lg:top-36 lg:max-h-[calc(100vh-10rem)] lg:overflow-y-auto">
          <NextHere view={view} />
        </Fold>
      )}
    </div>
  );
}

/** Its name and facts, and its actions. */
function Heading({ view: { plant, variety, growth, place, ended, records }, fromOther = false, next = null }: Props) {
  const { heightM, stage } = growth;
  const format = useFormat();
  const link = useLink();
  const Title = fromOther ? 'h2' : 'h1';
  const facts = [
    `${sentence([plant.habit, plant.type, plant.crop].filter(Boolean).join(' ')).slice(0, -1)} in `,
    plant.transplantedOn && `, planted out ${format.day(plant.transplantedOn)}`,
    heightM != null && `, about ${format.centimetres(heightM * 100)} tall`,
    stage && `, ${stage}`,
    variety && `. Variety: ${variety}${plant.varietyUnsure ? ' (not sure)' : ''}`,
  ];
  return (
    <div className="mb-3 flex flex-wrap items-end justify-between gap-x-4 gap-y-2">
      <div>
        <Title className="text-3xl">{plant.name}</Title>
        <p className="text-soft">
          {facts[0]}
          {fromOther ? (
            place.name
          ) : (
            <Link className="underline" to={link('garden', {})}>
              {place.name}
            </Link>
          )}
          {facts.slice(1)}
        </p>
      </div>
      {!fromOther && !ended && <Acts plant={plant} next={next} lastL={lastLitres(records)} />}
    </div>
  );
}

/** Litres this plant got last time; undefined if no amount is recorded. Records come newest first. */
const lastLitres = (records: PlantView['records']): number | undefined =>
  records
    .filter((r) => isRecordOf(r, 'watering'))
    .map((r) => r.data.litres)
    .find((litres) => litres != null && litres > 0) ?? undefined;

interface ActsProps {
  plant: PlantView['plant'];
  next: PlantView['plant'] | null;
  lastL: number | undefined;
}

function Acts({ plant, next, lastL }: ActsProps) {
  const garden = useGarden();
  const link = useLink();
  const may = useMay();
  const [recording, setRecording] = useState<'watering' | 'any' | null>(null);
  const at = { plantId: plant.id };
  const wide = useWide();
  const another = link('newPlant', { placeId: plant.placeId }, { copy: plant.id });
  return (
    <div className="flex flex-wrap gap-1 max-sm:*:min-w-11 max-sm:*:px-2.5 print:hidden">
      {may('record') && (
        <>
          <Button look="quiet" data-key="w" onClick={() => setRecording('watering')}>
            <Droplets aria-hidden size={18} /> Water
          </Button>
          <Button look="quiet" data-key="r" onClick={() => setRecording('any')}>
            <Plus aria-hidden size={18} /> Record
          </Button>
        </>
      )}
      {wide ? (
        <>
          {may('keep') && (
            <Link className={buttonLook('quiet')} to={link('plantEdit', at)}>
              <Pencil aria-hidden size={17} /> Edit
            </Link>
          )}
          {may('keep') && (
            <Link className={buttonLook('quiet')} to={another}>
              <CopyPlus aria-hidden size={17} /> Copy
            </Link>
          )}
          <Link className={buttonLook('quiet')} to={link('plantSheet', at)}>
            <FileText aria-hidden size={17} /> Case sheet
          </Link>
        </>
      ) : (
        <Menu label={`More about ${plant.name}`}>
          {may('keep') && (
            <MenuLink icon={Pencil} to={link('plantEdit', at)}>
              Edit
            </MenuLink>
          )}
          {may('keep') && (
            <MenuLink icon={CopyPlus} to={another}>
              Copy
            </MenuLink>
          )}
          <MenuLink icon={FileText} to={link('plantSheet', at)}>
            Case sheet
          </MenuLink>
        </Menu>
      )}
      {next && (
        <Link data-key="n" className={buttonLook('quiet')} to={link('plant', { plantId: next.id })}>
          {wide ? `Next: ${next.name}` : 'Next'} <ArrowRight aria-hidden size={17} />
        </Link>
      )}
      {recording && (
        <RecordSheet
          open
          onClose={() => setRecording(null)}
          target={{ plantId: plant.id, placeId: null, name: plant.name }}
          day={garden.today}
          {...(recording === 'watering'
            ? { kinds: ['watering'] as const, ...(lastL ? { filled: { litres: lastL } } : {}) }
            : {})}
        />
      )}
    </div>
  );
}

/** The drawn plant, to touch where something is wrong; its water now and next. */
function Drawn({ view, reading }: { view: PlantView; reading: boolean }) {
  const { garden, place, report, ended, stands } = view;
  const plant = asGrown(view);
  const format = useFormat();
  const link = useLink();
  const navigate = useNavigate();
  const signs = useMemo(
    () => [...new Set(report.diagnosis.flatMap((d) => d.explains).concat(report.unexplained))],
    [report],
  );
  const look = (part: Part) => void navigate(link('look', { plantId: plant.id }, { part }));
  const { daily, drying, evenness, held, known, nextWatering: next } = report.water;
  const when = (n: NonNullable<typeof next>): string =>
    `${format.litres(n.litres)} ${n.date === garden.today ? 'today' : `on ${format.day(n.date)}`}`;
  return (
    <Panel label="The plant" className="p-3 print:hidden">
      {!reading && <p className="mb-1 text-sm text-soft">Something looks wrong? Touch where.</p>}
      <TouchPlant plant={plant} stands={stands} signs={signs} onTouch={reading ? null : look} />
      {!ended && (
        <p className="mt-2 text-center tabular-nums">
          {known ? (
            <WaterLeftOpened daily={daily} drying={drying} />
          ) : (
            <>
              Water <strong>unknown: check the soil</strong>
            </>
          )}
          {evenness !== null && (
            <span className="text-soft">
              {' '}
              · <Evenness of={evenness} />
            </span>
          )}
        </p>
      )}
      {held && !ended && <p className="text-center text-sm text-soft">Next water: {HELD_WHY}</p>}
      {next && !ended && (
        <p className="text-center text-sm text-soft">
          Next water:{' '}
          {reading ? (
            when(next)
          ) : (
            <Link
              className="-my-2.5 inline-flex min-h-11 items-center underline decoration-dotted underline-offset-4"
              to={link('placePlan', { placeId: place.id })}
            >
              {when(next)}
            </Link>
          )}
        </p>
      )}
    </Panel>
  );
}
