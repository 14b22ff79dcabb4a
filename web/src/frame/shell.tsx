import type { GardenDto, RibbonDay, Role, WeatherState } from '@candid-leaf/contract';
import { formatterFor } from '@candid-leaf/core/units';
import { useQueryClient } from '@tanstack/react-query';
import { BookOpen, CalendarRange, Settings, Sprout, Warehouse } from 'lucide-react';
import { Link, NavLink } from 'react-router';
import { linkTo, ROUTES } from '../lib/paths';
import { queryKeys } from '../lib/query-keys';
import { useOutbox } from '../offline/use-outbox';
import { DailyKeys } from './daily-keys';
import { OutboxBar } from './outbox-bar';
import { Ribbon } from './ribbon';
import { SignOut } from './sign-out';
import { useOnline } from '../ui/use-online';

const navLook = ({ isActive }: { isActive: boolean }) =>
  `inline-flex min-h-11 min-w-11 items-center justify-center gap-1.5 rounded-lg font-semibold sm:px-3 ${isActive ? 'bg-leafwash text-leaf' : 'text-soft hover:bg-leafwash'}`;

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
  return (
    <>
      <header className="sticky top-0 z-20 border-b border-line bg-paper print:hidden">
        <div className="mx-auto flex max-w-7xl 2xl:max-w-[104rem] items-center justify-between gap-2 px-3 pt-1 sm:px-5">
          <Link
            to={linkTo('garden', here)}
            className="line-clamp-2 min-w-0 py-1 font-head leading-tight font-semibold text-ink max-sm:text-[0.95rem] sm:truncate sm:py-1.5 sm:text-xl"
          >
            {garden.name}
          </Link>
          <nav aria-label="Main" className="flex shrink-0 items-center sm:gap-1">
            <NavLink data-key="g" to={linkTo('garden', here)} end className={navLook}>
              <Sprout aria-hidden size={18} /> <span className="max-sm:sr-only">Garden</span>
            </NavLink>
            <NavLink data-key="s" to={linkTo('season', here)} className={navLook}>
              <CalendarRange aria-hidden size={18} /> <span className="max-sm:sr-only">Season</span>
            </NavLink>
            <NavLink data-key="b" to={linkTo('shed', here)} className={navLook}>
              <Warehouse aria-hidden size={18} /> <span className="max-sm:sr-only">Shed</span>
            </NavLink>
            <NavLink data-key="h" to={linkTo('handbook', here)} className={navLook}>
              <BookOpen aria-hidden size={18} /> <span className="max-sm:sr-only">Handbook</span>
            </NavLink>
            <NavLink to={linkTo('settings', here)} className={navLook}>
              <Settings aria-hidden size={18} /> <span className="max-sm:sr-only">Settings</span>
            </NavLink>
            <SignOut list={list} className={`${navLook({ isActive: false })} max-sm:hidden`} />
          </nav>
        </div>
        <div className="mx-auto max-w-7xl 2xl:max-w-[104rem] px-1 sm:px-5">
          {ribbon && <Ribbon days={ribbon} today={garden.today} />}
        </div>
      </header>
      <DailyKeys />
      {role === 'look' && garden.pinnedDate && (
        <p className="mx-auto max-w-7xl px-3 pt-2 2xl:max-w-[104rem] sm:px-5">
          <strong>Demo garden, view only.</strong> Its dates are paused.{' '}
          <Link className="font-semibold text-leaf underline" to={ROUTES.home}>
            To your own garden
          </Link>
        </p>
      )}
      <OutboxBar list={list} online={online} asOf={asOf} />
      {weather.trouble && (
        <p role="status" className="mx-auto max-w-7xl 2xl:max-w-[104rem] px-3 pt-2 text-soft sm:px-5">
          The weather station does not answer
          {weather.newest && `; its newest day is ${formatterFor(garden.units, garden.dateForm).day(weather.newest)}`}.
          The estimates use what we have.
        </p>
      )}
    </>
  );
}
