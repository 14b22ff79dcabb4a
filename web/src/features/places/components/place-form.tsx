import { PlaceInput, type GardenView, type PlaceDto, type PlaceOnView, type PlantInput } from '@candid-leaf/contract';
import {
  coverOf,
  COVERS,
  IRRIGATIONS,
  isPotted,
  PLACE_KINDS,
  POT_MATERIALS,
  SLOPES,
  TEXTURES,
  VENTS,
} from '@candid-leaf/core/records';
import { SOILS } from '@candid-leaf/core/water';
import { useState } from 'react';
import { FormProvider, useForm, type UseFormReturn } from 'react-hook-form';
import { v7 as uuid } from 'uuid';
import { asInput } from '../../../lib/as-input';
import { useFormat, useGarden, useLink } from '../../../lib/garden-context';
import { wordsOrUnknown } from '../../../lib/words';
import { CheckField } from '../../../ui/check-field';
import { FormCard, FormCards } from '../../../ui/form-card';
import { applyFaults, resolverFor } from '../../../ui/form-faults';
import { RetireButton } from '../../../ui/retire-button';
import { useSay } from '../../../ui/toast';
import { useWrite } from '../../../ui/use-write';
import { COVER_WORDS, KIND_WORDS } from '../../../ui/water-left';
import { SwitchField } from '../../../ui/switch-field';
import { freeName, numbered, plantNames, withoutNumber } from '../../../lib/plant-names';
import { fieldOfOne, useSavePlants } from '../../../frame/acts/use-save-plants';
import { restorePlace, retirePlace, savePlace } from '../../../data/places';
import { useWayOn } from '../../../ui/use-way-on';
import { fieldsOf, FormEnd } from '../../../ui/form-kit';

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
        <FormCards>
          <WhatItIs form={form} />
          <Overhead form={form} />
          <Water form={form} />
          <Cover form={form} />
          <Looking />
          <Surroundings />
        </FormCards>
        {copied && copied.plants.length > 0 && (
          <SwitchField checked={withPlants} onChange={setWithPlants}>
            Also copy its plants ({copied.plants.length}): same varieties, same planting dates
          </SwitchField>
        )}
        <FormEnd back={link('garden', {})}>
          {place && (
            <RetireButton words="Archive this bed or pot" of={place} retire={retirePlace} restore={restorePlace} />
          )}
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
          <F.Amount name="lengthM" label="Length" quantity="metres" />
          <F.Amount name="widthM" label="Width" quantity="metres" />
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

/** Cover and room temperature. */
function Overhead({ form: { watch, setValue } }: PartProps) {
  const cover = coverOf({ kind: watch('kind'), cover: watch('cover') ?? null });
  return (
    <FormCard title="Overhead">
      {watch('kind') !== 'indoors' && (
        <F.Maybe
          label="Where it is"
          options={[['', 'usual for its type'], ...COVERS.map((c): [string, string] => [c, COVER_WORDS[c]])]}
          name="cover"
        />
      )}
      {(cover === 'tunnel' || cover === 'glasshouse') && (
        <F.Maybe label="Doors and vents by day" options={wordsOrUnknown(VENTS)} name="vents" />
      )}
      {cover === 'indoors' && (
        <>
          <F.Amount name="roomTMinC" label="Lowest room temperature" quantity="celsius" hint="18 °C (64 °F) if empty" />
          <F.Amount
            name="roomTMaxC"
            label="Highest room temperature"
            quantity="celsius"
            hint="22 °C (72 °F) if empty"
          />
        </>
      )}
      {cover !== 'indoors' && (
        <CheckField checked={watch('hollow') ?? false} onChange={(hollow) => setValue('hollow', hollow)}>
          In a hollow where cold air collects
        </CheckField>
      )}
    </FormCard>
  );
}

/** Depth of the test hole, and limits of slow and fast drainage. */
const HOLE_CM = 30;
const SLOW_MM = 25;
const FAST_MM = 100;

function Water({ form: { watch } }: PartProps) {
  const format = useFormat();
  return (
    <FormCard title="Water">
      <F.Maybe label="Watered by" options={wordsOrUnknown(IRRIGATIONS)} name="irrigation" />
      <F.Amount
        name="flowLPerH"
        label="Flow for the whole bed or pot"
        quantity="litresPerHour"
        hint="With the flow you can record minutes instead of litres."
      />
      {!isPotted({ kind: watch('kind') }) && (
        <F.Amount
          name="drainageMmPerH"
          label="Drainage test: fall per hour"
          quantity="millimetresPerHour"
          hint={`Dig a hole ${format.centimetres(HOLE_CM)} deep, fill it twice and measure the second fall in an hour. Under ${format.rain(SLOW_MM)} is slow: mound and add compost. Over ${format.rain(FAST_MM)} is fast: water less, more often. Leave empty if not tested.`}
        />
      )}
    </FormCard>
  );
}

/** Surroundings. */
function Surroundings() {
  return (
    <FormCard title="Position">
      <F.Amount
        name="sunHours"
        label="Hours of sun on a clear summer day"
        quantity="count"
        hint="Tomatoes need 6 or more, peppers 6 to 8."
      />
      <F.Maybe label="Slope" options={wordsOrUnknown(SLOPES)} name="slope" />
      <F.YesNo label="Low end, stays wet" name="lowEnd" />
      <F.YesNo label="Exposed to wind" name="windy" />
      <F.YesNo label="A footpath close by" name="footpath" />
      <F.YesNo label="A pond or a stream" hint="Nothing is sprayed beside open water." name="pondNear" />
    </FormCard>
  );
}

/** How often Today asks to check it. */
function Looking() {
  return (
    <FormCard title="How you check it">
      <F.Maybe
        label="Check it"
        options={[
          ['', 'once a week, turning leaves over'],
          ['daily', 'a glance every day, turning leaves over once a week'],
          ['off', 'only after rain, heat, frost or absence'],
        ]}
        name="looking"
      />
    </FormCard>
  );
}

function Cover({ form: { watch } }: PartProps) {
  const garden = useGarden();
  return (
    <FormCard title="Mulch and shade">
      <F.Amount name="mulch.0.depthMm" label="Mulch" quantity="depthMillimetres" hint="0 for none" />
      <F.Date
        name="mulch.0.from"
        label="Mulched since"
        max={garden.today}
        disabled={!((watch('mulch')?.at(-1)?.depthMm ?? -1) >= 0)}
      />
      <F.Amount name="shade.0.blockPct" label="Shade cloth blocks" quantity="percent" hint="0 for none" />
      <F.Date
        name="shade.0.from"
        label="Shaded since"
        max={garden.today}
        disabled={!watch('shade')?.at(-1)?.blockPct}
      />
    </FormCard>
  );
}
