import type { BenchDto, GardenView, PlaceDto, PlaceOnView } from '@candid-leaf/contract';
import { SCHOOL_CODES, type SchoolCode, SCHOOLS, type SetUp } from '@candid-leaf/core/water';
import { Play, Plus, Save, Square, Trash2 } from 'lucide-react';
import { useState } from 'react';
import { useSearchParams } from 'react-router';
import { v7 as uuid } from 'uuid';
import { asInput } from '../../../data/as-input';
import { useGarden } from '../../../data/garden-context';
import { useBenches, useDeleteBench, usePlantView, useSaveBench, useSavePlace } from '../../../data/queries';
import { Button } from '../../../parts/button';
import { Choice } from '../../../parts/choice';
import { SelectField, TextField } from '../../../parts/field';
import { GardenPage } from '../../../parts/garden-page';
import { Empty, Waiting } from '../../../parts/states';
import { useSay } from '../../../parts/toast';
import { Charts, ChartsToCome } from './charts';
import { SetUpCard } from './set-up-card';
import { useBenchRun } from './use-bench-run';

const MOST = 6;
const YEARS = [20, 50, 200] as const;

/** The same weather through different habits, side by side: on this soil, in this pot, the numbers decide. */
export function BenchScreen() {
  return <GardenPage title={() => 'Habits side by side'}>{(v) => <Choose view={v} />}</GardenPage>;
}

function Choose({ view }: { view: GardenView }) {
  const [params, setParams] = useSearchParams();
  const usable = view.places.filter((p) => p.plants.length > 0);
  const chosen = usable.find((p) => p.place.id === params.get('place')) ?? usable[0];
  if (!chosen)
    return (
      <Empty title="Nothing to try it on">
        Add a bed or a pot with a plant in it; then habits can be tried on it here.
      </Empty>
    );
  return (
    <>
      <p className="-mt-2 mb-3 max-w-prose text-soft">
        The same weather runs through two to six ways of watering this place. Nothing is watered by it, and nothing is
        changed.
      </p>
      <Bench
        key={chosen.place.id}
        on={chosen}
        chooser={
          <SelectField
            label="Place"
            className="w-full sm:w-64"
            value={chosen.place.id}
            options={usable.map((p) => [p.place.id, p.place.name])}
            onChange={(e) => setParams({ place: e.target.value }, { replace: true, preventScrollReset: true })}
          />
        }
      />
    </>
  );
}

const startFor = (isPot: boolean): SetUp[] =>
  isPot
    ? [
        { name: 'One big weekly soak', habit: 'timer', everyDays: 7 },
        { name: 'Half a can, often', habit: 'half-often' },
        { name: 'By need', habit: 'by-need' },
      ]
    : [
        { name: 'Deep and seldom', habit: 'deep' },
        { name: 'Evenly moist', habit: 'evenly-moist' },
        { name: 'By need, mulched', habit: 'by-need', mulchMm: 60 },
      ];

function Bench({ on, chooser }: { on: PlaceOnView; chooser: React.ReactNode }) {
  const garden = useGarden();
  const { place } = on;
  const isPot = place.kind === 'container';
  const story = usePlantView(garden.id, on.plants[0]!.plant.id);
  const bench = useBenchRun();
  const [setUps, setSetUps] = useState<SetUp[]>(() => startFor(isPot));
  const [weather, setWeather] = useState<'recorded' | 'simulated'>('simulated');
  const [years, setYears] = useState<number>(YEARS[1]);
  if (!story.data) return <Waiting what="Fetching its weather" />;
  const { caseFile } = story.data;
  const start = () =>
    bench.start({
      subject: {
        garden: { ...caseFile.garden },
        place: { ...caseFile.place },
        plant: { ...caseFile.plant },
        watering: caseFile.records.watering.map((w) => ({ ...w })),
      },
      setUps,
      recorded: caseFile.records.weather
        .filter((w) => !caseFile.plant.transplantedOn || w.date >= caseFile.plant.transplantedOn)
        .slice(-200),
      weather,
      years,
      plantedOn: caseFile.plant.transplantedOn ?? null,
      year: Number(garden.today.slice(0, 4)),
    });
  const running = bench.state.at === 'running';
  const take = (b: BenchDto) => {
    setSetUps(b.setUps);
    setWeather(b.weather);
    setYears(b.years);
  };
  return (
    <div className="flex flex-col gap-4">
      <div className="flex flex-wrap items-end gap-3">
        {chooser}
        <Choice
          label="Weather"
          value={weather}
          options={[
            ['simulated', 'Simulated years'],
            ['recorded', 'This season’s'],
          ]}
          onChange={setWeather}
        />
        {weather === 'simulated' && (
          <SelectField
            label="Years"
            className="w-28"
            value={String(years)}
            options={YEARS.map((y) => [String(y), String(y)])}
            onChange={(e) => setYears(Number(e.target.value))}
          />
        )}
        <Kept place={place} onTake={take} now={{ setUps, weather, years }} />
      </div>
      <div className="grid gap-3 sm:grid-cols-2 lg:grid-cols-3">
        {setUps.map((s, i) => (
          <SetUpCard
            key={i}
            letter={'ABCDEF'[i]!}
            place={place}
            value={s}
            onChange={(next) => setSetUps(setUps.map((x, k) => (k === i ? next : x)))}
            onRemove={setUps.length > 2 ? () => setSetUps(setUps.filter((_, k) => k !== i)) : null}
          />
        ))}
        {setUps.length < MOST && (
          <Button
            className="min-h-24 border-dashed"
            onClick={() => setSetUps([...setUps, { name: 'Every morning', habit: 'daily' }])}
          >
            <Plus aria-hidden size={18} /> One more
          </Button>
        )}
      </div>
      <div className="flex flex-wrap items-center gap-3">
        {running ? (
          <Button look="urgent" onClick={bench.stop}>
            <Square aria-hidden size={17} /> Stop
          </Button>
        ) : (
          <Button look="main" onClick={start} disabled={setUps.some((s) => s.name.trim() === '')}>
            <Play aria-hidden size={17} /> Run
          </Button>
        )}
        {bench.state.at === 'running' && (
          <div className="flex items-center gap-3" role="status">
            <progress
              className="h-3 w-48 accent-leaf"
              aria-label="Years run"
              value={bench.state.done}
              max={bench.state.of}
            />
            <span className="tabular-nums">
              {bench.state.done} of {bench.state.of} years
            </span>
          </div>
        )}
        {bench.state.at === 'stopped' && <p role="status">Stopped; nothing was kept of it.</p>}
      </div>
      {running && (
        <div className="rounded-2xl border border-line bg-card p-4 sm:p-5">
          <ChartsToCome setUps={setUps} />
        </div>
      )}
      {bench.state.at === 'done' && (
        <div className="rounded-2xl border border-line bg-card p-4 sm:p-5">
          <Charts rows={bench.state.rows} />
          <Adopt place={place} setUps={bench.state.rows.map((r) => r.setUp)} />
        </div>
      )}
    </div>
  );
}

