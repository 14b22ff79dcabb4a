import { WEEK_STARTS, type GardenInput } from '@candid-leaf/contract';
import { type DateForm, DATE_FORMS } from '@candid-leaf/core/units';
import type { UseFormRegister } from 'react-hook-form';
import { wordsOf } from '../../../lib/words';
import { SelectField } from '../../../ui/field';
import { FormCard } from '../../../ui/form-card';

const DATE_WORDS: Record<DateForm, string> = {
  'd MMMM': '9 July',
  'MMMM d': 'July 9',
  'yyyy-MM-dd': '2026-07-09',
};

/** How this gardener reads amounts and days. */
export function UnitsAndDates({ register }: { register: UseFormRegister<GardenInput> }) {
  return (
    <FormCard title="Units and dates">
      <SelectField
        label="Warmth"
        options={[
          ['C', '°C'],
          ['F', '°F'],
        ]}
        {...register('units.temperature')}
      />
      <SelectField
        label="Water"
        options={[
          ['L', 'litres'],
          ['gal-us', 'US gallons'],
          ['gal-imp', 'imperial gallons'],
        ]}
        {...register('units.volume')}
      />
      <SelectField
        label="Length and rain"
        options={[
          ['cm', 'cm and mm'],
          ['in', 'inches'],
        ]}
        {...register('units.length')}
      />
      <SelectField
        label="Weight"
        options={[
          ['g', 'grams'],
          ['oz', 'ounces'],
        ]}
        {...register('units.mass')}
      />
      <SelectField
        label="Area"
        options={[
          ['m2', 'm²'],
          ['ft2', 'ft²'],
        ]}
        {...register('units.area')}
      />
      <SelectField label="Dates" options={DATE_FORMS.map((f) => [f, DATE_WORDS[f]])} {...register('dateForm')} />
      <SelectField label="The week begins on" options={wordsOf(WEEK_STARTS)} {...register('weekStart')} />
    </FormCard>
  );
}
