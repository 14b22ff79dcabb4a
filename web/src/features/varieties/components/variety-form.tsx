import { VarietyInput, type VarietyDto } from '@candid-leaf/contract';
import { type Variety, readLetters, RIPE_COLOURS } from '@candid-leaf/core/varieties';
import { CROPS, GROWTH_HABITS, TENDENCIES, typesOf } from '@candid-leaf/core/records';
import { useState } from 'react';
import { FormProvider, useForm } from 'react-hook-form';
import { v7 as uuid } from 'uuid';
import { useGarden, useLink } from '../../../lib/garden-context';
import { wordsOf, wordsOrUnknown } from '../../../lib/words';
import { FormCard, FormCards } from '../../../ui/form-card';
import { applyFaults, resolverFor } from '../../../ui/form-faults';
import { useSay } from '../../../ui/toast';
import { useWrite } from '../../../ui/use-write';
import { deleteVariety, restoreVariety, saveVariety } from '../../../data/varieties';
import { useWayOn } from '../../../ui/use-way-on';
import { fieldsOf, FormEnd } from '../../../ui/form-kit';

const F = fieldsOf<VarietyInput>();

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
  const form = useForm<VarietyInput>({
    resolver: resolverFor(VarietyInput),
    defaultValues: variety ? { ...variety, id } : { id, name: '', crop: 'tomato' },
  });
  const { watch, setValue, handleSubmit, setError } = form;
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
    <FormProvider {...form}>
      <form noValidate onSubmit={(ev) => void submit(ev)} className="flex flex-col gap-4">
        <FormCards>
          <FormCard title="Basics">
            <F.Text name="name" label="Name" />
            <F.Choice label="Crop" options={wordsOf(CROPS)} name="crop" onChosen={forget} />
            <F.Maybe label="Type" options={wordsOrUnknown(typesOf(crop))} name="type" />
            {crop === 'tomato' && <F.Maybe label="Habit" options={wordsOrUnknown(GROWTH_HABITS)} name="habit" />}
          </FormCard>
          <FormCard title="From the packet">
            <F.Amount name="daysToMaturity" label="Days to maturity after planting out" quantity="count" />
            <F.Amount name="fruitG" label="Weight of one fruit" quantity="grams" />
            <F.Maybe label="Ripe colour" options={wordsOrUnknown(RIPE_COLOURS)} name="ripeColour" />
            <F.Text
              name="letters"
              optional
              label="Resistance letters"
              placeholder="VFN"
              hint={
                [
                  ...read.known.map(({ code, row }) => `${code}: ${row.means}`),
                  ...read.unknown.map((u) => `${u}: not a known letter, so it is ignored`),
                ].join('; ') || 'V, F, N, T and the like, as printed'
              }
            />
          </FormCard>
          <FormCard title="Compared with others">
            <F.Maybe label="Sets fruit in heat" options={LEANING} name="heatSet" />
            <F.Maybe label="Sets fruit on cold nights" options={LEANING} name="coldSet" />
            <F.Maybe label="Splits" options={LEANING} name="splits" />
            <F.Maybe label="Gets blossom end rot" options={LEANING} name="darkEnds" />
          </FormCard>
        </FormCards>
        <FormEnd
          back={link('varieties', {})}
          onDelete={
            own
              ? () => {
                  remove.mutate(
                    { id },
                    { said: 'Deleted. Its plants stay as they are.', undo: () => restore.mutate({ id }) },
                  );
                  void goOn(link('varieties', {}));
                }
              : undefined
          }
        />
      </form>
    </FormProvider>
  );
}
