import { PLANT_ENDS, type PlantDto, type PlantEnd } from '@candid-leaf/contract';
import { useState } from 'react';
import { useGarden, useLink } from '../../../lib/garden-context';
import { Button } from '../../../ui/button';
import { SelectField } from '../../../ui/select-field';
import { FormCard } from '../../../ui/form-card';
import { useWrite } from '../../../ui/use-write';
import { END_WORDS } from '../../../ui/plant-ends';
import { restorePlant, retirePlant } from '../../../data/plants';
import { useWayOn } from '../../../ui/use-way-on';

/** Archives a plant with a reason, so next year's plan knows. Records are kept, and it can be restored. */
export function EndPlant({ plant }: { plant: PlantDto }) {
  const garden = useGarden();
  const link = useLink();
  const goOn = useWayOn();
  const end = useWrite(retirePlant, garden.id);
  const back = useWrite(restorePlant, garden.id);
  const [because, setBecause] = useState<PlantEnd>('season-over');
  const { id } = plant;
  return (
    <FormCard title="Remove plant">
      <SelectField
        label="Reason"
        options={PLANT_ENDS.map((end) => [end, END_WORDS[end].now])}
        value={because}
        onChange={(chosen) => setBecause(chosen as PlantEnd)}
      />
      <p className="self-center text-soft">{END_WORDS[because].after}</p>
      <Button
        className="justify-self-start"
        disabled={end.isPending}
        onClick={() =>
          end.mutate(
            { id, because },
            {
              said: `${plant.name} was archived; its records are kept.`,
              undo: () => back.mutate({ id }),
              onSuccess: () => void goOn(link('garden', {})),
            },
          )
        }
      >
        Remove this plant
      </Button>
    </FormCard>
  );
}
