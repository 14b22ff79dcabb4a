import type { GardenView } from '@candid-leaf/contract';
import type { ReactNode } from 'react';
import { NavLink } from 'react-router';
import { useLink } from '../lib/garden-context';
import { tabLook } from '../ui/tabs';
import { GardenPage } from './garden-page';

/** A page of the handbook with its tabs. */
export function HandbookPage({ children }: { children: (view: GardenView) => ReactNode }) {
  return (
    <GardenPage title={() => 'Handbook'}>
      {(view) => (
        <>
          <Chapters />
          {children(view)}
        </>
      )}
    </GardenPage>
  );
}

function Chapters() {
  const link = useLink();
  return (
    <nav
      aria-label="Chapters"
      className="mb-4 flex gap-x-3 overflow-x-auto border-b border-line [scrollbar-width:none] print:hidden"
    >
      <NavLink to={link('handbook', {})} end className={tabLook}>
        Problems
      </NavLink>
      <NavLink to={link('signs', {})} className={tabLook}>
        Drawings
      </NavLink>
      <NavLink to={link('claims', {})} className={tabLook}>
        Claims
      </NavLink>
      <NavLink to={link('practice', {})} className={tabLook}>
        Practice
      </NavLink>
    </nav>
  );
}
