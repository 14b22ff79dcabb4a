import type { GardenDto, WeatherState } from '@candid-leaf/contract';
import { addDays } from '@candid-leaf/core/units';
import { formatDistanceToNow, parseISO } from 'date-fns';
import { CloudDownload, StepForward } from 'lucide-react';
import { Link } from 'react-router';
import { useDayWords } from '../../data/garden-context';
import { useGardens, usePullWeather, useSaveGarden } from '../../data/queries';
import { Button, buttonLook } from '../../parts/button';
import { useSay } from '../../parts/toast';
import { GardenPage } from '../../parts/garden-page';
import { GardenForm } from './garden-form';

export function SettingsScreen() {
  const say = useSay();
  return (
    <GardenPage title={() => 'Settings'}>
      {(v) => (
        <div className="grid gap-5 lg:grid-cols-[1fr_22rem]">
          <GardenForm key={v.garden.version} garden={v.garden} onKept={() => say('Settings: kept.')} />
          <aside className="flex flex-col gap-4">
            {v.garden.pinnedDate && <DemoDay garden={v.garden} />}
            <Weather garden={v.garden} state={v.weather} />
            <OtherGardens current={v.garden.id} />
          </aside>
        </div>
      )}
    </GardenPage>
  );
}

/** The demo garden stands still on one day; here it is moved on. */
function DemoDay({ garden }: { garden: GardenDto }) {
  const save = useSaveGarden(garden.id);
  const dayWords = useDayWords();
  const busy = save.isPending;
  const move = async (days: number) => {
    const { today, ...input } = garden;
    await save.mutateAsync({ ...input, pinnedDate: addDays(today, days) });
  };
  return (
    <section aria-labelledby="demo" className="rounded-2xl border border-line bg-card p-4">
      <h2 id="demo" className="text-xl">
        Demo day
      </h2>
      <p className="mt-1 text-soft">
        This garden stands still on {dayWords(garden.today)}. Move it on to see what comes.
      </p>
      <div className="mt-3 flex flex-wrap gap-2">
        <Button disabled={busy} onClick={() => void move(1)}>
          <StepForward aria-hidden size={17} /> One day
        </Button>
        <Button disabled={busy} onClick={() => void move(7)}>
          <StepForward aria-hidden size={17} /> One week
        </Button>
      </div>
    </section>
  );
}

function Weather({ garden, state }: { garden: GardenDto; state: WeatherState }) {
  const pull = usePullWeather(garden.id);
  const dayWords = useDayWords();
  return (
    <section aria-labelledby="weather" className="rounded-2xl border border-line bg-card p-4">
      <h2 id="weather" className="text-xl">
        Weather
      </h2>
      <p className="mt-1">
        {state.pulledAt
          ? `Fetched ${formatDistanceToNow(parseISO(state.pulledAt), { addSuffix: true })}`
          : 'Never fetched'}
        {state.newest && `; newest day ${dayWords(state.newest)}`}.
      </p>
      {state.trouble && <p className="text-ripe">The station does not answer: {state.trouble}.</p>}
      <Button className="mt-3" disabled={pull.isPending} onClick={() => pull.mutate(undefined)}>
        <CloudDownload aria-hidden size={17} /> Fetch now
      </Button>
    </section>
  );
}

function OtherGardens({ current }: { current: string }) {
  const gardens = useGardens();
  const others = (gardens.data ?? []).filter((g) => g.id !== current);
  return (
    <section aria-labelledby="others" className="rounded-2xl border border-line bg-card p-4">
      <h2 id="others" className="text-xl">
        Other gardens
      </h2>
      <ul>
        {others.map((g) => (
          <li key={g.id}>
            <Link className={`${buttonLook('quiet')} -ml-3`} to={`/gardens/${g.id}`}>
              {g.name}
            </Link>
          </li>
        ))}
      </ul>
      <Link className={`${buttonLook('plain')} mt-2`} to="/gardens/new">
        A new garden
      </Link>
    </section>
  );
}
