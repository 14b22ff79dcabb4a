import type { PlantView } from '@candid-leaf/contract';
import {
  cutHoldInWords,
  cutInWords,
  cutsWhy,
  TRADES,
  TRAINING_BECAUSE,
  TRAINING_WORDS,
  TRAININGS,
  type Training,
} from '@candid-leaf/core/pruning';
import { GlassWater } from 'lucide-react';
import { v7 as uuid } from 'uuid';
import { asInput } from '../../../lib/as-input';
import { useFormat, useGarden } from '../../../lib/garden-context';
import { sentence } from '../../../lib/words';
import { CutsDrawing, SuckerOrTruss } from '../../../signs/cuts-drawing';
import { Button } from '../../../ui/button';
import { SelectField } from '../../../ui/select-field';
import { asGrown } from '../../../lib/plant-now';
import { Panel } from '../../../ui/panel';
import { useWrite } from '../../../ui/use-write';
import { useDeleteWithUndo } from '../../../frame/acts/use-delete-with-undo';
import { saveRecord } from '../../../data/records';
import { savePlant } from '../../../data/plants';
import { Unfold } from '../../../ui/unfold';

/** This week's cuts, drawn in place; its training and the trade-off. */
export function CutsPanel({ view }: { view: PlantView }) {
  const f = useFormat();
  const { cuts: plan } = view;
  const plant = asGrown(view);
  const tomato = plant.crop === 'tomato';
  return (
    <Panel title="Pruning and training">
      <div className="mt-2 flex gap-4">
        {plant.heightM != null && (
          <CutsDrawing
            plant={plant}
            heightM={plant.heightM}
            clearToM={plan.clearToM}
            cuts={plan.cuts}
            className="w-32 shrink-0 self-start"
          />
        )}
        <div className="min-w-0 flex-1">
          {plan.cuts.length === 0 ? (
            <p>{plan.hold ? sentence(cutHoldInWords(plan.hold, f)) : 'Nothing to prune this week.'}</p>
          ) : (
            <>
              <ol className="list-decimal pl-5">
                {plan.cuts.map((c) => (
                  <li key={c.kind}>{cutInWords(c)}</li>
                ))}
              </ol>
              {plan.hold && <p className="mt-1 font-semibold">{sentence(cutHoldInWords(plan.hold, f))}</p>}
            </>
          )}
          <p className="mt-1 text-sm text-soft">{sentence(cutsWhy(plan, f))}</p>
          {plan.topOn && (
            <p className="mt-1 text-sm text-soft">
              Top it from {f.day(plan.topOn)}: fruit of later flowers stays small.
            </p>
          )}
          {plan.cleanBlades && <p className="mt-1 text-sm">Clean the blades with 70 % alcohol before and after.</p>}
        </div>
      </div>
      {!plan.recorded && <AskCut view={view} />}
      {tomato && <Trained view={view} />}
      {tomato && (
        <Unfold className="mt-3 border-t border-line pt-2" look="act" title="Which shoot is a sucker?">
          {() => (
            <>
              <SuckerOrTruss className="w-full max-w-sm" />
              <p className="text-sm text-soft">
                A sucker grows in the angle of leaf and stem. A shoot with flowers from the bare stem between two leaves
                is a truss: leave it.
              </p>
            </>
          )}
        </Unfold>
      )}
      {tomato && plant.habit !== 'determinate' && <RootIt view={view} />}
    </Panel>
  );
}

function Trained({ view: { plant, cuts } }: { view: PlantView }) {
  const garden = useGarden();
  const save = useWrite(savePlant, garden.id);
  const { training, because } = cuts.training;
  const trade = TRADES[training];
  return (
    <div className="mt-3 border-t border-line pt-3">
      <SelectField
        label="Trained to"
        value={plant.training ?? ''}
        disabled={save.isPending}
        options={[
          ['', cuts.chosen ? 'suggested' : `${TRAINING_WORDS[training]} (suggested)`],
          ...TRAININGS.map((t): [string, string] => [t, TRAINING_WORDS[t]]),
        ]}
        onChange={(chosen) =>
          save.mutate(
            { plant: { ...asInput(plant), training: (chosen || null) as Training | null } },
            { said: 'Saved: the week’s cuts follow.' },
          )
        }
      />
      <p className="mt-1 text-sm text-soft">
        {!cuts.chosen && `${sentence(TRAINING_BECAUSE[because])} `} Fruit {trade.earlier}, {trade.size}; per plant{' '}
        {trade.perPlant}, for the room it takes {trade.perM2}; shade on the fruit {trade.shade}.
      </p>
    </div>
  );
}

/** The gentlest question: not recorded does not mean not done. */
function AskCut({ view: { plant } }: { view: PlantView }) {
  const garden = useGarden();
  const save = useWrite(saveRecord, garden.id);
  const remove = useDeleteWithUndo(garden.id);
  const none = () => {
    const id = uuid();
    save.mutate(
      { record: { id, type: 'pruning', plantId: plant.id, placeId: null, data: { date: garden.today, cuts: 0 } } },
      { said: 'Recorded: no pruning so far.', undo: () => remove(id) },
    );
  };
  return (
    <div className="mt-2 flex flex-wrap items-center gap-x-3 gap-y-1">
      <span>Was it pruned this season?</span>
      <Button onClick={none} disabled={save.isPending}>
        Not so far
      </Button>
      <span className="text-sm text-soft">If it was, add it under Record.</span>
    </div>
  );
}

/** A removed sucker becomes a plant. */
function RootIt({ view: { plant } }: { view: PlantView }) {
  const f = useFormat();
  const garden = useGarden();
  const save = useWrite(saveRecord, garden.id);
  const remove = useDeleteWithUndo(garden.id);
  const start = () => {
    const id = uuid();
    save.mutate(
      {
        record: {
          id,
          type: 'event',
          plantId: plant.id,
          placeId: null,
          data: { date: garden.today, what: 'sucker-in-water' },
        },
      },
      { said: 'It is in water. In a week we’ll remind you to check for roots.', undo: () => remove(id) },
    );
  };
  return (
    <div className="mt-2 flex flex-wrap items-center gap-x-3 gap-y-1 border-t border-line pt-2">
      <Button look="quiet" className="-ml-3" onClick={start} disabled={save.isPending}>
        <GlassWater aria-hidden size={18} /> Root this sucker
      </Button>
      <span className="text-sm text-soft">
        {f.centimetres(10)} to {f.centimetres(20)} long: strip the lower leaves and stand it in water in the shade.
      </span>
    </div>
  );
}
