import type { PlantView } from '@candid-leaf/contract';
import type { DisorderCode } from '@candid-leaf/core/records';
import clsx from 'clsx';
import { CheckCheck } from 'lucide-react';
import { v7 as uuid } from 'uuid';
import { startTreatment } from '../../../data/plants';
import { useFormat } from '../../../lib/garden-context';
import { Button } from '../../../ui/button';
import { useWrite } from '../../../ui/use-write';

interface Props {
  view: PlantView;
  disorder: DisorderCode;
  /** on a phone it stays above the bar, however far one scrolls */
  pinned?: boolean;
}

/** Takes the steps on: they become tasks of Today. */
export function TakeOn({ view, disorder, pinned = false }: Props) {
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
  const button = (
    <Button
      look="main"
      className={clsx('print:hidden', pinned && 'max-sm:w-full')}
      disabled={start.isPending}
      onClick={() =>
        start.mutate({ plantId: plant.id, id: uuid(), disorder }, { said: 'Started. The tasks are now in Today.' })
      }
    >
      I will do this
    </Button>
  );
  return pinned ? (
    <div
      data-pinned
      className="max-sm:fixed max-sm:inset-x-0 max-sm:bottom-[calc(3.5rem+env(safe-area-inset-bottom))] max-sm:z-10 max-sm:border-t max-sm:border-line max-sm:bg-paper max-sm:px-3 max-sm:py-2"
    >
      {button}
    </div>
  ) : (
    button
  );
}
