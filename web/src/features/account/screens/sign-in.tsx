import { PlantDrawing } from '../../../signs/plant/plant-drawing';
import { SoilSlice } from '../../../ui/water-left';
import { ROUTES } from '../../../lib/paths';
import { EntryCard } from '../../../frame/entry';

/** Sign in, or make an account. */
export function SignInScreen() {
  return (
    <main className="mx-auto grid min-h-dvh max-w-5xl items-center gap-8 p-5 sm:grid-cols-[1fr_24rem]">
      <div>
        <h1 className="text-4xl">Candid Leaf</h1>
        <p className="mt-3 max-w-md text-lg text-soft">
          Find out what ails your tomato or pepper plant, why it happened, and what to do, from what you saw and
          recorded.
        </p>
        <div aria-hidden className="mt-6 max-w-md max-sm:hidden">
          <div className="flex items-end justify-around gap-2 px-4">
            <PlantDrawing
              bare
              plant={{
                crop: 'tomato',
                habit: 'indeterminate',
                training: 'one-stem',
                type: 'slicer',
                stage: 'ripening',
              }}
              held="stake"
              className="h-64"
            />
            <PlantDrawing bare plant={{ crop: 'pepper', type: 'sweet', stage: 'ripening' }} className="h-44" />
            <PlantDrawing
              bare
              plant={{ crop: 'tomato', habit: 'determinate', type: 'cherry', stage: 'fruiting' }}
              className="h-40"
            />
          </div>
          {/* one strip of soil under all of them */}
          <SoilSlice fraction={0.7} mulched />
        </div>
      </div>
      <div className="rounded-2xl border border-line bg-card p-6">
        <EntryCard to={ROUTES.home} />
      </div>
    </main>
  );
}
