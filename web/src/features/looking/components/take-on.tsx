import type { PlantView } from '@candid-leaf/contract';
import type { DisorderCode } from '@candid-leaf/core/records';
import { CheckCheck } from 'lucide-react';
import { v7 as uuid } from 'uuid';
import { startTreatment } from '../../../data/plants';
import { useFormat } from '../../../lib/garden-context';
import { Button } from '../../../ui/button';
import { useWrite } from '../../../ui/use-write';

/** Takes the steps on: they become tasks of Today. */
export function TakeOn({ view, disorder }: { view: PlantView; disorder: DisorderCode }) {
  const { garden, plant, treatments } = view;
  const openedOn = treatments.find((t) => t.disorder === disorder && t.closedOn === null)?.openedOn;
  const format = useFormat();
  const start = useWrite(startTreatment, garden.id);
  if (openedOn)
    return (
      <p className="flex items-center gap-2 font-semibold text-leaf">
        <CheckCheck aria-hidden size={20} /> Started on {format.day(openedOn)}; the tasks are in Today.
      </p>
    );
  return (
    <Button
      look="main"
      className="print:hidden"
      disabled={start.isPending}
      onClick={() =>
        start.mutate({ plantId: plant.id, id: uuid(), disorder }, { said: 'Started. The tasks are now in Today.' })
      }
    >
      I will do this
    </Button>
  );
}
