import { PlantInput, type GardenView, type PlantDto } from '@candid-leaf/contract';
import { CROPS, GROWTH_HABITS, STAGES, typesOf } from '@candid-leaf/core/records';
import { useState } from 'react';
import { useForm } from 'react-hook-form';
import { Link, useNavigate, useParams, useSearchParams } from 'react-router';
import { v7 as uuid } from 'uuid';
import { asInput } from '../../../lib/as-input';
import { useGarden, useLink } from '../../../lib/garden-context';
import { wordsOf, wordsOrUnknown } from '../../../lib/words';
import { FormDayField } from '../../../ui/day-field';
import { Button, buttonLook } from '../../../ui/button';
import { SelectField, TextField } from '../../../ui/field';
import { FormCard, RootFault } from '../../../ui/form-card';
import { applyFaults, emptyIsUnknown, resolverFor } from '../../../ui/form-faults';
import { MeasuredField } from '../../../ui/measured-field';
import { Empty } from '../../../ui/states';
import { useSay } from '../../../ui/toast';
import { useWrite } from '../../../ui/use-write';
import { asFlag } from '../../../ui/yes-no';
import { GardenPage } from '../../garden/components/garden-page';
import { KindField } from '../../kinds/components/kind-field';
import { EndPlant } from '../components/end-plant';
import { savePlant } from '../writes';

export function PlantEdit() {
  const { plantId, placeId } = useParams();
  const here = (v: GardenView) => v.places.flatMap((p) => p.plants).find((p) => p.plant.id === plantId)?.plant;
  const [params] = useSearchParams();
  return (
    <GardenPage needs="keep" title={(v) => here(v)?.name ?? 'A new plant'}>
      {(v) =>
        plantId && !here(v) ? (
          <Empty title="This plant is not in the garden any more." />
        ) : (
          <PlantForm
            plant={here(v) ?? null}
            mother={v.places.flatMap((p) => p.plants).find((p) => p.plant.id === params.get('from'))?.plant ?? null}
            placeId={placeId ?? null}
            places={v.places.map((p) => [p.place.id, p.place.name])}
          />
        )
      }
    </GardenPage>
  );
}

/** What a rooted sucker has of its mother. */
const sameKind = (m: PlantDto) => ({
  name: `${m.name}, from a sucker`,
  crop: m.crop,
  habit: m.habit ?? null,
  type: m.type ?? null,
  resistantTo: m.resistantTo ?? [],
  heightM: 0.1,
});

interface Props {
  plant: PlantDto | null;
  /** what it was cut from: it is of the same kind */
  mother: PlantDto | null;
  placeId: string | null;
  places: [id: string, name: string][];
}

function PlantForm({ plant, mother, placeId, places }: Props) {
  const garden = useGarden();
  const link = useLink();
  const navigate = useNavigate();
  const say = useSay();
  const save = useWrite(savePlant, garden.id);
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
          ...(mother ? sameKind(mother) : {}),
        },
  });
  const crop = watch('crop');
  const e = formState.errors;
  const back = plant ? link('plant', { plantId: plant.id }) : link('garden', {});
  const submit = handleSubmit(async (input) => {
    try {
      await save.send({ plant: input });
      say(`${input.name}: kept.`);
      await navigate(back);
    } catch (error) {
      applyFaults(error, setError);
    }
  });
  const forgetKind = () => {
    setValue('type', null);
    setValue('habit', null);
    setValue('cultivarId', null);
  };
  return (
    <form noValidate onSubmit={(ev) => void submit(ev)} className="flex max-w-3xl flex-col gap-4">
      <FormCard title="What it is">
        <TextField label="Name" error={e.name?.message} {...register('name')} />
        <SelectField label="Stands in" options={places} error={e.placeId?.message} {...register('placeId')} />
        <SelectField
          label="Crop"
          options={wordsOf(CROPS)}
          error={e.crop?.message}
          {...register('crop', { onChange: forgetKind })}
        />
        <SelectField
          label="Type"
          options={wordsOrUnknown(typesOf(crop))}
          error={e.type?.message}
          {...register('type', emptyIsUnknown)}
        />
        <KindField crop={crop} error={e.cultivarId?.message} {...register('cultivarId', emptyIsUnknown)} />
        {watch('cultivarId') && (
          <SelectField
            label="Sure of the kind?"
            options={[
              ['', 'yes'],
              ['true', 'no, it may be another'],
            ]}
            {...register('kindUnsure', asFlag)}
          />
        )}
        {crop === 'tomato' && (
          <SelectField
            label="Habit"
            options={wordsOrUnknown(GROWTH_HABITS)}
            error={e.habit?.message}
            {...register('habit', emptyIsUnknown)}
          />
        )}
      </FormCard>
      <FormCard title="How it stands">
        <FormDayField control={control} name="transplantedOn" label="Planted out" max={garden.today} none="not known" />
        <SelectField
          label="Stage"
          options={wordsOrUnknown(STAGES)}
          error={e.stage?.message}
          {...register('stage', emptyIsUnknown)}
        />
        <MeasuredField control={control} name="heightM" label="Height" quantity="heightMetres" />
        <MeasuredField control={control} name="spacingM" label="Distance to the next" quantity="heightMetres" />
        <SelectField
          label="Worth to you"
          hint="Decides who is covered first when there is not enough for all."
          options={[
            ['', 'as the others'],
            ['3', 'much'],
            ['1', 'little'],
          ]}
          error={e.worth?.message}
          {...register('worth', { setValueAs: (v: unknown) => (v === '' || v == null ? null : Number(v)) })}
        />
      </FormCard>
      <RootFault errors={e} />
      <div className="flex flex-wrap gap-2">
        <Button type="submit" look="main" disabled={formState.isSubmitting}>
          Keep
        </Button>
        <Link to={back} className={buttonLook('quiet')}>
          Leave it as it was
        </Link>
      </div>
      {plant && <EndPlant plant={plant} />}
    </form>
  );
}
