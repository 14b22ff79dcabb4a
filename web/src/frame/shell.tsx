import { reaches, type GardenDto, type RibbonDay, type Role, type WeatherState } from '@candid-leaf/contract';
import { formatterFor } from '@candid-leaf/core/units';
import { useQueryClient } from '@tanstack/react-query';
import clsx from 'clsx';
import { BookOpen, CalendarRange, Search, Settings, Sprout, Warehouse } from 'lucide-react';
import { Fragment } from 'react';
import { Link, NavLink, useParams } from 'react-router';
import { linkTo, ROUTES } from '../lib/paths';
import { queryKeys } from '../lib/query-keys';
import { accountHere } from '../offline/account';
import { useOutbox } from '../offline/use-outbox';
import { DailyKeys } from './daily-keys';
import { OutboxBar } from './outbox-bar';
import { Ribbon } from './ribbon';
import { SignOut } from './sign-out';
import { useOnline } from '../ui/use-online';

const navLook = ({ isActive }: { isActive: boolean }) =>
  clsx(
    'inline-flex min-h-11 items-center justify-center rounded-lg font-semibold sm:gap-1.5 sm:px-3',
    'max-sm:min-h-14 max-sm:flex-1 max-sm:flex-col max-sm:rounded-none max-sm:text-xs',
    isActive ? 'bg-leafwash text-leaf' : 'text-soft hover:bg-leafwash',
  );

/** The four areas; on a phone "Look" stands between them, within reach of a thumb. */
const AREAS = [
  { to: 'garden', letter: 'g', name: 'Garden', icon: Sprout },
  { to: 'season', letter: 's', name: 'Season', icon: CalendarRange },
  { to: 'shed', letter: 'b', name: 'Shed', icon: Warehouse },
  { to: 'handbook', letter: 'h', name: 'Handbook', icon: BookOpen },
] as const;

/** Where "Look" leads: to the plant or bed that is open, else to the list of them. */
function useLookTo(gardenId: string): string {
  const { plantId, placeId } = useParams();
  return plantId
    ? linkTo('look', { gardenId, plantId })
    : placeId
      ? linkTo('placeWalk', { gardenId, placeId })
      : linkTo('lookOver', { gardenId });
}

interface Props {
  garden: GardenDto;
  /** the user's role here */
  role: Role;
  /** null: no ribbon on this page */
  ribbon: RibbonDay[] | null;
  weather: WeatherState;
}

/** Header of every garden page: name, navigation, ribbon, and notices. */
export function Shell({ garden, role, ribbon, weather }: Props) {
  const online = useOnline();
  const list = useOutbox();
  const client = useQueryClient();
  const asOf = client.getQueryState([...queryKeys.garden(garden.id), 'view'])?.dataUpdatedAt;
  const here = { gardenId: garden.id };
  const lookTo = useLookTo(garden.id);
  return (
    <>
      <header className="sticky top-0 z-20 border-b border-line bg-paper print:hidden">
        <div className="mx-auto flex h-12 max-w-7xl items-center justify-between gap-2 px-3 sm:px-5 2xl:max-w-[104rem]">
          <Link
            to={linkTo('garden', here)}
            className="min-w-0 truncate py-2 font-head text-xl leading-tight font-semibold text-ink"
          >
            {garden.name}
          </Link>
          <div className="flex shrink-0 items-center">
            <nav
              aria-label="Main"
              className="flex items-center max-sm:fixed max-sm:inset-x-0 max-sm:bottom-0 max-sm:z-20 max-sm:items-stretch max-sm:border-t max-sm:border-line max-sm:bg-paper max-sm:pb-[env(safe-area-inset-bottom)] sm:gap-1"
            >
              {AREAS.map(({ to, letter, name, icon: Icon }) => (
                <Fragment key={to}>
                  {to === 'shed' && reaches(role, 'record') && (
                    <NavLink to={lookTo} end className={(now) => clsx(navLook(now), 'sm:hidden')}>
                      <Search aria-hidden size={20} /> Look
                    </NavLink>
                  )}
                  <NavLink data-key={letter} to={linkTo(to, here)} end={to === 'garden'} className={navLook}>
                    <Icon aria-hidden size={20} /> {name}
                  </NavLink>
                </Fragment>
              ))}
            </nav>
            <NavLink
              to={linkTo('settings', here)}
              className={({ isActive }) =>
                `inline-flex min-h-11 min-w-11 items-center justify-center gap-1.5 rounded-lg font-semibold sm:px-3 ${isActive ? 'bg-leafwash text-leaf' : 'text-soft hover:bg-leafwash'}`
              }
            >
              <Settings aria-hidden size={20} /> <span className="max-sm:sr-only">Settings</span>
            </NavLink>
            {accountHere() !== null && (
              <SignOut list={list} className={`${navLook({ isActive: false })} max-sm:hidden`} />
            )}
          </div>
        </div>
        {ribbon && (
          <div className="mx-auto max-w-7xl px-1 sm:px-5 2xl:max-w-[104rem]">
            <Ribbon days={ribbon} today={garden.today} />
          </div>
        )}
      </header>
      <DailyKeys />
      {role === 'look' && garden.pinnedDate && (
        <p className="mx-auto max-w-7xl px-3 pt-2 2xl:max-w-[104rem] sm:px-5">
          <strong>Demo garden, view only.</strong> Its dates are paused.{' '}
          <Link className="font-semibold text-leaf underline" to={ROUTES.home}>
            {accountHere() === null ? 'Start your own garden' : 'To your own garden'}
          </Link>
        </p>
      )}
      <OutboxBar list={list} online={online} asOf={asOf} />
      {weather.trouble && (
        <p role="status" className="mx-auto max-w-7xl 2xl:max-w-[104rem] px-3 pt-2 text-soft sm:px-5">
          {weather.trouble}{' '}
          {weather.newest && `The newest day is ${formatterFor(garden.units, garden.dateForm).day(weather.newest)}. `}
          The estimates use what we have.
        </p>
      )}
    </>
  );
}
