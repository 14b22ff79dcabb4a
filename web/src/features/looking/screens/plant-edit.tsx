import { PlantInput, type GardenView, type GrowthDto, type PlantDto } from '@candid-leaf/contract';
import { STARTS } from '@candid-leaf/core/growth';
import { CROPS, GROWTH_HABITS, STAGES, typesOf } from '@candid-leaf/core/records';
import { useState } from 'react';
import { FormProvider, useForm } from 'react-hook-form';
import { useParams, useSearchParams } from 'react-router';
import { v7 as uuid } from 'uuid';
import { asInput } from '../../../lib/as-input';
import { useFormat, useGarden, useLink } from '../../../lib/garden-context';
import { wordsOf, wordsOrUnknown } from '../../../lib/words';
import { FormCard, FormCards } from '../../../ui/form-card';
import { Panel } from '../../../ui/panel';
import { PlantDrawing } from '../../../signs/plant/plant-drawing';
import { applyFaults, resolverFor } from '../../../ui/form-faults';
import { MeasuredInput } from '../../../ui/measured-input';
import { Empty } from '../../../ui/states';
import { useSay } from '../../../ui/toast';
import { useWrite } from '../../../ui/use-write';
import { asFlag } from '../../../ui/yes-no';
import { GardenPage } from '../../../frame/garden-page';
import { VarietyField } from '../components/variety-field';
import { EndPlant } from '../components/end-plant';
import { CROP_WORDS, numbered, plantNames, withoutNumber } from '../../../lib/plant-names';
import { fieldOfOne, useSavePlants } from '../../../frame/acts/use-save-plants';
import { savePlant } from '../../../data/plants';
import { saveRecord } from '../../../data/records';
import { useWayOn } from '../../../ui/use-way-on';
import { fieldsOf, FormEnd } from '../../../ui/form-kit';

const F = fieldsOf<PlantInput>();

export function PlantEdit() {
  const { plantId, placeId } = useParams();
  const onView = (v: GardenView, id: string | null | undefined) =>
    v.places.flatMap((p) => p.plants).find((p) => p.plant.id === id) ?? null;
  const find = (v: GardenView, id: string | null | undefined) => onView(v, id)?.plant ?? null;
  const here = (v: GardenView) => find(v, plantId);
  const [params] = useSearchParams();
  return (
    <GardenPage needs="keep" title={(v) => here(v)?.name ?? 'New plant'}>
      {(v) =>
        plantId && !here(v) ? (
          <Empty title="This plant is no longer in the garden." />
        ) : (
          <PlantForm
            plant={here(v)}
            growth={onView(v, plantId)?.growth ?? null}
            copied={find(v, params.get('copy'))}
            taken={plantNames(v)}
            placeId={placeId ?? null}
            places={v.places.map((p) => [p.place.id, p.place.name])}
          />
        )
      }
    </GardenPage>
  );
}

interface Props {
  plant: PlantDto | null;
  growth: GrowthDto | null;
  /** the plant to copy */
  copied: PlantDto | null;
  /** names already in use */
  taken: readonly string[];
  placeId: string | null;
  places: [id: string, name: string][];
}

/** Copies a plant without its own history. */
function alike(other: PlantDto): Omit<PlantInput, 'id' | 'name' | 'placeId'> {
  const { id: _id, version: _version, name: _name, placeId: _place, ...rest } = asInput(other);
  return rest;
}

/** Most plants created at once. */
const MOST = 40;
const fits = (count: number | null): count is number => Number.isInteger(count) && count! >= 1 && count! <= MOST;

