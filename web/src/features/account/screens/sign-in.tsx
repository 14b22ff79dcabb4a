import { PlantDrawing } from '../../../signs/plant-drawing';
import { ROUTES } from '../../../lib/paths';
import { EntryCard } from '../components/entry';

/** Sign in, or make an account. */
export function SignInScreen() {
  return (
    <main className="mx-auto grid min-h-dvh max-w-5xl items-center gap-8 p-5 sm:grid-cols-[1fr_24rem]">
      <div>
        <h1 className="text-4xl">Candid Leaf</h1>
        <p className="mt-3 max-w-md text-lg text-soft">
          What ails a tomato or pepper plant, why it happened here, and what to do about it: told from what you saw and
          what you wrote down.
        </p>
        <div aria-hidden className="mt-6 flex max-w-md items-end gap-2 border-b-12 border-moist max-sm:hidden">
          <PlantDrawing
            plant={{ crop: 'tomato', habit: 'indeterminate', type: 'slicer', stage: 'ripening' }}
            className="-mb-8 h-64"
          />
          <PlantDrawing plant={{ crop: 'pepper', type: 'sweet', stage: 'fruiting' }} className="-mb-6 h-48" />
        </div>
      </div>
      <div className="rounded-2xl border border-line bg-card p-6">
        <EntryCard to={ROUTES.home} />
      </div>
    </main>
  );
}
