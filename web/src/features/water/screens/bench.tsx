import { isPotted } from '@candid-leaf/core/records';
import type { BenchDto, GardenView, PlaceDto, PlaceOnView, PlantView } from '@candid-leaf/contract';
import { METHOD_CODES, WATERING_METHODS, type MethodCode, type SetUp } from '@candid-leaf/core/water';
import { useQuery } from '@tanstack/react-query';
import { Play, Plus, Square } from 'lucide-react';
import { useState, type ReactNode } from 'react';
import { useSearchParams } from 'react-router';
import { asInput } from '../../../lib/as-input';
import { useGarden } from '../../../lib/garden-context';
import { Button } from '../../../ui/button';
import { Choice } from '../../../ui/choice';
import { SelectField } from '../../../ui/select-field';
import { ShareBar } from '../../../ui/share-bar';
import { Panel } from '../../../ui/panel';
import { Empty, Waiting } from '../../../ui/states';
import { useWrite } from '../../../ui/use-write';
import { GardenPage } from '../../../frame/garden-page';
import { savePlace } from '../../../data/places';
import { plantViewQuery } from '../../../data/plants';
import { benchInputOf } from '../bench/bench-input';
import { Charts, ChartsToCome } from '../bench/charts';
import { KeptSetUps } from '../bench/kept-set-ups';
import { SetUpCard } from '../bench/set-up-card';
import { useBenchRun } from '../bench/use-bench-run';

const MOST = 6;
const YEARS = [20, 50, 200] as const;

/** Compares watering methods under the same weather, for this soil and pot. */
export function BenchScreen() {
  return <GardenPage title={() => 'Compare watering methods'}>{(v) => <Choose view={v} />}</GardenPage>;
}

function Choose({ view }: { view: GardenView }) {
  const garden = useGarden();
  const [params, setParams] = useSearchParams();
  const usable = view.places.filter((p) => p.plants.length > 0);
  const chosen = usable.find((p) => p.place.id === params.get('place')) ?? usable[0];
  const plant = useQuery({
    ...plantViewQuery(garden.id, chosen?.plants[0]?.plant.id ?? ''),
    enabled: chosen !== undefined,
  }).data;
  if (!chosen)
    return (
      <Empty title="Nothing to compare yet">
        Add a bed or pot with a plant in it, then compare watering methods for it here.
      </Empty>
    );
  return (
    <>
      <p className="-mt-2 mb-3 max-w-prose text-soft">
        The same weather runs through two to six watering methods for this bed or pot. Nothing in your garden changes.
      </p>
      {plant ? (
        <Bench
          key={chosen.place.id}
          on={chosen}
          plant={plant}
          chooser={
            <SelectField
              label="Bed or pot"
              className="w-full sm:w-64"
              value={chosen.place.id}
              options={usable.map((p) => [p.place.id, p.place.name])}
              onChange={(chosen) => setParams({ place: chosen }, { replace: true, preventScrollReset: true })}
            />
          }
        />
      ) : (
        <Waiting what="Loading its weather" />
      )}
    </>
  );
}

const startFor = (isPot: boolean): SetUp[] =>
  isPot
    ? [
        { name: 'One big weekly soak', strategy: 'timer', everyDays: 7 },
        { name: 'Half a can, often', strategy: 'half-often' },
        { name: 'By need', strategy: 'by-need' },
      ]
    : [
        { name: 'Deep and rare', strategy: 'deep' },
        { name: 'Evenly moist', strategy: 'evenly-moist' },
        { name: 'By need, mulched', strategy: 'by-need', mulchMm: 60 },
      ];

type Tried = Pick<BenchDto, 'setUps' | 'weather' | 'years'>;

