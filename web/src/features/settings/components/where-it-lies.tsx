import type { GardenInput } from '@candid-leaf/contract';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useFormContext, useWatch } from 'react-hook-form';
import { townNearQuery } from '../../../data/towns';
import { Button } from '../../../ui/button';
import { TextField } from '../../../ui/field';
import { MeasuredField } from '../../../ui/measured-field';
import { Unfold } from '../../../ui/unfold';
import { TownField, townInWords } from '../start/town-field';

/** The garden's town; another one by its name, or by coordinates. */
export function WhereItLies({ refused }: { refused: boolean }) {
  const { control, register, setValue, formState } = useFormContext<GardenInput>();
  const [latitude, longitude] = useWatch({ control, name: ['latitude', 'longitude'] });
  const near = useQuery(townNearQuery(Number(latitude), Number(longitude))).data;
  const [moving, setMoving] = useState(false);
  return (
    <div className="sm:col-span-2">
      <div className="flex flex-wrap items-center justify-between gap-x-3">
        <p>
          <span className="font-semibold">Location:</span> {near ? `near ${townInWords(near)}` : 'by coordinates'}
        </p>
        {!moving && (
          <Button look="quiet" className="-mr-3" onClick={() => setMoving(true)}>
            Change the town
          </Button>
        )}
      </div>
      {moving && (
        <TownField
          onChoose={(town) => {
            setValue('latitude', town.latitude, { shouldDirty: true });
            setValue('longitude', town.longitude, { shouldDirty: true });
            setValue('timeZone', town.timeZone, { shouldDirty: true });
            setMoving(false);
          }}
        />
      )}
      <Unfold look="act" open={refused} title="By coordinates">
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
            <MeasuredField control={control} name="elevationM" label="Elevation" quantity="elevationMetres" required />
            <TextField label="Time zone" error={formState.errors.timeZone?.message} {...register('timeZone')} />
          </div>
        )}
      </Unfold>
    </div>
  );
}
