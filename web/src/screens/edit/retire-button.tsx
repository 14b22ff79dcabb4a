import { useNavigate } from 'react-router';
import { useGarden } from '../../data/garden-context';
import { useRetire } from '../../data/queries';
import { Button } from '../../parts/button';
import { useSay } from '../../parts/toast';

/** Takes a place or a plant out of the garden view; nothing recorded is lost, and it can be called back. */
export function RetireButton({ what, of }: { what: 'places' | 'plants'; of: { id: string; name: string } }) {
  const garden = useGarden();
  const navigate = useNavigate();
  const say = useSay();
  const retire = useRetire(garden.id, what);
  const onSuccess = () => {
    say(`${of.name} is retired; its records are kept.`, { undo: () => retire.mutate({ id: of.id, back: true }) });
    void navigate(`/gardens/${garden.id}`);
  };
  return (
    <Button look="quiet" className="ml-auto" onClick={() => retire.mutate({ id: of.id }, { onSuccess })}>
      {what === 'places' ? 'Retire this place' : 'Retire this plant'}
    </Button>
  );
}
