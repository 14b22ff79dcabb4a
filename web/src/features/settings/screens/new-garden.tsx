import { useNavigate } from 'react-router';
import { linkTo } from '../../../lib/paths';
import { GardenForm } from '../components/garden-form';

export function NewGarden() {
  const navigate = useNavigate();
  return (
    <main className="mx-auto max-w-3xl p-5">
      <h1 className="text-3xl">A new garden</h1>
      <p className="mt-1 mb-4 text-soft">
        Where it lies decides how much sun it gets and how much water goes. A few kilometres more or less do not matter.
      </p>
      <GardenForm garden={null} onKept={(g) => void navigate(linkTo('garden', { gardenId: g.id }))} />
    </main>
  );
}
