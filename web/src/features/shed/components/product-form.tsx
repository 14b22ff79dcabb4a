import { ProductInput } from '@candid-leaf/contract';
import { DOSE_PER, DOSE_UNITS, PRODUCT_KINDS, type Product } from '@candid-leaf/core/products';
import { SPRAYS } from '@candid-leaf/core/records';
import { measureOf, type Quantity } from '@candid-leaf/core/units';
import { useEffect, useRef, useState } from 'react';
import { FormProvider, useForm } from 'react-hook-form';
import { v7 as uuid } from 'uuid';
import { useFormat, useGarden, useLink } from '../../../lib/garden-context';
import { wordsOf } from '../../../lib/words';
import { FormCard, FormCards } from '../../../ui/form-card';
import { applyFaults, resolverFor } from '../../../ui/form-faults';
import { useSay } from '../../../ui/toast';
import { useWrite } from '../../../ui/use-write';
import { asPrinted, DOSE_UNIT_WORDS, doseQuantity, fromPrinted, KIND_OF_PRODUCT, perWords } from '../product-words';
import { deleteProduct, restoreProduct, saveProduct } from '../../../data/products';
import { useWayOn } from '../../../ui/use-way-on';
import { fieldsOf, FormEnd } from '../../../ui/form-kit';

const F = fieldsOf<ProductInput>();

/** An empty amount means no dose. */
const withoutEmptyDose = (p: ProductInput): ProductInput => ({ ...p, dose: p.dose?.amount == null ? null : p.dose });
/** Form for a product, from its label. */
export function ProductForm({ product, own }: { product: Product | null; own: boolean }) {
  const garden = useGarden();
  const format = useFormat();
  const link = useLink();
  const goOn = useWayOn();
  const say = useSay();
  const save = useWrite(saveProduct, garden.id);
  const remove = useWrite(deleteProduct, garden.id);
  const restore = useWrite(restoreProduct, garden.id);
  const [id] = useState(() => (own && product ? product.id : uuid()));
  const form = useForm<ProductInput>({
    resolver: resolverFor(ProductInput, (p) => fromPrinted(withoutEmptyDose(p), format.units)),
    defaultValues: product
      ? { ...asPrinted(product, format.units), id }
      : { id, name: '', kind: 'feed', form: 'dry', n: 0, p2o5: 0, k2o: 0 },
  });
  const { watch, getValues, handleSubmit, setError, setValue } = form;
  const back = link('shed', {}, product ? { product: own ? id : product.id } : {});
  const submit = handleSubmit(async (input) => {
    try {
      await save.send({ product: input });
      say(`${input.name}: saved.`);
      await goOn(link('shed', {}, { product: id }));
    } catch (error) {
      applyFaults(error, setError);
    }
  });
  const spray = watch('kind') === 'spray';
  const unit = watch('dose.unit');
  const quantity = doseQuantity(watch('dose.per'));
  // the number stays as typed when it turns out to be for another measure
  const typedAs = useRef(quantity);
  useEffect(() => {
    const typed = getValues('dose.amount');
    const of = (q: Quantity) => measureOf(q, format.units);
    if (typed != null && typedAs.current !== quantity)
      setValue('dose.amount', of(quantity).toMetric(of(typedAs.current).fromMetric(typed)));
    typedAs.current = quantity;
  }, [quantity, format, getValues, setValue]);
  return (
    <FormProvider {...form}>
      <form noValidate onSubmit={(ev) => void submit(ev)} className="flex flex-col gap-4">
        <FormCards>
          <FormCard title="Basics">
            <F.Text name="name" label="Name" />
            <F.Choice label="Type" options={PRODUCT_KINDS.map((k) => [k, KIND_OF_PRODUCT[k]])} name="kind" />
            <F.Choice
              label="Measured"
              options={[
                ['dry', 'weighed'],
                ['liquid', 'poured'],
              ]}
              name="form"
            />
            {spray && (
              <F.Maybe
                label="Type of spray"
                options={[['', 'choose'], ...wordsOf(SPRAYS, { bt: 'BT' })]}
                name="spray"
              />
            )}
            <F.YesNo label="Allowed in organic growing" name="organic" />
            <F.Amount
              name="gPerMl"
              label="Weight of one millilitre (g)"
              quantity="count"
              hint="Weigh a cupful once; without it we can’t show spoons."
            />
          </FormCard>
          {!spray && (
            <FormCard title="Nutrients">
              <F.Amount name="n" label="N" quantity="percent" />
              <F.Amount name="p2o5" label="P₂O₅" quantity="percent" />
              <F.Amount name="k2o" label="K₂O" quantity="percent" />
              <F.YesNo label="Released slowly, over weeks" name="slow" />
            </FormCard>
          )}
          <FormCard title="From the label">
            <F.Amount
              key={quantity}
              name="dose.amount"
              label={`Dose (${unit ? DOSE_UNIT_WORDS[watch('form')][unit] : watch('form') === 'liquid' ? 'mL' : 'g'})`}
              quantity={quantity}
            />
            <F.Maybe
              label="Counted in"
              options={[
                ['', watch('form') === 'liquid' ? 'mL' : 'g'],
                ...wordsOf(DOSE_UNITS, DOSE_UNIT_WORDS[watch('form')]),
              ]}
              name="dose.unit"
            />
            <F.Choice label="for" options={DOSE_PER.map((d) => [d, perWords(d, format)])} name="dose.per" />
            <F.Amount name="everyDays" label="Days between uses" quantity="count" />
            <F.Amount name="mostUses" label="Most uses per season" quantity="count" />
            {spray && (
              <>
                <F.Amount name="harvestDays" label="Days until harvest" quantity="count" />
                <F.Amount name="reentryHours" label="Hours until re-entry" quantity="count" />
                {watch('spray') === 'copper' && (
                  <F.Amount
                    name="copperPct"
                    label="Copper metal"
                    quantity="percent"
                    hint="Metallic copper on the label."
                  />
                )}
              </>
            )}
          </FormCard>
        </FormCards>
        <FormEnd
          back={back}
          onDelete={
            own
              ? () =>
                  remove.mutate(
                    { id },
                    {
                      said: 'Deleted. Records made with it keep their numbers.',
                      undo: () => restore.mutate({ id }),
                      onSuccess: () => void goOn(link('shed', {})),
                    },
                  )
              : undefined
          }
        />
      </form>
    </FormProvider>
  );
}
