import { PlaceInput, type GardenView, type PlaceDto } from '@candid-leaf/contract';
import { IRRIGATIONS, PLACE_KINDS, POT_MATERIALS, TEXTURES } from '@candid-leaf/core/records';
import { LITRES_PER, type Units } from '@candid-leaf/core/units';
import { SOILS } from '@candid-leaf/core/water';
import { useState } from 'react';
import { useForm } from 'react-hook-form';
import { Link, useNavigate, useParams } from 'react-router';
import { v7 as uuid } from 'uuid';
import { asInput } from '../../data/as-input';
import { useGarden } from '../../data/garden-context';
import { useOrderPlants, usePlaceRecords, useSavePlace } from '../../data/queries';
import { Button, buttonLook } from '../../parts/button';
import { MeasureField, SelectField, TextField, type Measure } from '../../parts/field';
import { applyFaults, emptyIsUnknown, resolverFor } from '../../parts/form-faults';
import { RecordList } from '../../parts/record-sheet';
import { Sortable } from '../../parts/sortable';
import { Empty } from '../../parts/states';
import { useSay } from '../../parts/toast';
import { KIND_WORDS } from '../../parts/water-left';
import { GardenPage } from '../../parts/garden-page';
import { choices, FormCard } from './form-card';
import { RetireButton } from './retire-button';

export function PlaceEdit() {
  const { placeId } = useParams();
  const here = (v: GardenView) => v.places.find((p) => p.place.id === placeId);
  return (
    <GardenPage title={(v) => here(v)?.place.name ?? 'A new place'}>
      {(v) => {
        const view = here(v);
        if (placeId && !view) return <Empty title="This place is not in the garden any more." />;
        return (
          <div className="grid gap-5 lg:grid-cols-[1fr_24rem]">
            <PlaceForm place={view?.place ?? null} />
            {view && <Aside view={view} />}
          </div>
        );
      }}
    </GardenPage>
  );
}

const metres = (u: Units): Measure => (u.length === 'cm' ? { symbol: 'm', per: 1 } : { symbol: 'ft', per: 0.3048 });

/** No depth, no mulch; no share of light taken, no shade. */
const withoutEmptySpells = (p: PlaceInput): PlaceInput => ({
  ...p,
  mulch: (p.mulch ?? []).filter((m) => m.depthMm > 0),
  shade: (p.shade ?? []).filter((s) => s.blockPct > 0),
});