function Bench({ on: { place }, plant, chooser }: { on: PlaceOnView; plant: PlantView; chooser: ReactNode }) {
  const bench = useBenchRun();
  const [tried, setTried] = useState<Tried>(() => ({
    setUps: startFor(isPotted(place)),
    weather: 'simulated',
    years: YEARS[1],
  }));
  const { setUps, weather, years } = tried;
  const change = (part: Partial<Tried>) => setTried((old) => ({ ...old, ...part }));
  const { state } = bench;
  return (
    <div className="flex flex-col gap-4">
      <div className="flex flex-wrap items-end gap-3">
        {chooser}
        <Choice
          label="Weather"
          value={weather}
          options={[
            ['simulated', 'Simulated years'],
            ['recorded', 'This season'],
          ]}
          onChange={(v) => change({ weather: v })}
        />
        {weather === 'simulated' && (
          <SelectField
            label="Years"
            className="w-28"
            value={String(years)}
            options={YEARS.map((y) => [String(y), String(y)])}
            onChange={(chosen) => change({ years: Number(chosen) })}
          />
        )}
      </div>
      <SetUps place={place} setUps={setUps} onChange={(next) => change({ setUps: next })} />
      <Run bench={bench} ready={setUps.every(isReady)} onStart={() => bench.start(benchInputOf(plant, tried))} />
      {/* after the button, which would otherwise move when the first set-up is saved */}
      <div className="flex flex-wrap items-end gap-3">
        <KeptSetUps place={place} onTake={setTried} now={tried} />
      </div>
      {state.at === 'running' && (
        <Panel as="div" className="sm:p-5">
          <ChartsToCome setUps={setUps} />
        </Panel>
      )}
      {state.at === 'done' && (
        <Panel as="div" className="sm:p-5">
          <Charts rows={state.rows} />
          <Adopt place={place} setUps={state.rows.map((r) => r.setUp)} />
        </Panel>
      )}
    </div>
  );
}

function SetUps({ place, setUps, onChange }: { place: PlaceDto; setUps: SetUp[]; onChange: (next: SetUp[]) => void }) {
  return (
    <div className="grid gap-3 sm:grid-cols-2 lg:grid-cols-3">
      {setUps.map((s, i) => (
        <SetUpCard
          key={i}
          n={i + 1}
          place={place}
          value={s}
          onChange={(next) => onChange(setUps.map((old, k) => (k === i ? next : old)))}
          onRemove={setUps.length > 2 ? () => onChange(setUps.filter((_, k) => k !== i)) : null}
        />
      ))}
      {setUps.length < MOST && (
        <Button
          className="min-h-24 border-dashed"
          onClick={() => onChange([...setUps, { name: 'Every morning', strategy: 'daily' }])}
        >
          <Plus aria-hidden size={18} /> Add another
        </Button>
      )}
    </div>
  );
}

const isNumber = (x: number | null | undefined): boolean => typeof x === 'number' && !Number.isNaN(x);
/** Returns whether it has a name and valid numbers. */
const isReady = (s: SetUp): boolean =>
  s.name.trim() !== '' && (s.strategy !== 'timer' || isNumber(s.everyDays)) && (s.litres == null || isNumber(s.litres));

/** Starts and stops the run, and shows its progress. */
function Run({
  bench,
  ready,
  onStart,
}: {
  bench: ReturnType<typeof useBenchRun>;
  ready: boolean;
  onStart: () => void;
}) {
  const { state } = bench;
  return (
    <div className="flex flex-wrap items-center gap-3">
      {state.at === 'running' ? (
        <>
          <Button look="urgent" onClick={bench.stop}>
            <Square aria-hidden size={17} /> Stop
          </Button>
          <div className="flex items-center gap-3" role="status">
            <ShareBar label="Years run" percent={(100 * state.done) / state.of} className="w-48" />
            <span className="tabular-nums">
              {state.done} of {state.of} years
            </span>
          </div>
        </>
      ) : (
        <Button look="main" onClick={onStart} disabled={!ready}>
          <Play aria-hidden size={17} /> Run
        </Button>
      )}
      {state.at === 'stopped' && <p role="status">Stopped. Nothing was saved.</p>}
    </div>
  );
}

const isMethod = (strategy: SetUp['strategy']): strategy is MethodCode => (METHOD_CODES as string[]).includes(strategy);

/** Applies a compared watering method to this bed's plan. */
function Adopt({ place, setUps }: { place: PlaceDto; setUps: readonly SetUp[] }) {
  const garden = useGarden();
  const save = useWrite(savePlace, garden.id);
  const methods = [...new Set(setUps.map((s) => s.strategy).filter(isMethod))];
  if (methods.length === 0) return null;
  const adopt = (method: MethodCode) =>
    save.mutate(
      { place: { ...asInput(place), watering: { ...place.watering, method } } },
      { said: `${place.name} is now planned: ${WATERING_METHODS[method].label.toLowerCase()}.` },
    );
  return (
    <div className="mt-4 flex flex-wrap items-center gap-2">
      <span className="font-semibold">Plan {place.name} by:</span>
      {methods.map((s) => (
        <Button key={s} disabled={save.isPending || place.watering?.method === s} onClick={() => adopt(s)}>
          {WATERING_METHODS[s].label}
        </Button>
      ))}
    </div>
  );
}
