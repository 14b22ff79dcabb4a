import { PLANT_ENDS, type PlantDto, type PlantEnd } from '@candid-leaf/contract';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { useGarden, useLink } from '../../../lib/garden-context';
import { wordsOf } from '../../../lib/words';
import { Button } from '../../../ui/button';
import { SelectField } from '../../../ui/field';
import { FormCard } from '../../../ui/form-card';
import { useWrite } from '../../../ui/use-write';
import { restorePlant, retirePlant } from '../writes';

/** What becomes of it, and of what held it (handbook: close the year). */
const AFTER: Record<PlantEnd, string> = {
  'season-over':
    'Healthy plants go on the compost, cut small. Natural string goes with them; ties are kept, cages nested, stakes brushed clean.',
  disease:
    'Into a bag and the bin, roots and all, not on the compost. Clean blades, stakes and ties before they touch another plant.',
  frost:
    'Pick what is firm first; the rest goes on the compost. Natural string goes with it; ties are kept, cages nested.',
  died: 'Look at roots and stem before it goes; if you do not know why it died, keep it off the compost.',
  'given-away': 'Its records stay here.',
  'made-room': 'Healthy plants go on the compost, cut small.',
};

/** The plant ends: with why, so that next year’s plan knows. Its records are kept, and it can be called back. */
export function EndPlant({ plant }: { plant: PlantDto }) {
  const garden = useGarden();
  const link = useLink();
  const navigate = useNavigate();
  const end = useWrite(retirePlant, garden.id);
  const back = useWrite(restorePlant, garden.id);
  const [because, setBecause] = useState<PlantEnd>('season-over');
  const { id } = plant;
  return (
    <FormCard title="Its end">
      <SelectField
        label="It ends because"
        options={wordsOf(PLANT_ENDS, {
          'season-over': 'The season is over',
          disease: 'It is diseased',
          frost: 'Frost took it',
          died: 'It died',
        })}
        value={because}
        onChange={(e) => setBecause(e.target.value as PlantEnd)}
      />
      <p className="self-center text-soft">{AFTER[because]}</p>
      <Button
        className="justify-self-start"
        disabled={end.isPending}
        onClick={() =>
          end.mutate(
            { id, because },
            {
              said: `${plant.name} has ended; its records are kept.`,
              undo: () => back.mutate({ id }),
              onSuccess: () => void navigate(link('garden', {})),
            },
          )
        }
      >
        End this plant
      </Button>
    </FormCard>
  );
}
