import { WEEK_STARTS, type GardenInput } from '@candid-leaf/contract';
import { type DateForm, DATE_FORMS, SCALE_STEPS_G } from '@candid-leaf/core/units';
import type { Control } from 'react-hook-form';
import { wordsOf } from '../../../lib/words';
import { emptyIsUnknown } from '../../../ui/form-faults';
import { FormSelect } from '../../../ui/select-field';
import { FormCard } from '../../../ui/form-card';

const DATE_WORDS: Record<DateForm, string> = {
  'd MMMM': '9 July',
  'MMMM d': 'July 9',
  'yyyy-MM-dd': '2026-07-09',
};

/** Units and date formats. */
export function UnitsAndDates({ control }: { control: Control<GardenInput> }) {
  return (
    <FormCard title="Units and dates">
      <FormSelect
        control={control}
        label="Temperature"
        options={[
          ['C', '°C'],
          ['F', '°F'],
        ]}
        name="units.temperature"
      />
      <FormSelect
        control={control}
        label="Water"
        options={[
          ['L', 'litres'],
          ['gal-us', 'US gallons'],
          ['gal-imp', 'imperial gallons'],
        ]}
        name="units.volume"
      />
      <FormSelect
        control={control}
        label="Length and rain"
        options={[
          ['cm', 'cm and mm'],
          ['in', 'inches'],
        ]}
        name="units.length"
      />
      <FormSelect
        control={control}
        label="Weight"
        options={[
          ['g', 'grams'],
          ['oz', 'ounces'],
        ]}
        name="units.mass"
      />
      <FormSelect
        control={control}
        label="Area"
        options={[
          ['m2', 'm²'],
          ['ft2', 'ft²'],
        ]}
        name="units.area"
      />
      <FormSelect
        control={control}
        label="Scale shows"
        options={SCALE_STEPS_G.map((g) => [String(g), g === 0 ? 'no scale, only spoons' : `steps of ${g} g`])}
        name="units.scaleStepG"
        setValueAs={Number}
      />
      <FormSelect
        control={control}
        label="Spoons"
        {...emptyIsUnknown}
        options={[
          ['', 'usual for these units'],
          ['us', 'US: 4.9 and 14.8 mL'],
          ['metric', 'metric: 5 and 15 mL'],
        ]}
        name="units.spoons"
      />
      <FormSelect control={control} label="Dates" options={DATE_FORMS.map((f) => [f, DATE_WORDS[f]])} name="dateForm" />
      <FormSelect control={control} label="First day of the week" options={wordsOf(WEEK_STARTS)} name="weekStart" />
    </FormCard>
  );
}
