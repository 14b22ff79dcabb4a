import type { PlaceOnView } from '@candid-leaf/contract';
import { CalendarDays, CopyPlus, Footprints, Pencil, Plus, QrCode, Shovel } from 'lucide-react';
import { useLink, useMay } from '../../../lib/garden-context';
import { Menu, MenuLink } from '../../../ui/menu';

/** The pages of a bed or pot. */
export function PlaceMenu({ view: { place, plants } }: { view: PlaceOnView }) {
  const link = useLink();
  const may = useMay();
  const at = { placeId: place.id };
  return (
    <Menu label={`More about ${place.name}`}>
      {plants.length > 0 && (
        <MenuLink icon={CalendarDays} to={link('placePlan', at)}>
          Watering plan
        </MenuLink>
      )}
      {plants.length > 0 && may('record') && (
        <MenuLink icon={Footprints} to={link('placeWalk', at)}>
          Walk along it
        </MenuLink>
      )}
      {may('keep') && (
        <MenuLink icon={Plus} to={link('newPlant', at)}>
          Add plants
        </MenuLink>
      )}
      <MenuLink icon={Shovel} to={link('placeSoil', at)}>
        Soil
      </MenuLink>
      <MenuLink icon={QrCode} to={link('labels', {}, { place: place.id })}>
        Labels to print
      </MenuLink>
      {may('keep') && (
        <MenuLink icon={Pencil} to={link('place', at)}>
          Edit
        </MenuLink>
      )}
      {may('keep') && (
        <MenuLink icon={CopyPlus} to={link('newPlace', {}, { copy: place.id })}>
          Copy
        </MenuLink>
      )}
    </Menu>
  );
}
