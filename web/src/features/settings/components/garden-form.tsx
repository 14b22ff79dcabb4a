import { GardenInput, type GardenDto } from '@candid-leaf/contract';
import { METRIC } from '@candid-leaf/core/units';
import { useState } from 'react';
import { useForm } from 'react-hook-form';
import { v7 as uuid } from 'uuid';
import { Button } from '../../../ui/button';
import { SelectField, TextField } from '../../../ui/field';
import { FormCard, RootFault } from '../../../ui/form-card';
import { applyFaults, emptyIsUnknown, resolverFor } from '../../../ui/form-faults';
import { MeasuredField } from '../../../ui/measured-field';
import { useWrite } from '../../../ui/use-write';
import { saveGarden } from '../../garden/writes';
import { OwnRules } from './own-rules';
import { UnitsAndDates } from './units-and-dates';

/** A garden's settings; also the form in which a new one is made. */
export function GardenForm({ garden, onKept }: { garden: GardenDto | null; onKept: (g: GardenInput) => void }) {
  const [id] = useState(() => garden?.id ?? uuid());
  const save = useWrite(saveGarden, id);
  const { today: _t, ...known } = garden ?? ({} as GardenDto);
  const { register, control, handleSubmit, setError, formState } = useForm<GardenInput>({
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
  const submit = handleSubmit(async (input) => {
    try {
      await save.send({ garden: input });
      onKept(input);
    } catch (error) {
      applyFaults(error, setError);
    }
  });
  return (
    <form noValidate onSubmit={(ev) => void submit(ev)} className="flex flex-col gap-4">
      <FormCard title="The garden">
        <TextField label="Name" className="sm:col-span-2" error={e.name?.message} {...register('name')} />
        <MeasuredField
          control={control}
          name="latitude"
          label="Latitude"
          quantity="degrees"
          hint="South is negative"
          required
        />
        <MeasuredField
          control={control}
          name="longitude"
          label="Longitude"
          quantity="degrees"
          hint="West is negative"
          required
        />
        <MeasuredField control={control} name="elevationM" label="Elevation" quantity="elevationMetres" required />
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
        <SelectField
          label="Grown in"
          options={[
            ['', 'the warm part of the year'],
            ['mild-winter', 'the mild winter, on purpose'],
          ]}
          {...register('seasonMode', emptyIsUnknown)}
        />
      </FormCard>
      <UnitsAndDates register={register} />
      <OwnRules register={register} />
      <RootFault errors={e} />
      <Button type="submit" look="main" className="self-start" disabled={formState.isSubmitting}>
        Keep
      </Button>
    </form>
  );
}
