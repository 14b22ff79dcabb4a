import { NavLink } from 'react-router';
import { useLink } from '../lib/garden-context';
import { tabLook } from '../ui/tabs';

/** Tabs of one bed or pot. */
export function PlaceTabs({ placeId }: { placeId: string }) {
  const link = useLink();
  const at = { placeId };
  return (
    <nav
      aria-label="This bed or pot"
      className="mb-4 flex gap-x-3 overflow-x-auto border-b border-line [scrollbar-width:none] sm:flex-wrap print:hidden"
    >
      <NavLink to={link('placePlan', at)} className={tabLook}>
        Water
      </NavLink>
      <NavLink to={link('placeSoil', at)} className={tabLook}>
        Soil
      </NavLink>
    </nav>
  );
}
