import { useGarden, useLink } from '../lib/garden-context';
import type { OfGarden, Write } from '../lib/writes';
import { Button } from './button';
import { useWrite } from './use-write';
import { useWayOn } from './use-way-on';

type ById = Write<OfGarden & { id: string }, unknown>;

interface Props {
  words: string;
  of: { id: string; name: string };
  retire: ById;
  restore: ById;
}

/** Archives a bed or plant; nothing recorded is lost, and it can be undone. */
export function RetireButton({ words, of, retire, restore }: Props) {
  const garden = useGarden();
  const link = useLink();
  const goOn = useWayOn();
  const out = useWrite(retire, garden.id);
  const back = useWrite(restore, garden.id);
  const { id } = of;
  const onClick = () =>
    out.mutate(
      { id },
      {
        said: `${of.name} was archived; its records are kept.`,
        undo: () => back.mutate({ id }),
        onSuccess: () => void goOn(link('garden', {})),
      },
    );
  return (
    <Button look="quiet" className="ml-auto" onClick={onClick}>
      {words}
    </Button>
  );
}
