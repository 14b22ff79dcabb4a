import type { GardenView, PlantView } from '@candid-leaf/contract';
import { impliedAbsent, type Part, PARTS, type SignCode, SIGNS, type SignSeen } from '@candid-leaf/core/records';
import { ArrowRight, Check } from 'lucide-react';
import { useMemo, useState } from 'react';
import { Link, Navigate, useNavigate, useParams, useSearchParams } from 'react-router';
import { v7 as uuid } from 'uuid';
import { ApiError } from '../../data/api';
import { useDeleteRecord, useGardenView, usePlantView, useSaveRecord } from '../../data/queries';
import { Button, buttonLook } from '../../parts/button';
import { TextField } from '../../parts/field';
import { Shell } from '../../parts/shell';
import { Failed, Waiting } from '../../parts/states';
import { PART_WORDS, TouchPlant } from '../../parts/touch-plant';
import { useSay } from '../../parts/toast';
import { useDayWords } from '../../data/garden-context';
import { walkPlan } from '../walk/walk-plan';
import { inNumbers, lastTime } from './last-time';
import { SignTile } from './sign-tile';
import { useInspection } from './use-inspection';

/** Looking a plant over: touch the part, then what it looks like. */
export function LookScreen() {
  const { gardenId, plantId } = useParams() as { gardenId: string; plantId: string };
  const view = usePlantView(gardenId, plantId);
  const around = useGardenView(gardenId);
  if (view.isPending) return <Waiting what="Walking up to it" />;
  if (view.error instanceof ApiError && view.error.status === 401) return <Navigate to="/sign-in" replace />;
  if (view.error) return <Failed error={view.error} again={() => void view.refetch()} />;
  return (
    <Shell garden={view.data.garden} ribbon={around.data?.ribbon} weather={around.data?.weather}>
      <Look key={plantId} view={view.data} around={around.data} />
    </Shell>
  );
}

/** The commonest thing to say comes first. */
const NOTHING_THERE: SignCode = 'pest-none-found';
const isPart = (x: string | null): x is Part => PARTS.includes(x as Part);

