import type { GardenDto, GardenView, WeatherState } from '@candid-leaf/contract';
import { addDays } from '@candid-leaf/core/units';
import { useQuery } from '@tanstack/react-query';
import { formatDistanceToNow, parseISO } from 'date-fns';
import { CloudDownload, FolderOpen, StepForward, UserRound, Users } from 'lucide-react';
import { Link } from 'react-router';
import { useFormat, useLink, useMay } from '../../../lib/garden-context';
import { linkTo, ROUTES } from '../../../lib/paths';
import { Button, buttonLook } from '../../../ui/button';
import { Panel } from '../../../ui/panel';
import { SignOut } from '../../../frame/sign-out';
import { useOutbox } from '../../../offline/use-outbox';
import { useSay } from '../../../ui/toast';
import { Fold } from '../../../ui/fold';
import { useWrite } from '../../../ui/use-write';
import { GardenPage } from '../../../frame/garden-page';
import { gardensQuery } from '../../../data/gardens';
import { pullWeather, saveGarden } from '../../../data/gardens';
import { CalendarLink } from '../components/calendar-link';
import { DaysAway } from '../components/days-away';
import { DisplaySettings } from '../components/display';
import { HoseTimer } from '../components/hose-timer';
import { GardenForm } from '../components/garden-form';

export function SettingsScreen() {
  return <GardenPage title={() => 'Settings'}>{(view) => <Settings view={view} />}</GardenPage>;
}

/** Settings; members without edit rights see only people, account and other gardens. */
function Settings({ view: { garden, weather } }: { view: GardenView }) {
  const say = useSay();
  const may = useMay();
  const keep = may('keep');
  return (
    <div className={keep ? 'grid gap-5 lg:grid-cols-[1fr_22rem]' : 'max-w-md'}>
      {keep && <GardenForm key={garden.version} garden={garden} onKept={() => say('Settings saved.')} />}
      <aside className="flex flex-col gap-4">
        {keep && garden.pinnedDate && <DemoDay garden={garden} />}
        <PeopleAndAccount />
        {may('record') && (
          <Fold title="Weather">
            <Weather garden={garden} state={weather} />
          </Fold>
        )}
        {keep && (
          <>
            <Fold title="Days away">
              <DaysAway key={`away ${garden.version}`} garden={garden} />
            </Fold>
            <Fold everywhere title="Hose timer">
              <HoseTimer garden={garden} />
            </Fold>
            <Fold everywhere title="Calendar">
              <CalendarLink />
            </Fold>
          </>
        )}
        <FilesLink />
        <Fold everywhere title="Display">
          <DisplaySettings />
        </Fold>
        <OtherGardens current={garden.id} />
      </aside>
    </div>
  );
}

function FilesLink() {
  const link = useLink();
  return (
    <Panel title="Files">
      <Link className={`${buttonLook('plain')} mt-2`} to={link('files', {})}>
        <FolderOpen aria-hidden size={17} /> Import and export
      </Link>
    </Panel>
  );
}

function PeopleAndAccount() {
  const link = useLink();
  return (
    <Panel title="People">
      <div className="mt-2 flex flex-wrap gap-2">
        <Link className={buttonLook('plain')} to={link('people', {})}>
          <Users aria-hidden size={17} /> People and access
        </Link>
        <Link className={buttonLook('quiet')} to={ROUTES.account}>
          <UserRound aria-hidden size={17} /> Your account
        </Link>
        {/* on a desk it is in the header */}
        <SignOut named list={useOutbox()} className={`${buttonLook('quiet')} sm:hidden`} />
      </div>
    </Panel>
  );
}

/** The demo garden is paused on one day; this moves it on. */
function DemoDay({ garden }: { garden: GardenDto }) {
  const save = useWrite(saveGarden, garden.id);
  const format = useFormat();
  const move = (days: number) => {
    const { today, ...input } = garden;
    save.mutate({ garden: { ...input, pinnedDate: addDays(today, days) } });
  };
  return (
    <Panel title="Demo day">
      <p className="mt-1 text-soft">This demo garden is paused on {format.day(garden.today)}.</p>
      <div className="mt-3 flex flex-wrap gap-2">
        <Button disabled={save.isPending} onClick={() => move(1)}>
          <StepForward aria-hidden size={17} /> One day
        </Button>
        <Button disabled={save.isPending} onClick={() => move(7)}>
          <StepForward aria-hidden size={17} /> One week
        </Button>
      </div>
    </Panel>
  );
}

function Weather({ garden, state }: { garden: GardenDto; state: WeatherState }) {
  const pull = useWrite(pullWeather, garden.id);
  const format = useFormat();
  return (
    <Panel title="Weather">
      <p className="mt-1">
        {state.pulledAt
          ? `Updated ${formatDistanceToNow(parseISO(state.pulledAt), { addSuffix: true })}`
          : 'Never updated'}
        {state.newest && `; newest day ${format.day(state.newest)}`}.
      </p>
      {state.trouble && <p className="text-ripe">The weather station does not answer: {state.trouble}.</p>}
      <Button className="mt-3" disabled={pull.isPending} onClick={() => pull.mutate({})}>
        <CloudDownload aria-hidden size={17} /> Update now
      </Button>
    </Panel>
  );
}

function OtherGardens({ current }: { current: string }) {
  const others = (useQuery(gardensQuery()).data ?? []).filter((g) => g.id !== current);
  return (
    <Panel title="Other gardens">
      <ul>
        {others.map((g) => (
          <li key={g.id}>
            <Link className={`${buttonLook('quiet')} -ml-3`} to={linkTo('garden', { gardenId: g.id })}>
              {g.name}
            </Link>
          </li>
        ))}
      </ul>
      <Link className={`${buttonLook('plain')} mt-2`} to={ROUTES.newGarden}>
        New garden
      </Link>
    </Panel>
  );
}