const isSchool = (h: SetUp['habit']): h is SchoolCode => (SCHOOL_CODES as string[]).includes(h);

/** A set-up that is one of the schools can become the way this place is planned. */
function Adopt({ place, setUps }: { place: PlaceDto; setUps: readonly SetUp[] }) {
  const garden = useGarden();
  const save = useSavePlace(garden.id);
  const say = useSay();
  const schools = [...new Set(setUps.map((s) => s.habit).filter(isSchool))];
  if (schools.length === 0) return null;
  const adopt = (school: SchoolCode) => {
    save.mutate(
      { ...asInput(place), watering: { ...place.watering, school } },
      {
        onSuccess: () => say(`${place.name} is now planned: ${SCHOOLS[school].label.toLowerCase()}.`),
        onError: (e) => say(e.message, { bad: true }),
      },
    );
  };
  return (
    <div className="mt-4 flex flex-wrap items-center gap-2">
      <span className="font-semibold">Plan {place.name} by:</span>
      {schools.map((s) => (
        <Button key={s} disabled={save.isPending || place.watering?.school === s} onClick={() => adopt(s)}>
          {SCHOOLS[s].label}
        </Button>
      ))}
    </div>
  );
}

interface KeptProps {
  place: PlaceDto;
  now: Pick<BenchDto, 'setUps' | 'weather' | 'years'>;
  onTake: (b: BenchDto) => void;
}

/** Set-ups that were named and kept. */
function Kept({ place, now, onTake }: KeptProps) {
  const garden = useGarden();
  const benches = useBenches(garden.id);
  const save = useSaveBench(garden.id);
  const remove = useDeleteBench(garden.id);
  const say = useSay();
  const [name, setName] = useState('');
  const own = (benches.data ?? []).filter((b) => b.placeId === place.id);
  const [chosen, setChosen] = useState('');
  const keep = () =>
    save.mutate(
      { id: uuid(), placeId: place.id, name: name.trim(), ...now },
      {
        onSuccess: (b) => {
          say(`Kept: ${b.name}.`);
          setChosen(b.id);
          setName('');
        },
        onError: (e) => say(e.message, { bad: true }),
      },
    );
  return (
    <>
      {own.length > 0 && (
        <div className="flex items-end gap-1">
          <SelectField
            label="Kept set-ups"
            className="w-52"
            value={chosen}
            options={[['', 'choose'], ...own.map((b): [string, string] => [b.id, b.name])]}
            onChange={(e) => {
              setChosen(e.target.value);
              const b = own.find((x) => x.id === e.target.value);
              if (b) onTake(b);
            }}
          />
          {chosen && (
            <Button
              look="quiet"
              className="px-3"
              aria-label="Throw this set-up away"
              onClick={() => {
                remove.mutate(chosen);
                setChosen('');
              }}
            >
              <Trash2 aria-hidden size={18} />
            </Button>
          )}
        </div>
      )}
      <div className="flex items-end gap-1">
        <TextField
          label="Keep as"
          className="w-44"
          value={name}
          maxLength={80}
          onChange={(e) => setName(e.target.value)}
        />
        <Button disabled={name.trim() === '' || save.isPending} onClick={keep}>
          <Save aria-hidden size={17} /> Keep
        </Button>
      </div>
    </>
  );
}
