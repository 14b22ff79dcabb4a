import { DATE_FORMS, GardenInput, WEEK_STARTS, type GardenDto } from '@candid-leaf/contract';
import { METRIC } from '@candid-leaf/core/units';
import { useState } from 'react';
import { useForm } from 'react-hook-form';
import { v7 as uuid } from 'uuid';
import { useSaveGarden } from '../../data/queries';
import { Button } from '../../parts/button';
import { SelectField, TextField } from '../../parts/field';
import { applyFaults, emptyIsUnknown, resolverFor } from '../../parts/form-faults';
import { choices, FormCard } from '../edit/form-card';

const DATE_WORDS: Record<(typeof DATE_FORMS)[number], string> = {
  'd MMMM': '9 July',
  'MMMM d': 'July 9',
  'yyyy-MM-dd': '2026-07-09',
};

/** A garden's settings; also the form in which a new one is made. */
export function GardenForm({ garden, onKept }: { garden: GardenDto | null; onKept: (g: GardenInput) => void }) {
  const [id] = useState(() => garden?.id ?? uuid());
  const save = useSaveGarden(id);
  const { today: _t, ...known } = garden ?? ({} as GardenDto);
  const { register, handleSubmit, setError, formState } = useForm<GardenInput>({
    resolver: resolverFor(GardenInput),
    defaultValues: garden
      ? known
      : {
          id,
          name: '',
          timeZone: Intl.DateTimeFormat().resolvedOptions().timeZone,
          units: METRIC,
          weekStart: 'monday',
          dateForm: 'd MMMM',
        },
  });
  const e = formState.errors;
  const number = { setValueAs: (v: unknown) => (v === '' ? undefined : Number(v)) };
  const submit = handleSubmit(async (input) => {
    try {
      await save.mutateAsync(input);
      onKept(input);
    } catch (error) {
      applyFaults(error, setError);
    }
  });
  return (
    <form noValidate onSubmit={(ev) => void submit(ev)} className="flex flex-col gap-4">
      <FormCard title="The garden">
        <TextField label="Name" className="sm:col-span-2" error={e.name?.message} {...register('name')} />
        <TextField
          label="Latitude (°)"
          type="number"
          step="any"
          hint="South is negative"
          error={e.latitude?.message}
          {...register('latitude', number)}
        />
        <TextField
          label="Longitude (°)"
          type="number"
          step="any"
          hint="West is negative"
          error={e.longitude?.message}
          {...register('longitude', number)}
        />
        <TextField
          label="Elevation (m)"
          type="number"
          step="any"
          error={e.elevationM?.message}
          {...register('elevationM', number)}
        />
        <TextField label="Time zone" error={e.timeZone?.message} {...register('timeZone')} />
        <TextField
          label="Usual last frost"
          placeholder="MM-DD"
          hint="month-day, empty if there is none"
          error={e.lastFrost?.message}
          {...register('lastFrost', emptyIsUnknown)}
        />
        <TextField
          label="Usual first frost"
          placeholder="MM-DD"
          hint="month-day, empty if there is none"
          error={e.firstFrost?.message}
          {...register('firstFrost', emptyIsUnknown)}
        />
      </FormCard>
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
        <SelectField label="The week begins on" options={choices(WEEK_STARTS, false)} {...register('weekStart')} />
      </FormCard>
      {e.root && (
        <p role="alert" className="text-ripe">
          {e.root.message}
        </p>
      )}
      <Button type="submit" look="main" className="self-start" disabled={formState.isSubmitting}>
        Keep
      </Button>
    </form>
  );
}
