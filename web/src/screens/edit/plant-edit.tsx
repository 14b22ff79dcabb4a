import { PlantInput, type GardenView, type PlantDto } from '@candid-leaf/contract';
import { CROPS, GROWTH_HABITS, STAGES, typesOf } from '@candid-leaf/core/records';
import { useState } from 'react';
import { useForm } from 'react-hook-form';
import { Link, useNavigate, useParams } from 'react-router';
import { v7 as uuid } from 'uuid';
import { asInput } from '../../data/as-input';
import { useGarden } from '../../data/garden-context';
import { useSavePlant } from '../../data/queries';
import { Button, buttonLook } from '../../parts/button';
import { MeasureField, SelectField, TextField } from '../../parts/field';
import { applyFaults, emptyIsUnknown, resolverFor } from '../../parts/form-faults';
import { Empty } from '../../parts/states';
import { useSay } from '../../parts/toast';
import { GardenPage } from '../../parts/garden-page';
import { choices, FormCard } from './form-card';
import { RetireButton } from './retire-button';

export function PlantEdit() {
  const { plantId, placeId } = useParams();
  const here = (v: GardenView) => v.places.flatMap((p) => p.plants).find((p) => p.plant.id === plantId)?.plant;
  return (
    <GardenPage title={(v) => here(v)?.name ?? 'A new plant'}>
      {(v) =>
        plantId && !here(v) ? (
          <Empty title="This plant is not in the garden any more." />
        ) : (
          <PlantForm
            plant={here(v) ?? null}
            placeId={placeId ?? null}
            places={v.places.map((p) => [p.place.id, p.place.name])}
          />
        )
      }
    </GardenPage>
  );
}

function PlantForm({
  plant,
  placeId,
  places,
}: {
  plant: PlantDto | null;
  placeId: string | null;
  places: [string, string][];
}) {
  const garden = useGarden();
  const navigate = useNavigate();
  const say = useSay();
  const save = useSavePlant(garden.id);
  const [id] = useState(() => plant?.id ?? uuid());
  const { register, control, handleSubmit, setError, setValue, watch, formState } = useForm<PlantInput>({
    resolver: resolverFor(PlantInput),
    defaultValues: plant
      ? asInput(plant)
      : {
          id,
          placeId: placeId ?? places[0]?.[0] ?? '',
          name: '',
          crop: 'tomato',
          stage: 'establishing',
          transplantedOn: garden.today,
        },
  });
  const crop = watch('crop');
  const e = formState.errors;
  const cm = { symbol: garden.units.length, per: CM_PER[garden.units.length] / 100 };
  const back = plant ? `/gardens/${garden.id}/plants/${plant.id}` : `/gardens/${garden.id}`;
  const submit = handleSubmit(async (input) => {
    try {
      await save.mutateAsync(input);
      say(`${input.name}: kept.`);
      await navigate(back);
    } catch (error) {
      applyFaults(error, setError);
    }
  });
  return (
    <form noValidate onSubmit={(ev) => void submit(ev)} className="flex max-w-3xl flex-col gap-4">
      <FormCard title="What it is">
        <TextField label="Name" error={e.name?.message} {...register('name')} />
        <SelectField label="Stands in" options={places} error={e.placeId?.message} {...register('placeId')} />
        <SelectField
          label="Crop"
          options={choices(CROPS, false)}
          error={e.crop?.message}
          {...register('crop', {
            onChange: () => {
              setValue('type', null);
              setValue('habit', null);
            },
          })}
        />
        <SelectField
          label="Type"
          options={choices(typesOf(crop))}
          error={e.type?.message}
          {...register('type', emptyIsUnknown)}
        />
        {crop === 'tomato' && (
          <SelectField
            label="Habit"
            options={choices(GROWTH_HABITS)}
            error={e.habit?.message}
            {...register('habit', emptyIsUnknown)}
          />
        )}
      </FormCard>
      <FormCard title="How it stands">
        <TextField
          label="Planted out"
          type="date"
          max={garden.today}
          error={e.transplantedOn?.message}
          {...register('transplantedOn', emptyIsUnknown)}
        />
        <SelectField
          label="Stage"
          options={choices(STAGES)}
          error={e.stage?.message}
          {...register('stage', emptyIsUnknown)}
        />
        <MeasureField control={control} name="heightM" label="Height" measure={cm} />
        <MeasureField control={control} name="spacingM" label="Distance to the next" measure={cm} />
      </FormCard>
      {e.root && (
        <p role="alert" className="text-ripe">
          {e.root.message}
        </p>
      )}
      <div className="flex flex-wrap gap-2">
        <Button type="submit" look="main" disabled={formState.isSubmitting}>
          Keep
        </Button>
        <Link to={back} className={buttonLook('quiet')}>
          Leave it as it was
        </Link>
        {plant && <RetireButton what="plants" of={plant} />}
      </div>
    </form>
  );
}
