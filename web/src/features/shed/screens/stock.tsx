import { StockInput, type GardenDto } from '@candid-leaf/contract';
import { useForm } from 'react-hook-form';
import { Button } from '../../../ui/button';
import { FormCard, FormCards, RootFault } from '../../../ui/form-card';
import { applyFaults, resolverFor } from '../../../ui/form-faults';
import { MeasuredField } from '../../../ui/measured-field';
import { useSay } from '../../../ui/toast';
import { useWrite } from '../../../ui/use-write';
import { saveGarden } from '../../garden/writes';
import { ShedPage } from '../components/shed-page';

/** What there is to hold up and to cover with. */
export function StockScreen() {
  return <ShedPage>{(view) => <Stock key={view.garden.version} garden={view.garden} />}</ShedPage>;
}

function Stock({ garden }: { garden: GardenDto }) {
  const save = useWrite(saveGarden, garden.id);
  const say = useSay();
  const { control, handleSubmit, setError, formState } = useForm<StockInput>({
    resolver: resolverFor(StockInput),
    defaultValues: garden.stock ?? {},
  });
  const submit = handleSubmit(async (stock) => {
    const { today: _t, ...input } = garden;
    try {
      await save.send({ garden: { ...input, stock } });
      say('Stock: kept. What is short is told before the heat or the frost.');
    } catch (error) {
      applyFaults(error, setError, (path) => path.replace(/^stock\./, ''));
    }
  });
  return (
    <form noValidate onSubmit={(ev) => void submit(ev)} className="flex flex-col gap-4">
      <p className="text-soft">
        When heat or frost comes and there is not enough for all, this is dealt out: first to what you value most, then
        by the fruit at risk, how it stands and how young it is. What is left empty nobody has counted.
      </p>
      <FormCards>
        <FormCard title="To cover with">
          <MeasuredField control={control} name="clothM2" label="Shade cloth" quantity="squareMetres" min={0} />
          <MeasuredField control={control} name="covers" label="Covers for frost" quantity="count" min={0} />
        </FormCard>
        <FormCard title="To hold up">
          <MeasuredField control={control} name="cages" label="Cages" quantity="count" min={0} />
          <MeasuredField control={control} name="stakes" label="Stakes" quantity="count" min={0} />
          <MeasuredField control={control} name="canes" label="Short canes" quantity="count" min={0} />
          <MeasuredField control={control} name="stringM" label="String" quantity="metres" min={0} />
          <MeasuredField control={control} name="ties" label="Ties" quantity="count" min={0} />
        </FormCard>
      </FormCards>
      <RootFault errors={formState.errors} />
      <Button type="submit" look="main" className="self-start" disabled={formState.isSubmitting}>
        Keep
      </Button>
    </form>
  );
}
