import { PlantingInput, type GardenView, type PlantingDto, type SeasonView } from '@candid-leaf/contract';
import { shieldsFrom } from '@candid-leaf/core/cultivars';
import {
  crowdingFaults,
  rotationInWords,
  rotationOf,
  seedsFor,
  shadeFaults,
  spacingOf,
} from '@candid-leaf/core/planning';
import { isPotted } from '@candid-leaf/core/records';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useForm } from 'react-hook-form';
import { v7 as uuid } from 'uuid';
import { useGarden } from '../../../lib/garden-context';
import { Button } from '../../../ui/button';
import { SelectField, TextField } from '../../../ui/field';
import { FormCard, RootFault } from '../../../ui/form-card';
import { applyFaults, emptyIsUnknown, resolverFor } from '../../../ui/form-faults';
import { MeasuredField } from '../../../ui/measured-input';
import { useSay } from '../../../ui/toast';
import { useWrite } from '../../../ui/use-write';
import { kindsQuery } from '../../kinds/queries';
import { savePlanting } from '../writes';
import { BedFromAbove } from './bed-from-above';

interface Props {
  planting: PlantingDto | null;
  year: number;
  view: GardenView;
  grounds: SeasonView['grounds'];
  onDone: () => void;
}

/** What is to grow where: held against the bed while it is written. */
export function PlantingForm({ planting, year, view, grounds, onDone }: Props) {
  const garden = useGarden();
  const say = useSay();
  const kinds = useQuery(kindsQuery(garden.id)).data ?? [];
  const save = useWrite(savePlanting, garden.id);
  const [id] = useState(() => planting?.id ?? uuid());
  const { register, control, watch, handleSubmit, setError, setValue, formState } = useForm<PlantingInput>({
    resolver: resolverFor(PlantingInput),
    defaultValues: planting
      ? planting
      : { id, year, placeId: view.places[0]?.place.id ?? '', crop: 'tomato', cultivarId: null, count: 3 },
  });
  const e = formState.errors;
  const [placeId, cultivarId, crop, count] = watch(['placeId', 'cultivarId', 'crop', 'count']);
  const place = view.places.find((p) => p.place.id === placeId)?.place;
  const own = kinds.filter((k) => k.crop === crop);
  const submit = handleSubmit(async (input) => {
    try {
      await save.send({ planting: input });
      say('Planned.');
      onDone();
    } catch (error) {
      applyFaults(error, setError);
    }
  });
  return (
    <form noValidate onSubmit={(ev) => void submit(ev)} className="flex flex-col gap-3" aria-label="A planting">
      <FormCard title={planting ? 'Change a planting' : 'A planting'}>
        <SelectField
          label="Where"
          options={view.places.map((p) => [p.place.id, p.place.name])}
          error={e.placeId?.message}
          {...register('placeId')}
        />
        <SelectField
          label="Crop"
          options={[
            ['tomato', 'Tomato'],
            ['pepper', 'Pepper'],
          ]}
          error={e.crop?.message}
          {...register('crop', { onChange: () => setValue('cultivarId', null) })}
        />
        <SelectField
          label="Kind"
          options={[
            ['', own.length > 0 ? 'not decided' : 'none on the shelf yet'],
            ...own.map((k) => [k.id, k.name] as const),
          ]}
          error={e.cultivarId?.message}
          {...register('cultivarId', emptyIsUnknown)}
        />
        <MeasuredField control={control} name="count" label="How many" quantity="count" />
        {planting && (
          <>
            <TextField label="Sown on" type="date" error={e.sownOn?.message} {...register('sownOn', emptyIsUnknown)} />
            <MeasuredField control={control} name="cells" label="Cells sown" quantity="count" />
            <MeasuredField control={control} name="lost" label="Of them lost" quantity="count" />
            <TextField
              label="Outside by day since"
              type="date"
              error={e.hardenFrom?.message}
              {...register('hardenFrom', emptyIsUnknown)}
            />
          </>
        )}
      </FormCard>
      {place && (
        <div role="status" aria-label="What speaks for and against it" className="text-soft">
          <p>
            {rotationInWords(
              rotationOf({
                place: { kind: place.kind, history: grounds[place.id] ?? [] },
                year,
                shields: shieldsFrom(kinds.find((k) => k.id === cultivarId)?.letters, crop),
              }),
              place,
              crop,
            )}
          </p>
          {shadeFaults(place.sunHours, crop, '').map((x) => (
            <p key={x.reason} className="font-semibold text-ripe">
              {x.reason}.
            </p>
          ))}
          {count > 0 && (
            <>
              {!isPotted(place) &&
                place.lengthM &&
                place.widthM &&
                crowdingFaults({ lengthM: place.lengthM, widthM: place.widthM }, count, spacingOf(crop), '').map(
                  (x) => (
                    <p key={x.reason} className="font-semibold text-ripe">
                      {x.reason}.
                    </p>
                  ),
                )}
              <p>
                {seedsFor(count).cells} cells, {seedsFor(count).seeds} seeds.
              </p>
              <BedFromAbove place={place} count={count} crop={crop} />
            </>
          )}
        </div>
      )}
      <RootFault errors={e} />
      <div className="flex flex-wrap gap-2">
        <Button look="main" type="submit" disabled={formState.isSubmitting}>
          Keep
        </Button>
        <Button look="quiet" onClick={onDone}>
          Leave it
        </Button>
      </div>
    </form>
  );
}