function PlantForm({ plant, growth, copied, taken, placeId, places }: Props) {
  const garden = useGarden();
  const format = useFormat();
  const link = useLink();
  const goOn = useWayOn();
  const say = useSay();
  const save = useWrite(savePlant, garden.id);
  const note = useWrite(saveRecord, garden.id);
  const saveSeveral = useSavePlants();
  const [id] = useState(() => plant?.id ?? uuid());
  const [noteId] = useState(() => uuid());
  const [count, setCount] = useState<number | null>(1);
  const many = plant || !fits(count) ? 1 : count;
  /** A single plant keeps its name; several, or unnamed ones, are numbered. */
  const called = ({ name, crop }: PlantInput): string[] =>
    many === 1 && name ? [name] : numbered(withoutNumber(name) || CROP_WORDS[crop], many, taken);
  const form = useForm<PlantInput>({
    resolver: resolverFor(PlantInput, (p) => (plant ? p : { ...p, name: p.name || called(p)[0]! })),
    // what is chosen here is seen today; left empty, the estimate goes on
    defaultValues: plant
      ? { ...asInput(plant), stage: null, heightM: null }
      : {
          id,
          placeId: placeId ?? places[0]?.[0] ?? '',
          name: '',
          crop: 'tomato',
          transplantedOn: garden.today,
          ...(copied ? { ...alike(copied), name: numbered(withoutNumber(copied.name), 1, taken)[0]! } : {}),
        },
  });
  const { control, handleSubmit, setError, setValue, watch } = form;
  const crop = watch('crop');
  const back = plant ? link('plant', { plantId: plant.id }) : link('garden', {});
  const submit = handleSubmit(async (input) => {
    if (!plant && !fits(count)) {
      setError('root', { message: `Choose 1 to ${MOST} plants.` });
      return;
    }
    try {
      const names = called(input);
      if (plant) {
        const { stage, heightM } = input;
        await save.send({
          plant: { ...input, name: names[0]!, stage: plant.stage ?? null, heightM: plant.heightM ?? null },
        });
        if (stage || heightM != null)
          await note.send({
            record: {
              id: noteId,
              type: 'growth',
              plantId: id,
              data: { date: garden.today, stage: stage ?? null, heightM: heightM ?? null },
            },
          });
      } else await saveSeveral(names.map((name) => ({ ...input, name })));
      say(many === 1 ? `${names[0]}: saved.` : `${names[0]} to ${names.at(-1)}: ${many} plants.`);
      await goOn(back);
    } catch (error) {
      applyFaults(error, setError, fieldOfOne);
    }
  });
  const forgetVariety = () => {
    setValue('type', null);
    setValue('habit', null);
    setValue('varietyId', null);
  };
  return (
    <div className="grid items-start gap-4 lg:grid-cols-[1fr_18rem]">
      <FormProvider {...form}>
        <form noValidate onSubmit={(ev) => void submit(ev)} className="flex flex-col gap-4">
          <FormCards>
            <FormCard title="Basics">
              <F.Text
                name="name"
                label="Name"
                hint={plant ? undefined : many > 1 ? 'They are numbered for you.' : 'Without a name it gets a number.'}
              />
              {!plant && (
                <MeasuredInput label="How many" quantity="count" min={1} max={MOST} value={count} onChange={setCount} />
              )}
              <F.Choice label="Grows in" options={places} name="placeId" />
              <F.Choice label="Crop" options={wordsOf(CROPS)} name="crop" onChosen={forgetVariety} />
              <F.Maybe label="Type" options={wordsOrUnknown(typesOf(crop))} name="type" />
              <VarietyField control={control} name="varietyId" crop={crop} />
              {watch('varietyId') && (
                <F.Choice
                  label="Sure of the variety?"
                  options={[
                    ['', 'yes'],
                    ['true', 'no, it may be another'],
                  ]}
                  name="varietyUnsure"
                  {...asFlag}
                />
              )}
              {crop === 'tomato' && <F.Maybe label="Habit" options={wordsOrUnknown(GROWTH_HABITS)} name="habit" />}
            </FormCard>
            <FormCard title="Stage and size">
              <F.Date name="transplantedOn" label="Planted out" max={garden.today} none="not known" />
              {watch('transplantedOn') && (
                <F.Choice
                  label="Sure of the day?"
                  options={[
                    ['', 'yes'],
                    ['true', 'about then'],
                  ]}
                  name="plantedAbout"
                  {...asFlag}
                />
              )}
              <F.Maybe
                label="Came as"
                options={[
                  ['', 'not known'],
                  ...wordsOf(STARTS, {
                    seedling: 'Raised seedling',
                    bought: 'Bought plant',
                    cutting: 'Rooted cutting',
                  }),
                ]}
                name="start"
              />
              <F.Maybe
                label="Stage today"
                hint={growth?.stage ? `Estimated: ${growth.stage}. Choose one only to correct it.` : undefined}
                options={[['', 'estimate it'], ...wordsOf(STAGES)]}
                name="stage"
              />
              <F.Amount
                name="heightM"
                label="Height today"
                hint={growth?.heightM != null ? `Estimated: ${format.centimetres(growth.heightM * 100)}.` : undefined}
                quantity="heightMetres"
              />
              <F.Amount name="spacingM" label="Distance to the next" quantity="heightMetres" />
              <F.Choice
                label="Importance"
                hint="If covers run short, the most important plants are covered first."
                options={[
                  ['', 'as the others'],
                  ['3', 'much'],
                  ['1', 'little'],
                ]}
                name="worth"
                setValueAs={(v) => (v === '' ? null : Number(v))}
              />
            </FormCard>
          </FormCards>
          <FormEnd back={back} />
          {plant && <EndPlant plant={plant} />}
        </form>
      </FormProvider>
      <Panel label="Preview" className="sticky top-40 flex justify-center max-lg:hidden">
        <PlantDrawing plant={{ ...watch(), crop, stage: watch('stage') ?? growth?.stage ?? null }} className="w-60" />
      </Panel>
    </div>
  );
}
