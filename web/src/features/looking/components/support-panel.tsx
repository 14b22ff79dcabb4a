import { v7 as uuid } from 'uuid';
import { saveRecord } from '../../../data/records';
import { useDeleteWithUndo } from '../../../frame/acts/use-delete-with-undo';
import { useWrite } from '../../../ui/use-write';
import { Button } from '../../../ui/button';
import { isRecordOf, type PlantView } from '@candid-leaf/contract';
import { setByTruss, shareSet } from '@candid-leaf/core/pollination';
import { costPerSeason, fullLoadKg, methodsToHold, SUPPORT_WORDS, whyHeld } from '@candid-leaf/core/support';
import { sentence } from '../../../lib/words';
import { useFormat, useGarden } from '../../../lib/garden-context';
import { Panel } from '../../../ui/panel';
import { Unfold } from '../../../ui/unfold';
import { percent } from '../../../ui/water-left';

/** Its support, length and ties; and fruit set by truss. */
export function SupportPanel({ view }: { view: PlantView }) {
  const f = useFormat();
  const { support: s, tap } = view.tending;
  const { trusses, share } = setByTruss(view.records.flatMap((r) => (isRecordOf(r, 'truss-count') ? [r.data] : [])));
  return (
    <Panel title="Support and fruit set">
      <p className="mt-1">
        Support: {SUPPORT_WORDS[s.kind]}
        {s.because === 'in-stock' && ', from your stock'}
        {s.lengthM > 0 && `, ${f.metres(s.lengthM)} long`}
        {s.ties > 0 &&
          `; ${s.ties} ${s.ties === 1 ? 'tie' : 'ties'} at its height, ${f.metres(s.tieStringM)} of soft string`}
        .
      </p>
      {s.extraStake && (
        <p className="mt-1 font-semibold">It has outgrown its cage: drive a stake beside it and tie the top to it.</p>
      )}
      {s.lower && (
        <p className="mt-1">
          It has outgrown its string. Lower it by a hand or two and lean the bare stem along, so the top stays in reach.
        </p>
      )}
      <p className="text-sm text-soft">
        Tie every {f.centimetres(22)} or so, with room for a finger. Put caps on cane ends.
      </p>
      <Methods plant={view.plant} />
      {s.tieOn === null && s.ties > 0 && s.kind !== 'cage' && s.kind !== 'small-cage' && <AskTied view={view} />}
      {tap && <p className="mt-2">{sentence(tap)}</p>}
      {trusses.length > 0 ? (
        <>
          <ul className="mt-2 divide-y divide-line" aria-label="Trusses">
            {trusses.map((t) => (
              <li key={t.truss} className="grid grid-cols-[5rem_1fr_3rem] items-center gap-3 py-1 tabular-nums">
                <span>Truss {t.truss}</span>
                <span aria-hidden className="h-3 overflow-hidden rounded-full bg-line">
                  <span className="block h-full bg-leaf" style={{ width: `${100 * (shareSet(t) ?? 0)}%` }} />
                </span>
                <span className="text-right">{percent(shareSet(t))}</span>
              </li>
            ))}
          </ul>
          <p className="text-sm text-soft">{percent(share)} of the counted flowers have set fruit.</p>
        </>
      ) : (
        <p className="mt-2 text-sm text-soft">Count flowers and fruit on a truss to see how well they set.</p>
      )}
    </Panel>
  );
}

const costOf = (cost: number | null): string =>
  cost === null ? '' : `Costs about ${cost.toFixed(2)} a plant and season. `;

/** What its support must hold, and the ways to do it. */
function Methods({ plant }: Pick<PlantView, 'plant'>) {
  const f = useFormat();
  const { stock } = useGarden();
  const [low, high] = fullLoadKg(plant.crop, plant.habit);
  return (
    <Unfold look="act" title="Ways to hold it up">
      {() => (
        <>
          <p>
            {whyHeld(plant.crop, plant.habit)} Full-grown it weighs {f.kilograms(low)} to {f.kilograms(high)}.
          </p>
          <dl className="mt-2 flex flex-col gap-3">
            {methodsToHold(plant.crop, plant.habit).map((m) => (
              <div key={m.code}>
                <dt className="font-semibold">{m.label}</dt>
                <dd>
                  <ol className="list-decimal pl-5">
                    {m.steps.map((step) => (
                      <li key={step}>{step}</li>
                    ))}
                  </ol>
                  <p className="text-sm text-soft">
                    {m.line} {costOf(costPerSeason(m, stock ?? {}))}
                    {m.seasons > 1 ? `Lasts about ${m.seasons} seasons.` : 'New each season.'}
                  </p>
                </dd>
              </div>
            ))}
          </dl>
        </>
      )}
    </Unfold>
  );
}

/** No tie is recorded: after the first one a weekly reminder starts. */
function AskTied({ view: { plant } }: { view: PlantView }) {
  const garden = useGarden();
  const save = useWrite(saveRecord, garden.id);
  const remove = useDeleteWithUndo(garden.id);
  const tied = () => {
    const id = uuid();
    save.mutate(
      { record: { id, type: 'event', plantId: plant.id, placeId: null, data: { date: garden.today, what: 'tied' } } },
      { said: 'Recorded: tied in.', undo: () => remove(id) },
    );
  };
  return (
    <div className="mt-2 flex flex-wrap items-center gap-x-3 gap-y-1">
      <Button onClick={tied} disabled={save.isPending}>
        Tied today
      </Button>
      <span className="text-sm text-soft">No tie is recorded. After the first one we’ll remind you every week.</span>
    </div>
  );
}
