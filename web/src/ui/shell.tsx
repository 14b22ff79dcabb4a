import type { GardenDto, RibbonDay, WeatherState } from '@candid-leaf/contract';
import { formatterFor } from '@candid-leaf/core/units';
import { onlineManager, useQueryClient } from '@tanstack/react-query';
import { BookOpen, CalendarRange, LogOut, Settings, Sprout, Warehouse, WifiOff } from 'lucide-react';
import { useSyncExternalStore, type ReactNode } from 'react';
import { Link, NavLink, useNavigate } from 'react-router';
import { api } from '../lib/api';
import { GardenContext } from '../lib/garden-context';
import { linkTo, ROUTES } from '../lib/paths';
import { Ribbon } from './ribbon';

const useOnline = () =>
  useSyncExternalStore(
    (notify) => onlineManager.subscribe(notify),
    () => onlineManager.isOnline(),
  );

const navLook = ({ isActive }: { isActive: boolean }) =>
  `inline-flex min-h-11 min-w-11 items-center justify-center gap-1.5 rounded-lg px-2 font-semibold sm:px-3 ${isActive ? 'bg-leafwash text-leaf' : 'text-soft hover:bg-leafwash'}`;

interface Props {
  garden: GardenDto;
  ribbon?: RibbonDay[] | undefined;
  weather?: WeatherState | undefined;
  children: ReactNode;
}

/** What stands round every page of a garden: its name, the ways about, and the ribbon of days that never moves. */
export function Shell({ garden, ribbon, weather, children }: Props) {
  const online = useOnline();
  const navigate = useNavigate();
  const client = useQueryClient();
  const here = { gardenId: garden.id };
  const signOut = async () => {
    await api('DELETE', '/session');
    client.clear();
    await navigate(ROUTES.signIn);
  };
  return (
    <GardenContext.Provider value={garden}>
      <header className="sticky top-0 z-20 border-b border-line bg-paper print:hidden">
        <div className="mx-auto flex max-w-7xl items-center justify-between gap-2 px-3 pt-1 sm:px-5">
          <Link
            to={linkTo('garden', here)}
            className="min-w-0 truncate py-1.5 font-head text-xl font-semibold text-ink"
          >
            {garden.name}
          </Link>
          <nav aria-label="Main" className="flex shrink-0 items-center sm:gap-1">
            <NavLink to={linkTo('garden', here)} end className={navLook}>
              <Sprout aria-hidden size={18} /> <span className="max-sm:sr-only">Garden</span>
            </NavLink>
            <NavLink to={linkTo('season', here)} className={navLook}>
              <CalendarRange aria-hidden size={18} /> <span className="max-sm:sr-only">Season</span>
            </NavLink>
            <NavLink to={linkTo('shed', here)} className={navLook}>
              <Warehouse aria-hidden size={18} /> <span className="max-sm:sr-only">Shed</span>
            </NavLink>
            <NavLink to={linkTo('handbook', here)} className={navLook}>
              <BookOpen aria-hidden size={18} /> <span className="max-sm:sr-only">Handbook</span>
            </NavLink>
            <NavLink to={linkTo('settings', here)} className={navLook}>
              <Settings aria-hidden size={18} /> <span className="max-sm:sr-only">Settings</span>
            </NavLink>
            <button type="button" onClick={() => void signOut()} className={navLook({ isActive: false })}>
              <LogOut aria-hidden size={18} /> <span className="sr-only">Sign out</span>
            </button>
          </nav>
        </div>
        <div className="mx-auto max-w-7xl px-1 sm:px-5">
          {ribbon ? <Ribbon days={ribbon} today={garden.today} /> : <div className="h-22" />}
        </div>
      </header>
      {!online && (
        <p role="status" className="flex items-center justify-center gap-2 bg-ink px-3 py-1.5 text-paper">
          <WifiOff aria-hidden size={18} /> No signal. Keep this page open: what you record is sent when the signal is
          back.
        </p>
      )}
      {weather?.trouble && (
        <p role="status" className="mx-auto max-w-7xl px-3 pt-2 text-soft sm:px-5">
          The weather station does not answer
          {weather.newest &&
            `; the newest day it gave is ${formatterFor(garden.units, garden.dateForm).day(weather.newest)}`}
          . Water is reckoned with what is known.
        </p>
      )}
      <main className="mx-auto max-w-7xl px-3 py-4 sm:px-5">{children}</main>
    </GardenContext.Provider>
  );
}
