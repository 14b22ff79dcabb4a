import {
  PlantingInput,
  type VarietyDto,
  type GardenView,
  type PlantingDto,
  type SeasonView,
} from '@candid-leaf/contract';
import { shieldsFrom } from '@candid-leaf/core/varieties';
import {
  AIM_ROWS,
  aimAgainst,
  AIMS,
  placeHints,
  rotationInWords,
  rotationOf,
  seedsFor,
  spacingOf,
} from '@candid-leaf/core/planning';
import { potMlOf } from '@candid-leaf/core/raising';
import { seasonYear } from '@candid-leaf/core/season';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { FormProvider, useForm } from 'react-hook-form';
import { v7 as uuid } from 'uuid';
import { useFormat, useGarden } from '../../../lib/garden-context';
import { FormCard } from '../../../ui/form-card';
import { applyFaults, resolverFor } from '../../../ui/form-faults';
import { Failed, Waiting } from '../../../ui/states';
import { useSay } from '../../../ui/toast';
import { useWrite } from '../../../ui/use-write';
import { varietiesQuery } from '../../../data/varieties';
import { savePlanting } from '../../../data/season';
import { BedFromAbove } from './bed-from-above';
import { fieldsOf, FormEnd } from '../../../ui/form-kit';

const F = fieldsOf<PlantingInput>();

interface Props {
  planting: PlantingDto | null;
  year: number;
  view: GardenView;
  grounds: SeasonView['grounds'];
  hottestC: number;
  nibbled: boolean;
  onDone: () => void;
}

/** What to grow where. It waits for the varieties: late options would lose the choice. */
export function PlantingForm(props: Props) {
  const garden = useGarden();
  const varieties = useQuery(varietiesQuery(garden.id));
  if (varieties.isPending) return <Waiting what="Loading varieties" />;
  if (varieties.error) return <Failed error={varieties.error} again={() => void varieties.refetch()} />;
  return <Form {...props} varieties={varieties.data} />;
}

/** Checked against the bed while typing. */
function Form({
  planting,
  year,
  view,
  grounds,
  hottestC,
  nibbled,
  onDone,
  varieties,
}: Props & { varieties: readonly VarietyDto[] }) {
  const garden = useGarden();
  const say = useSay();
  const format = useFormat();
  const save = useWrite(savePlanting, garden.id);
  const [id] = useState(() => planting?.id ?? uuid());
  const form = useForm<PlantingInput>({
    resolver: resolverFor(PlantingInput),
    defaultValues: planting
      ? planting
      : { id, year, placeId: view.places[0]?.place.id ?? '', crop: 'tomato', varietyId: null, count: 3 },
  });
  const { watch, handleSubmit, setError, setValue } = form;
  const [placeId, varietyId, crop, count, aim, spots] = watch([
    'placeId',
    'varietyId',
    'crop',
    'count',
    'aim',
    'spots',
  ]);
  const place = view.places.find((p) => p.place.id === placeId)?.place;
  // only what is not planted yet is edited, so every plant of that year stands beside it
  const standing = (view.places.find((p) => p.place.id === placeId)?.plants ?? []).filter(
    ({ plant: { transplantedOn: on } }) => on && seasonYear(garden, on) === year,
  ).length;
  const own = varieties.filter((k) => k.crop === crop);
  const variety = varieties.find((k) => k.id === varietyId);
  const against = aimAgainst(aim, variety ?? { crop });
  const hints = place
    ? placeHints(
        {
          place,
          others: view.places.flatMap((o) => (o.place.id === place.id ? [] : o.place)),
          crop,
          plants: (count || 0) + standing,
          spacingM: spacingOf(crop),
          hottestC,
        },
        format,
      )
    : [];
  const submit = handleSubmit(async (input) => {
    try {
      // drops positions beyond the current number of plants
      await save.send({ planting: { ...input, spots: input.spots?.slice(0, input.count) ?? null } });
      say('Planned.');
      onDone();
    } catch (error) {
      applyFaults(error, setError);
    }
  });
  return (
    <FormProvider {...form}>
      <form noValidate onSubmit={(ev) => void submit(ev)} className="flex flex-col gap-3" aria-label="New planting">
        <FormCard title={planting ? 'Edit planting' : 'New planting'}>
          <F.Choice label="Where" options={view.places.map((p) => [p.place.id, p.place.name])} name="placeId" />
          <F.Choice
            label="Crop"
            options={[
              ['tomato', 'Tomato'],
              ['pepper', 'Pepper'],
            ]}
            name="crop"
            onChosen={() => setValue('varietyId', null)}
          />
          <F.Maybe
            label="Variety"
            options={[
              ['', own.length > 0 ? 'not decided' : 'no varieties yet'],
              ...own.map((k) => [k.id, k.name] as const),
            ]}
            name="varietyId"
          />
          <F.Maybe
            label="Aim"
            options={[['', 'not stated'], ...AIMS.map((a) => [a, AIM_ROWS[a].label] as const)]}
            name="aim"
          />
          <F.Amount name="count" label="How many" quantity="count" />
          {planting && (
            <>
              <F.Date name="sownOn" label="Sown on" none="not sown yet" />
              <F.Amount name="cells" label="Cells sown" quantity="count" />
              <F.Amount name="lost" label="Seedlings lost" quantity="count" />
              <F.Amount name="cellMl" label="A cell holds, mL" quantity="count" hint="Usually 50." />
              <F.Amount
                name="potMl"
                label="A pot holds, mL"
                quantity="count"
                hint={`By its width: ${[9, 11, 13].map((cm) => `${format.centimetres(cm)} hold ${potMlOf(cm)}`).join(', ')}.`}
              />
              <F.Amount
                name="trayWetG"
                label="Weight of the tray, watered and drained"
                quantity="grams"
                hint="Today will then show the weight at which it needs water."
              />
              <F.Date name="hardenFrom" label="Outside by day since" none="not yet" />
            </>
          )}
        </FormCard>
        {place && (
          <div role="status" aria-label="Pros and cons" className="text-soft">
            <p>
              {rotationInWords(
                rotationOf({
                  place: { kind: place.kind, history: grounds[place.id] ?? [] },
                  year,
                  shields: shieldsFrom(variety?.letters, crop),
                }),
                place,
                crop,
              )}
            </p>
            {against && <p className="font-semibold text-ripe">{against}</p>}
            {hints.map((hint) => (
              <p key={hint} className="font-semibold text-ripe">
                {hint}
              </p>
            ))}
            {count > 0 && (
              <p>
                {seedsFor(count, nibbled).cells} cells, {seedsFor(count, nibbled).seeds} seeds.
              </p>
            )}
          </div>
        )}
        {place && count > 0 && (
          <BedFromAbove
            place={place}
            count={count}
            standing={standing}
            crop={crop}
            spots={spots}
            onMove={(laid) => setValue('spots', laid, { shouldDirty: true })}
          />
        )}
        <FormEnd back={onDone} />
      </form>
    </FormProvider>
  );
}
