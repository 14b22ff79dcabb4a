import { ProductInput } from '@candid-leaf/contract';
import { DOSE_PER, PRODUCT_KINDS, type Product } from '@candid-leaf/core/products';
import { SPRAYS } from '@candid-leaf/core/records';
import { useState } from 'react';
import { useForm } from 'react-hook-form';
import { Link } from 'react-router';
import { v7 as uuid } from 'uuid';
import { useGarden, useLink } from '../../../lib/garden-context';
import { wordsOf } from '../../../lib/words';
import { Button, buttonLook } from '../../../ui/button';
import { TextField } from '../../../ui/field';
import { FormSelect } from '../../../ui/select-field';
import { FormCard, FormCards, RootFault } from '../../../ui/form-card';
import { applyFaults, emptyIsUnknown, resolverFor } from '../../../ui/form-faults';
import { MeasuredField } from '../../../ui/measured-field';
import { useSay } from '../../../ui/toast';
import { asFlag, YES_NO } from '../../../ui/yes-no';
import { useWrite } from '../../../ui/use-write';
import { KIND_OF_PRODUCT, PER_WORDS } from '../product-words';
import { deleteProduct, restoreProduct, saveProduct } from '../../../data/products';
import { useWayOn } from '../../../ui/use-way-on';

/** An empty amount means no dose. */
const withoutEmptyDose = (p: ProductInput): ProductInput => ({ ...p, dose: p.dose?.amount == null ? null : p.dose });
/** Form for a product, from its label. */
export function ProductForm({ product, own }: { product: Product | null; own: boolean }) {
  const garden = useGarden();
  const link = useLink();
  const goOn = useWayOn();
  const say = useSay();
  const save = useWrite(saveProduct, garden.id);
  const remove = useWrite(deleteProduct, garden.id);
  const restore = useWrite(restoreProduct, garden.id);
  const [id] = useState(() => (own && product ? product.id : uuid()));
  const { register, control, watch, handleSubmit, setError, formState } = useForm<ProductInput>({
    resolver: resolverFor(ProductInput, withoutEmptyDose),
    defaultValues: product ? { ...product, id } : { id, name: '', kind: 'feed', form: 'dry', n: 0, p2o5: 0, k2o: 0 },
  });
  const e = formState.errors;
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
  return (
    <form noValidate onSubmit={(ev) => void submit(ev)} className="flex flex-col gap-4">
      <FormCards>
        <FormCard title="Basics">
          <TextField label="Name" error={e.name?.message} {...register('name')} />
          <FormSelect
            control={control}
            label="Type"
            options={PRODUCT_KINDS.map((k) => [k, KIND_OF_PRODUCT[k]])}
            name="kind"
          />
          <FormSelect
            control={control}
            label="Measured"
            options={[
              ['dry', 'weighed'],
              ['liquid', 'poured'],
            ]}
            name="form"
          />
          {spray && (
            <FormSelect
              control={control}
              label="Type of spray"
              options={[['', 'choose'], ...wordsOf(SPRAYS, { bt: 'BT' })]}
              name="spray"
              {...emptyIsUnknown}
            />
          )}
          <FormSelect
            control={control}
            label="Allowed in organic growing"
            options={YES_NO}
            name="organic"
            {...asFlag}
          />
          <MeasuredField
            control={control}
            name="gPerMl"
            label="Weight of one millilitre (g)"
            quantity="count"
            hint="Weigh a cupful once; without it we can’t show spoons."
          />
        </FormCard>
        {!spray && (
          <FormCard title="Nutrients">
            <MeasuredField control={control} name="n" label="N" quantity="percent" />
            <MeasuredField control={control} name="p2o5" label="P₂O₅" quantity="percent" />
            <MeasuredField control={control} name="k2o" label="K₂O" quantity="percent" />
            <FormSelect
              control={control}
              label="Released slowly, over weeks"
              options={YES_NO}
              name="slow"
              {...asFlag}
            />
          </FormCard>
        )}
        <FormCard title="From the label">
          <MeasuredField
            control={control}
            name="dose.amount"
            label={watch('form') === 'liquid' ? 'Dose (mL)' : 'Dose (g)'}
            quantity="count"
          />
          <FormSelect control={control} label="for" options={DOSE_PER.map((d) => [d, PER_WORDS[d]])} name="dose.per" />
          <MeasuredField control={control} name="everyDays" label="Days between uses" quantity="count" />
          <MeasuredField control={control} name="mostUses" label="Most uses per season" quantity="count" />
          {spray && (
            <>
              <MeasuredField control={control} name="harvestDays" label="Days until harvest" quantity="count" />
              <MeasuredField control={control} name="reentryHours" label="Hours until re-entry" quantity="count" />
            </>
          )}
        </FormCard>
      </FormCards>
      <RootFault errors={formState.errors} />
      <div className="flex flex-wrap gap-2">
        <Button type="submit" look="main" disabled={formState.isSubmitting}>
          Save
        </Button>
        <Link to={back} className={buttonLook('quiet')}>
          Cancel
        </Link>
        {own && (
          <Button
            look="quiet"
            onClick={() =>
              remove.mutate(
                { id },
                {
                  said: 'Deleted. Records made with it keep their numbers.',
                  undo: () => restore.mutate({ id }),
                  onSuccess: () => void goOn(link('shed', {})),
                },
              )
            }
          >
            Delete
          </Button>
        )}
      </div>
    </form>
  );
}
