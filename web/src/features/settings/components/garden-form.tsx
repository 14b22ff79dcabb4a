import { GardenInput, type GardenDto } from '@candid-leaf/contract';
import { useState } from 'react';
import { Controller, useForm, type Control } from 'react-hook-form';
import { Button } from '../../../ui/button';
import { TextField } from '../../../ui/field';
import { FormSelect } from '../../../ui/select-field';
import { FormCard, RootFault } from '../../../ui/form-card';
import { applyFaults, emptyIsUnknown, resolverFor } from '../../../ui/form-faults';
import { MonthDayField } from '../../../ui/month-day-field';
import { Fold } from '../../../ui/fold';
import { Unfold } from '../../../ui/unfold';
import { MeasuredField } from '../../../ui/measured-field';
import { useWrite } from '../../../ui/use-write';
import { saveGarden } from '../../../data/gardens';
import { OwnRules } from './own-rules';
import { UnitsAndDates } from './units-and-dates';

/** A frost date, or none, from a calendar. */
function FrostDay({
  control,
  name,
  label,
  garden,
}: {
  control: Control<GardenInput>;
  name: 'lastFrost' | 'firstFrost';
  label: string;
  garden: GardenDto;
}) {
  return (
    <Controller
      control={control}
      name={name}
      render={({ field, fieldState }) => (
        <MonthDayField
          label={label}
          value={field.value ?? null}
          onChange={field.onChange}
          none="no frost here"
          dateForm={garden.dateForm}
          weekStart={garden.weekStart}
          error={fieldState.error?.message}
        />
      )}
    />
  );
}

/** "45.6° N, 8.9° E", or south and west. */
const whereOf = ({ latitude, longitude }: GardenDto): string =>
  `${Math.abs(latitude)}° ${latitude < 0 ? 'S' : 'N'}, ${Math.abs(longitude)}° ${longitude < 0 ? 'W' : 'E'}`;

/** A garden's settings. */
export function GardenForm({ garden, onKept }: { garden: GardenDto; onKept: (g: GardenInput) => void }) {
  const save = useWrite(saveGarden, garden.id);
  const { today: _t, ...known } = garden;
  const { register, control, handleSubmit, setError, formState } = useForm<GardenInput>({
    resolver: resolverFor(GardenInput),
    defaultValues: known,
  });
  const e = formState.errors;
  // a field that was refused must not hide in a closed group
  const [refused, setRefused] = useState(false);
  const submit = handleSubmit(
    async (input) => {
      try {
        await save.send({ garden: input });
        onKept(input);
      } catch (error) {
        applyFaults(error, setError);
        setRefused(true);
      }
    },
    () => setRefused(true),
  );
  return (
    <form
      noValidate
      onSubmit={(ev) => {
        setRefused(false);
        void submit(ev);
      }}
      className="flex flex-col gap-4"
    >
      <Fold title="The garden" open={refused}>
        <FormCard title="The garden">
          <TextField label="Name" className="sm:col-span-2" error={e.name?.message} {...register('name')} />
          <Unfold className="sm:col-span-2" look="act" open={refused} title={`Where it lies: ${whereOf(garden)}`}>
            {() => (
              <div className="grid gap-4 sm:grid-cols-2">
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
                <MeasuredField
                  control={control}
                  name="elevationM"
                  label="Elevation"
                  quantity="elevationMetres"
                  required
                />
                <TextField label="Time zone" error={e.timeZone?.message} {...register('timeZone')} />
              </div>
            )}
          </Unfold>
          <FrostDay control={control} name="lastFrost" label="Usual last frost" garden={garden} />
          <FrostDay control={control} name="firstFrost" label="Usual first frost" garden={garden} />
          <FormSelect
            control={control}
            label="Growing season"
            options={[
              ['', 'the warm part of the year'],
              ['mild-winter', 'the mild winter, on purpose'],
            ]}
            name="seasonMode"
            {...emptyIsUnknown}
          />
        </FormCard>
      </Fold>
      <Fold everywhere title="Units and dates">
        <UnitsAndDates control={control} />
      </Fold>
      <Fold everywhere title="Your growing rules">
        <OwnRules control={control} />
      </Fold>
      <RootFault errors={e} />
      <Button type="submit" look="main" className="self-start" disabled={formState.isSubmitting}>
        Save
      </Button>
    </form>
  );
}
