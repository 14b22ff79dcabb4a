import { GardenInput, type GardenDto } from '@candid-leaf/contract';
import { USUAL_SCALE_STEP_G } from '@candid-leaf/core/units';
import { useState } from 'react';
import { Controller, FormProvider, useForm, type Control } from 'react-hook-form';
import { Button } from '../../../ui/button';
import { TextField } from '../../../ui/field';
import { FormSelect } from '../../../ui/select-field';
import { FormCard, RootFault } from '../../../ui/form-card';
import { applyFaults, emptyIsUnknown, resolverFor } from '../../../ui/form-faults';
import { MonthDayField } from '../../../ui/month-day-field';
import { useWrite } from '../../../ui/use-write';
import { saveGarden } from '../../../data/gardens';
import { OwnRules } from './own-rules';
import { UnitsAndDates } from './units-and-dates';
import { WhereItLies } from './where-it-lies';

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

interface Props {
  /** page of the settings; what is on the others stays as it is */
  part: 'garden' | 'units' | 'rules';
  garden: GardenDto;
  onKept: (g: GardenInput) => void;
}

/** A garden's settings, one page of them. */
export function GardenForm({ part, garden, onKept }: Props) {
  const save = useWrite(saveGarden, garden.id);
  const { today: _t, ...known } = garden;
  const form = useForm<GardenInput>({
    resolver: resolverFor(GardenInput),
    defaultValues: { ...known, units: { ...known.units, scaleStepG: known.units.scaleStepG ?? USUAL_SCALE_STEP_G } },
  });
  const { register, control, handleSubmit, setError, formState } = form;
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
    <FormProvider {...form}>
      <form
        noValidate
        onSubmit={(ev) => {
          setRefused(false);
          void submit(ev);
        }}
        className="flex flex-col gap-4"
      >
        {part === 'units' ? (
          <UnitsAndDates control={control} />
        ) : part === 'rules' ? (
          <OwnRules control={control} />
        ) : (
          <FormCard title="The garden">
            <TextField label="Name" className="sm:col-span-2" error={e.name?.message} {...register('name')} />
            <WhereItLies refused={refused} />
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
        )}
        <RootFault errors={e} />
        <Button type="submit" look="main" className="self-start" disabled={formState.isSubmitting}>
          Save
        </Button>
      </form>
    </FormProvider>
  );
}
