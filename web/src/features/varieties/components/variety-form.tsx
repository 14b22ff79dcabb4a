import { VarietyInput, type VarietyDto } from '@candid-leaf/contract';
import { type Variety, readLetters, RIPE_COLOURS } from '@candid-leaf/core/varieties';
import { CROPS, GROWTH_HABITS, TENDENCIES, typesOf } from '@candid-leaf/core/records';
import { useState } from 'react';
import { useForm } from 'react-hook-form';
import { Link } from 'react-router';
import { v7 as uuid } from 'uuid';
import { useGarden, useLink } from '../../../lib/garden-context';
import { wordsOf, wordsOrUnknown } from '../../../lib/words';
import { Button, buttonLook } from '../../../ui/button';
import { TextField } from '../../../ui/field';
import { FormSelect } from '../../../ui/select-field';
import { FormCard, FormCards, RootFault } from '../../../ui/form-card';
import { applyFaults, emptyIsUnknown, resolverFor } from '../../../ui/form-faults';
import { MeasuredField } from '../../../ui/measured-field';
import { useSay } from '../../../ui/toast';
import { useWrite } from '../../../ui/use-write';
import { deleteVariety, restoreVariety, saveVariety } from '../../../data/varieties';
import { useWayOn } from '../../../ui/use-way-on';

const LEANING: [string, string][] = [
  ['', 'not known'],
  ...wordsOf(TENDENCIES, { less: 'less than others', usual: 'the same as others', more: 'more than others' }),
];

/** Form for one variety, as on its packet. */
export function VarietyForm({ variety, own }: { variety: Variety | VarietyDto | null; own: boolean }) {
  const garden = useGarden();
  const link = useLink();
  const goOn = useWayOn();
  const say = useSay();
  const save = useWrite(saveVariety, garden.id);
  const remove = useWrite(deleteVariety, garden.id);
  const restore = useWrite(restoreVariety, garden.id);
  const [id] = useState(() => (own && variety && 'id' in variety ? variety.id : uuid()));
  const { register, control, watch, setValue, handleSubmit, setError, formState } = useForm<VarietyInput>({
    resolver: resolverFor(VarietyInput),
    defaultValues: variety ? { ...variety, id } : { id, name: '', crop: 'tomato' },
  });
  const e = formState.errors;
  const [crop, letters] = watch(['crop', 'letters']);
  const read = readLetters(letters ?? '');
  const submit = handleSubmit(async (input) => {
    try {
      await save.send({ variety: input });
      say(`${input.name}: saved.`);
      await goOn(link('varieties', {}));
    } catch (error) {
      applyFaults(error, setError);
    }
  });
  const forget = () => {
    setValue('type', null);
    setValue('habit', null);
  };
  return (
    <form noValidate onSubmit={(ev) => void submit(ev)} className="flex flex-col gap-4">
      <FormCards>
        <FormCard title="Basics">
          <TextField label="Name" error={e.name?.message} {...register('name')} />
          <FormSelect control={control} label="Crop" options={wordsOf(CROPS)} name="crop" onChosen={forget} />
          <FormSelect
            control={control}
            label="Type"
            options={wordsOrUnknown(typesOf(crop))}
            name="type"
            {...emptyIsUnknown}
          />
          {crop === 'tomato' && (
            <FormSelect
              control={control}
              label="Habit"
              options={wordsOrUnknown(GROWTH_HABITS)}
              name="habit"
              {...emptyIsUnknown}
            />
          )}
        </FormCard>
        <FormCard title="From the packet">
          <MeasuredField
            control={control}
            name="daysToMaturity"
            label="Days to maturity after planting out"
            quantity="count"
          />
          <MeasuredField control={control} name="fruitG" label="Weight of one fruit" quantity="grams" />
          <FormSelect
            control={control}
            label="Ripe colour"
            options={wordsOrUnknown(RIPE_COLOURS)}
            name="ripeColour"
            {...emptyIsUnknown}
          />
          <TextField
            label="Resistance letters"
            placeholder="VFN"
            error={e.letters?.message}
            hint={
              [
                ...read.known.map(({ code, row }) => `${code}: ${row.means}`),
                ...read.unknown.map((u) => `${u}: not a known letter, so it is ignored`),
              ].join('; ') || 'V, F, N, T and the like, as printed'
            }
            {...register('letters', emptyIsUnknown)}
          />
        </FormCard>
        <FormCard title="Compared with others">
          <FormSelect
            control={control}
            label="Sets fruit in heat"
            options={LEANING}
            name="heatSet"
            {...emptyIsUnknown}
          />
          <FormSelect
            control={control}
            label="Sets fruit on cold nights"
            options={LEANING}
            name="coldSet"
            {...emptyIsUnknown}
          />
          <FormSelect control={control} label="Splits" options={LEANING} name="splits" {...emptyIsUnknown} />
          <FormSelect
            control={control}
            label="Gets blossom end rot"
            options={LEANING}
            name="darkEnds"
            {...emptyIsUnknown}
          />
        </FormCard>
      </FormCards>
      <RootFault errors={e} />
      <div className="flex flex-wrap gap-2">
        <Button look="main" type="submit" disabled={formState.isSubmitting}>
          Save
        </Button>
        <Link className={buttonLook('quiet')} to={link('varieties', {})}>
          Cancel
        </Link>
        {own && (
          <Button
            look="quiet"
            onClick={() => {
              remove.mutate(
                { id },
                { said: 'Deleted. Its plants stay as they are.', undo: () => restore.mutate({ id }) },
              );
              void goOn(link('varieties', {}));
            }}
          >
            Delete
          </Button>
        )}
      </div>
    </form>
  );
}
