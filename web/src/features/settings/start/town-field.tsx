import type { TownDto } from '@candid-leaf/contract';
import { useQuery } from '@tanstack/react-query';
import clsx from 'clsx';
import { useCombobox } from 'downshift';
import { useDeferredValue, useState } from 'react';
import { inputLook } from '../../../ui/field';
import { townsQuery } from '../../../data/towns';

const countries = new Intl.DisplayNames(['en'], { type: 'region' });

const sameName = (a: string, b: string): boolean => a.localeCompare(b, 'en', { sensitivity: 'base' }) === 0;

/** Returns a town as people say it: "Winchester, Ohio, United States"; a region of the same name is left out. */
export const townInWords = ({ name, region, country }: TownDto): string =>
  [name, region && !sameName(region, name) ? region : null, countries.of(country) ?? country]
    .filter(Boolean)
    .join(', ');

/** Finds the nearest town by its first letters. */
export function TownField({ onChoose, error }: { onChoose: (town: TownDto) => void; error?: string | undefined }) {
  const [typed, setTyped] = useState('');
  const found = useQuery(townsQuery(useDeferredValue(typed.trim()))).data ?? [];
  const items = typed.trim().length < 2 ? [] : found;
  const box = useCombobox({
    items,
    itemToString: (t) => (t ? townInWords(t) : ''),
    onInputValueChange: ({ inputValue }) => setTyped(inputValue),
    onSelectedItemChange: ({ selectedItem }) => selectedItem && onChoose(selectedItem),
  });
  return (
    <div className="relative flex flex-col gap-1">
      <label {...box.getLabelProps()} className="font-semibold">
        Nearest town
      </label>
      <input
        {...box.getInputProps()}
        className={inputLook}
        placeholder="Type the first letters"
        autoComplete="off"
        aria-invalid={Boolean(error)}
      />
      <ul
        {...box.getMenuProps()}
        className={clsx(
          'absolute inset-x-0 top-full z-30 mt-1 overflow-hidden rounded-xl border border-line bg-card p-1 shadow-xl',
          !(box.isOpen && items.length > 0) && 'hidden',
        )}
      >
        {box.isOpen &&
          items.map((t, index) => (
            <li
              key={`${t.name} ${t.latitude} ${t.longitude}`}
              {...box.getItemProps({ item: t, index })}
              className={clsx(
                'flex min-h-11 cursor-pointer items-center rounded-lg px-3',
                box.highlightedIndex === index && 'bg-leafwash',
              )}
            >
              {townInWords(t)}
            </li>
          ))}
      </ul>
      {error ? (
        <p role="alert" className="text-ripe">
          {error}
        </p>
      ) : (
        <p className="text-sm text-soft">Towns: GeoNames, CC BY 4.0.</p>
      )}
    </div>
  );
}