function Look({ view, around }: { view: PlantView; around: GardenView | undefined }) {
  const { garden, plant } = view;
  const say = useSay();
  const dayWords = useDayWords();
  const navigate = useNavigate();
  const [params, setParams] = useSearchParams();
  const [words, setWords] = useState('');
  const save = useSaveRecord(garden.id);
  const remove = useDeleteRecord(garden.id);
  const inspection = useInspection(view, (e) => say(e.message, { bad: true }));
  const asked = params.get('part');
  const part = isPart(asked) ? asked : null;
  const choose = (p: Part) => {
    setWords('');
    setParams(walking ? { part: p, walk: '1' } : { part: p }, { replace: true });
  };
  const walking = params.has('walk');
  const plan = around && walkPlan(around, plant.placeId);
  const after = walking ? (plan?.next(plant.id) ?? null) : null;
  const wayOn = after
    ? `/gardens/${garden.id}/plants/${after.plant.id}/look?walk=1`
    : `/gardens/${garden.id}/places/${plant.placeId}/walk`;
  const earlier = useMemo(() => lastTime(view), [view]);
  const nearby = new Map((walking && plan ? plan.offered(plant.id) : []).map((o) => [o.sign, o.on]));
  const before = (code: SignCode): string | undefined => {
    const last = earlier.get(code);
    if (last) return `${inNumbers(last.seen)} on ${dayWords(last.day)}`;
    const on = nearby.get(code);
    return on && `today on ${on}`;
  };
  const page = `/gardens/${garden.id}/plants/${plant.id}`;
  const first = (code: SignCode): number => (before(code) ? 2 : code === NOTHING_THERE ? 1 : 0);
  const found = SIGNS.filter((s) => {
    if ('crop' in s && s.crop !== plant.crop) return false;
    if (words.trim().length >= 2) return `${s.label} ${s.line}`.toLowerCase().includes(words.trim().toLowerCase());
    if (part === null) return before(s.code) !== undefined;
    return (s.parts as readonly Part[]).includes(part);
  }).sort((a, b) => first(b.code) - first(a.code));
  const of = (code: SignCode): SignSeen | undefined => inspection.signs.find((s) => s.sign === code);
  // what is ruled out by something seen is taken back, so that a day never says both
  const put = (code: SignCode, seen: SignSeen | null) => {
    if (seen?.present) for (const out of impliedAbsent(code)) if (of(out)?.present) inspection.put(out, null);
    inspection.put(code, seen);
  };
  const allClear = () => {
    const id = uuid();
    save.mutate(
      {
        id,
        type: 'inspection',
        plantId: plant.id,
        data: { date: garden.today, allClear: true, partOfDay: inspection.partOfDay, signs: [] },
      },
      {
        onSuccess: () => {
          say(`${plant.name}: all clear.`, { undo: () => remove.mutate(id) });
          void navigate(walking ? wayOn : page);
        },
        onError: (e) => say(e.message, { bad: true }),
      },
    );
  };
  const present = inspection.signs.filter((s) => s.present);
  const absent = inspection.signs.length - present.length;
  const step = part ? PARTS.indexOf(part) : -1;
  const next = PARTS[step + 1];
  return (
    <div className="grid gap-4 pb-20 lg:grid-cols-[22rem_1fr]">
      <section
        aria-label="The plant"
        className="self-start rounded-2xl border border-line bg-card p-3 lg:sticky lg:top-32"
      >
        <div className="mb-2 flex items-center justify-between gap-2">
          <h1 className="text-2xl">{plant.name}</h1>
          {present.length === 0 && (
            <Button onClick={allClear} disabled={save.isPending}>
              <Check aria-hidden size={17} /> All clear
            </Button>
          )}
        </div>
        <div className={part ? 'max-lg:hidden' : ''}>
          <TouchPlant plant={plant} chosen={part} signs={present.map((s) => s.sign)} onTouch={choose} />
        </div>
        {part && (
          <Button
            look="quiet"
            className="w-full lg:hidden"
            onClick={() => setParams(walking ? { walk: '1' } : {}, { replace: true })}
          >
            Back to the plant
          </Button>
        )}
        <fieldset className="mt-3 flex items-center gap-2 text-sm">
          <legend className="sr-only">Time of day</legend>
          {(['morning', 'afternoon'] as const).map((p) => (
            <button
              key={p}
              type="button"
              aria-pressed={inspection.partOfDay === p}
              onClick={() => inspection.setPartOfDay(p)}
              className={`min-h-11 flex-1 rounded-lg border px-3 ${inspection.partOfDay === p ? 'border-leaf bg-leafwash font-semibold text-leaf' : 'border-line'}`}
            >
              {p === 'morning' ? 'In the morning' : 'In the afternoon'}
            </button>
          ))}
        </fieldset>
      </section>
      <section aria-label="What it looks like">
        <div className="mb-3 flex flex-wrap items-end justify-between gap-3">
          <h2 className="text-2xl">
            {part
              ? PART_WORDS[part]
              : words
                ? 'Found'
                : found.length > 0
                  ? 'Still there?'
                  : 'Touch a part of the plant'}
          </h2>
          <TextField
            label="Or find it by words"
            type="search"
            className="w-64 max-w-full"
            value={words}
            onChange={(e) => setWords(e.target.value)}
          />
        </div>
        {!part && !words && (
          <p className="text-soft">
            {found.length > 0
              ? 'Seen last time, or on the plants before. For anything else touch the part of the plant. '
              : 'Then touch what it looks like. '}
            Harmless looks are there too; what you looked for and did not find is worth saying.
          </p>
        )}
        {words && found.length === 0 && (
          <p className="text-soft">Nothing of that name. Touch the part instead, and pick by its picture.</p>
        )}
        <ul className="grid grid-cols-2 gap-2 sm:grid-cols-3 xl:grid-cols-4">
          {found.map((s) => (
            <SignTile
              key={s.code}
              sign={s.code}
              crop={plant.crop}
              seen={of(s.code)}
              before={before(s.code)}
              onPut={(v) => put(s.code, v)}
            />
          ))}
        </ul>
        {!words && next && (part || walking) && (
          <Button look="quiet" className="mt-3" onClick={() => choose(next)}>
            {part ? 'Next' : 'Begin'}: {PART_WORDS[next].toLowerCase()} <ArrowRight aria-hidden size={17} />
          </Button>
        )}
      </section>
      {(walking || inspection.signs.length > 0) && (
        <div className="fixed inset-x-0 bottom-0 z-10 border-t border-line bg-paper/95 px-4 py-2">
          <div className="mx-auto flex max-w-7xl items-center justify-between gap-3">
            <p role="status" className="min-w-0 truncate">
              {inspection.saving
                ? 'Writing it down …'
                : inspection.signs.length > 0
                  ? `Kept: ${present.length} seen${absent > 0 ? `, ${absent} not there` : ''}`
                  : `${(plan?.plants.findIndex((p) => p.plant.id === plant.id) ?? 0) + 1} of ${plan?.plants.length ?? 1}, from the soil up`}
            </p>
            {walking ? (
              <Link to={wayOn} className={`${buttonLook('main')} shrink-0`}>
                {after ? `On to ${after.plant.name}` : 'End of the walk'} <ArrowRight aria-hidden size={17} />
              </Link>
            ) : (
              <Link to={page} className={`${buttonLook('main')} shrink-0`}>
                What is it?
              </Link>
            )}
          </div>
        </div>
      )}
    </div>
  );
}
