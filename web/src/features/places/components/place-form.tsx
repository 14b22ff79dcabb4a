import { PlaceInput, type GardenView, type PlaceDto, type PlaceOnView, type PlantInput } from '@candid-leaf/contract';
import { isPotted, PLACE_KINDS, POT_MATERIALS, TEXTURES } from '@candid-leaf/core/records';
import { SOILS } from '@candid-leaf/core/water';
import { useState } from 'react';
import { FormProvider, useForm, type UseFormReturn } from 'react-hook-form';
import { v7 as uuid } from 'uuid';
import { asInput } from '../../../lib/as-input';
import { useGarden, useLink } from '../../../lib/garden-context';
import { wordsOrUnknown } from '../../../lib/words';
import { FormCard } from '../../../ui/form-card';
import { applyFaults, resolverFor } from '../../../ui/form-faults';
import { useSay } from '../../../ui/toast';
import { useWrite } from '../../../ui/use-write';
import { KIND_WORDS } from '../../../ui/water-left';
import { SwitchField } from '../../../ui/switch-field';
import { freeName, numbered, plantNames, withoutNumber } from '../../../lib/plant-names';
import { fieldOfOne, useSavePlants } from '../../../frame/acts/use-save-plants';
import { savePlace } from '../../../data/places';
import { useWayOn } from '../../../ui/use-way-on';
import { fieldsOf, FormEnd } from '../../../ui/form-kit';
import { ArchivePlace } from './archive-place';
import { PlaceGroups } from './place-groups';

const F = fieldsOf<PlaceInput>();

/** Removes empty spells: no depth, no mulch (zero would mean bare soil); no share of light, no shade. */
const withoutEmptySpells = (p: PlaceInput): PlaceInput => ({
  ...p,
  mulch: (p.mulch ?? []).filter((m) => m.depthMm >= 0),
  shade: (p.shade ?? []).filter((s) => s.blockPct > 0),
});

interface Props {
  place: PlaceDto | null;
  /** the bed to copy */
  copied: PlaceOnView | null;
  all: GardenView;
}

/** Copies a bed without its history: years, tests and layers; an outlet waters only one bed. */
function alike({ place }: PlaceOnView, id: string, { places }: GardenView): PlaceInput {
  const { version: _version, soilTest: _test, soilTests: _tests, watering, ...rest } = asInput(place);
  const taken = places.map((p) => p.place.name);
  return {
    ...rest,
    id,
    name: freeName(withoutNumber(place.name), taken),
    ...(watering ? { watering: { ...watering, timerZone: null } } : {}),
    mulch: [],
    shade: [],
    history: [],
  };
}

/** Form for a bed or a group of equal pots. */
export function PlaceForm({ place, copied, all }: Props) {
  const garden = useGarden();
  const link = useLink();
  const goOn = useWayOn();
  const say = useSay();
  const save = useWrite(savePlace, garden.id);
  const [id] = useState(() => place?.id ?? uuid());
  const form = useForm<PlaceInput>({
    resolver: resolverFor(PlaceInput, withoutEmptySpells),
    defaultValues: place
      ? asInput(place)
      : copied
        ? alike(copied, id, all)
        : { id, name: '', kind: 'ground', texture: 'loam', mulch: [], shade: [], history: [] },
  });
  const savePlants = useSavePlants();
  const [withPlants, setWithPlants] = useState(true);
  const submit = form.handleSubmit(async (input) => {
    try {
      if (copied && withPlants && copied.plants.length > 0)
        await savePlants(plantsAlike(copied, id, plantNames(all)), { place: input });
      else await save.send({ place: input });
      say(`${input.name}: saved.`);
      await goOn(link('garden', {}));
    } catch (error) {
      applyFaults(error, form.setError, fieldOfOne);
    }
  });
  return (
    <FormProvider {...form}>
      <form noValidate onSubmit={(ev) => void submit(ev)} className="flex flex-col gap-4">
        <WhatItIs form={form} />
        <PlaceGroups />
        {copied && copied.plants.length > 0 && (
          <SwitchField checked={withPlants} onChange={setWithPlants}>
            Also copy its plants ({copied.plants.length}): same varieties, same planting dates
          </SwitchField>
        )}
        <FormEnd long back={link('garden', {})}>
          {place && <ArchivePlace place={place} all={all} />}
        </FormEnd>
      </form>
    </FormProvider>
  );
}

/** Copies plants, each with the next number of its name. */
function plantsAlike({ plants }: PlaceOnView, placeId: string, taken: readonly string[]): Omit<PlantInput, 'id'>[] {
  const names = [...taken];
  return plants.map(({ plant }) => {
    const { id: _id, version: _version, ...rest } = asInput(plant);
    const [name] = numbered(withoutNumber(plant.name), 1, names) as [string];
    names.push(name);
    return { ...rest, placeId, name };
  });
}

interface PartProps {
  form: UseFormReturn<PlaceInput>;
}

function WhatItIs({ form: { watch } }: PartProps) {
  return (
    <FormCard title="Basics">
      <F.Text name="name" label="Name" />
      <F.Choice label="Type" options={PLACE_KINDS.map((k) => [k, KIND_WORDS[k]])} name="kind" />
      <F.Choice label="Soil" options={TEXTURES.map((t) => [t, SOILS[t].label])} name="texture" />
      {isPotted({ kind: watch('kind') }) ? (
        <>
          <F.Amount name="volumeL" label="Soil per pot" quantity="litres" hint="of soil" />
          <F.Maybe label="Pot material" options={wordsOrUnknown(POT_MATERIALS)} name="potMaterial" />
        </>
      ) : (
        <>
          <div className="grid grid-cols-2 gap-4 sm:contents">
            <F.Amount name="lengthM" label="Length" quantity="metres" />
            <F.Amount name="widthM" label="Width" quantity="metres" />
          </div>
          {watch('kind') === 'raised-bed' && (
            <F.Amount
              name="fillingCm"
              label="Soil depth"
              quantity="centimetres"
              hint="Roots can grow to about this depth."
            />
          )}
        </>
      )}
    </FormCard>
  );
}
