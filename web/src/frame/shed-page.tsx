import type { GardenView } from '@candid-leaf/contract';
import type { ReactNode } from 'react';
import { NavLink } from 'react-router';
import { useLink } from '../lib/garden-context';
import { tabLook } from '../ui/tabs';
import { GardenPage } from './garden-page';

/** A page of the shed with its tabs. */
export function ShedPage({ children }: { children: (view: GardenView) => ReactNode }) {
  return (
    <GardenPage title={() => 'Shed'}>
      {(view) => (
        <>
          <Shelves />
          {children(view)}
        </>
      )}
    </GardenPage>
  );
}

function Shelves() {
  const link = useLink();
  return (
    <nav
      aria-label="Shelves"
      className="mb-4 flex gap-x-3 overflow-x-auto border-b border-line [scrollbar-width:none] sm:flex-wrap print:hidden"
    >
      <NavLink to={link('shed', {})} end className={tabLook}>
        Products<span className="max-sm:hidden">&nbsp;and doses</span>
      </NavLink>
      <NavLink to={link('varieties', {})} className={tabLook}>
        Varieties
      </NavLink>
      <NavLink to={link('sprayLog', {})} className={tabLook}>
        Sprays
      </NavLink>
      <NavLink to={link('soils', {})} className={tabLook}>
        Soil
      </NavLink>
      <NavLink to={link('stock', {})} className={tabLook}>
        Cloth and stakes
      </NavLink>
      <NavLink to={link('trials', {})} className={tabLook}>
        Trials
      </NavLink>
    </nav>
  );
}
