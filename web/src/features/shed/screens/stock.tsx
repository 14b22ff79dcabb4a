import { StockInput, type GardenDto, type GardenView } from '@candid-leaf/contract';
import { useForm } from 'react-hook-form';
import { Button } from '../../../ui/button';
import { FormCard, FormCards, RootFault } from '../../../ui/form-card';
import { applyFaults, resolverFor } from '../../../ui/form-faults';
import { MeasuredField } from '../../../ui/measured-field';
import { useFormat } from '../../../lib/garden-context';
import { useSay } from '../../../ui/toast';
import { useWrite } from '../../../ui/use-write';
import { saveGarden } from '../../../data/gardens';
import { ShedPage } from '../../../frame/shed-page';

/** Supports, covers and rainwater in stock. */
export function StockScreen() {
  return <ShedPage>{(view) => <Stock key={view.garden.version} garden={view.garden} barrel={view.barrel} />}</ShedPage>;
}

function Stock({ garden, barrel }: { garden: GardenDto; barrel: GardenView['barrel'] }) {
  const f = useFormat();
  const save = useWrite(saveGarden, garden.id);
  const say = useSay();
  const { control, handleSubmit, setError, formState } = useForm<StockInput>({
    resolver: resolverFor(StockInput),
    defaultValues: garden.stock ?? {},
  });
  const submit = handleSubmit(async (stock) => {
    const { today: _t, ...input } = garden;
    try {
      // a level that was typed is one that was seen
      const seen = stock.barrelSeenL !== garden.stock?.barrelSeenL;
      const barrelSeenOn = stock.barrelSeenL == null ? null : seen ? garden.today : garden.stock?.barrelSeenOn;
      await save.send({ garden: { ...input, stock: { ...stock, barrelSeenOn } } });
      say('Stock saved. Shortages are shown before heat or frost.');
    } catch (error) {
      applyFaults(error, setError, (path) => path.replace(/^stock\./, ''));
    }
  });
  return (
    <form noValidate onSubmit={(ev) => void submit(ev)} className="flex flex-col gap-4">
      <p className="text-soft">
        If there is not enough for every plant, it goes first to those you value most. Then fruit at risk, condition and
        youth count. Leave empty what you have not counted.
      </p>
      <FormCards>
        <FormCard title="Covers">
          <MeasuredField control={control} name="clothM2" label="Shade cloth" quantity="squareMetres" min={0} />
          <MeasuredField control={control} name="covers" label="Frost covers" quantity="count" min={0} />
        </FormCard>
        <FormCard title="Supports">
          <MeasuredField control={control} name="cages" label="Cages" quantity="count" min={0} />
          <MeasuredField control={control} name="stakes" label="Stakes" quantity="count" min={0} />
          <MeasuredField control={control} name="canes" label="Short canes" quantity="count" min={0} />
          <MeasuredField control={control} name="stringM" label="String" quantity="metres" min={0} />
          <MeasuredField control={control} name="ties" label="Ties" quantity="count" min={0} />
        </FormCard>
      </FormCards>
      <FormCards>
        <FormCard title="What supports cost">
          <MeasuredField control={control} name="priceStake" label="One stake" quantity="count" min={0} />
          <MeasuredField control={control} name="priceCage" label="One cage" quantity="count" min={0} />
          <MeasuredField control={control} name="priceMesh" label="Mesh for one cylinder" quantity="count" min={0} />
          <MeasuredField control={control} name="priceString" label="A roll of string" quantity="count" min={0} />
          <MeasuredField control={control} name="rollM" label="Length of the roll" quantity="metres" min={0} />
          <p className="col-span-2 text-sm text-soft">
            In your own money. A plant’s page then shows what each way to hold it up costs a season.
          </p>
        </FormCard>
        <FormCard title="Rain barrel">
          <MeasuredField control={control} name="barrelL" label="It holds" quantity="litres" min={0} />
          <MeasuredField control={control} name="roofM2" label="Roof that fills it" quantity="squareMetres" min={0} />
          <MeasuredField control={control} name="barrelSeenL" label="In it now" quantity="litres" min={0} />
          <p className="col-span-2 text-sm text-soft">
            {barrel
              ? `By the rain and your recorded waterings since ${f.day(garden.stock!.barrelSeenOn!)}: about ${f.litres(barrel.litres)}.${barrel.comingL > 0 ? ` Rain of the next three days would bring ${f.litres(barrel.comingL)} more.` : ''}`
              : 'From then on we count the rain on the roof and what you water by can.'}{' '}
            Keep a tight lid on it: children can drown, and mosquitoes breed.
          </p>
        </FormCard>
      </FormCards>
      <RootFault errors={formState.errors} />
      <Button type="submit" look="main" className="self-start" disabled={formState.isSubmitting}>
        Save
      </Button>
    </form>
  );
}