function PlaceForm({ place }: { place: PlaceDto | null }) {
  const garden = useGarden();
  const navigate = useNavigate();
  const say = useSay();
  const save = useSavePlace(garden.id);
  const [id] = useState(() => place?.id ?? uuid());
  const { register, control, handleSubmit, setError, watch, formState } = useForm<PlaceInput>({
    resolver: resolverFor(PlaceInput, withoutEmptySpells),
    defaultValues: place
      ? asInput(place)
      : { id, name: '', kind: 'ground', texture: 'loam', mulch: [], shade: [], history: [] },
  });
  const kind = watch('kind');
  const mulch = watch('mulch')?.at(-1);
  const shade = watch('shade')?.at(-1);
  const e = formState.errors;
  const u = garden.units;
  const submit = handleSubmit(async (input) => {
    try {
      await save.mutateAsync(input);
      say(`${input.name}: kept.`);
      await navigate(`/gardens/${garden.id}`);
    } catch (error) {
      applyFaults(error, setError);
    }
  });
  return (
    <form noValidate onSubmit={(ev) => void submit(ev)} className="flex flex-col gap-4">
      <FormCard title="What it is">
        <TextField label="Name" error={e.name?.message} {...register('name')} />
        <SelectField
          label="Kind"
          options={PLACE_KINDS.map((k) => [k, KIND_WORDS[k]])}
          error={e.kind?.message}
          {...register('kind')}
        />
        <SelectField
          label="Soil"
          options={TEXTURES.map((t) => [t, SOILS[t].label])}
          error={e.texture?.message}
          {...register('texture')}
        />
        {kind === 'container' ? (
          <>
            <MeasureField
              control={control}
              name="volumeL"
              label="One pot holds"
              measure={{ symbol: symbolOf(u.volume), per: LITRES_PER[u.volume] }}
              hint="of soil"
            />
            <SelectField
              label="Pot is of"
              options={choices(POT_MATERIALS)}
              error={e.potMaterial?.message}
              {...register('potMaterial', emptyIsUnknown)}
            />
          </>
        ) : (
          <>
            <MeasureField control={control} name="lengthM" label="Length" measure={metres(u)} />
            <MeasureField control={control} name="widthM" label="Width" measure={metres(u)} />
          </>
        )}
      </FormCard>
      <FormCard title="Water">
        <SelectField
          label="Watered by"
          options={choices(IRRIGATIONS)}
          error={e.irrigation?.message}
          {...register('irrigation', emptyIsUnknown)}
        />
        <MeasureField
          control={control}
          name="flowLPerH"
          label="Flow for the whole place"
          measure={{ symbol: `${symbolOf(u.volume)} an hour`, per: LITRES_PER[u.volume] }}
          hint="With it, minutes can be recorded instead of litres."
        />
        {kind !== 'container' && (
          <MeasureField
            control={control}
            name="drainageMmPerH"
            label="Water sinks in a dug hole"
            measure={u.length === 'cm' ? { symbol: 'mm an hour', per: 1 } : { symbol: 'in an hour', per: 25.4 }}
            hint="A hole 30 cm (1 ft) deep, filled twice, the second fall in an hour. Under 25 mm (1 in) is slow: mound and add compost. Over 100 mm (4 in) is fast: water more often, less each time. Empty if never tried."
          />
        )}
      </FormCard>
      <FormCard title="Cover">
        <MeasureField
          control={control}
          name="mulch.0.depthMm"
          label="Mulch"
          measure={{ symbol: u.length, per: CM_PER[u.length] * 10 }}
          hint="0 for none"
        />
        <TextField
          label="Mulch since"
          type="date"
          max={garden.today}
          error={e.mulch?.[0]?.from?.message}
          {...register('mulch.0.from')}
          disabled={!mulch?.depthMm}
        />
        <MeasureField
          control={control}
          name="shade.0.blockPct"
          label="Shade cloth takes"
          measure={{ symbol: '%', per: 1 }}
          hint="0 for none"
        />
        <TextField
          label="Shade since"
          type="date"
          max={garden.today}
          error={e.shade?.[0]?.from?.message}
          {...register('shade.0.from')}
          disabled={!shade?.blockPct}
        />
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
        <Link to={`/gardens/${garden.id}`} className={buttonLook('quiet')}>
          Leave it as it was
        </Link>
        {place && <RetireButton what="places" of={place} />}
      </div>
    </form>
  );
}

function Aside({ view }: { view: GardenView['places'][number] }) {
  const garden = useGarden();
  const { place, plants } = view;
  const order = useOrderPlants(garden.id);
  const records = usePlaceRecords(garden.id, place.id);
  return (
    <aside className="flex flex-col gap-4">
      <section aria-labelledby="order" className="rounded-2xl border border-line bg-card p-4">
        <h2 id="order" className="mb-2 text-xl">
          Plants, in walking order
        </h2>
        <Sortable
          key={plants.map((p) => p.plant.id).join()}
          items={plants.map((p) => ({ id: p.plant.id, label: p.plant.name }))}
          onOrder={(ids) => order.mutate({ placeId: place.id, ids })}
        />
        <Link className={`${buttonLook('plain')} mt-3`} to={`/gardens/${garden.id}/places/${place.id}/plants/new`}>
          Add a plant
        </Link>
      </section>
      <section aria-labelledby="done" className="rounded-2xl border border-line bg-card p-4">
        <h2 id="done" className="mb-1 text-xl">
          Recorded for the whole place
        </h2>
        {records.data && records.data.length > 0 ? (
          <RecordList
            records={records.data}
            subjectOf={() => ({ plantId: null, placeId: place.id, name: place.name })}
          />
        ) : (
          <p className="text-soft">Nothing yet.</p>
        )}
      </section>
    </aside>
  );
}
