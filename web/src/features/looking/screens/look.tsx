import type { GardenView, PlantView } from '@candid-leaf/contract';
import { type SignCode, signRow, type SignSeen } from '@candid-leaf/core/records';
import { ArrowLeft, ArrowRight, Check, X } from 'lucide-react';
import clsx from 'clsx';
import { useState } from 'react';
import { Link } from 'react-router';
import { useGarden } from '../../../lib/garden-context';
import { Button, buttonLook } from '../../../ui/button';
import { IconButton } from '../../../ui/icon-button';
import { Unfold } from '../../../ui/unfold';
import { Panel } from '../../../ui/panel';
import { AddPhoto } from '../../../frame/acts/add-photo';
import { PlantPage } from '../../../frame/plant-page';
import { PART_WORDS, TouchPlant } from '../../../signs/plant/touch-plant';
import { useRecordOnce } from '../../../frame/acts/use-record-once';
import { asGrown } from '../../../lib/plant-now';
import { GrowthQuestion } from '../../../frame/acts/growth-question';
import { CountTruss, NoteWeeds, UnlikePacket } from '../components/noted-besides';
import { SignTile } from '../components/sign-tile';
import { isLookedFor, signsToOffer } from '../signs-to-offer';
import { useLook, type LookState } from '../use-look';
import { useWayOn } from '../../../ui/use-way-on';

/** Looking a plant over: touch the part, then what it looks like. */
export function LookScreen() {
  return (
    <PlantPage waiting="Loading the plant">
      {(view, around) => <Look key={view.plant.id} view={view} around={around} />}
    </PlantPage>
  );
}

function Look({ view, around }: { view: PlantView; around: GardenView | undefined }) {
  const look = useLook(view, around);
  return (
    <div className="grid grid-cols-1 gap-4 pb-20 lg:grid-cols-[22rem_1fr]">
      <ThePlant view={view} look={look} />
      {/* fixed below all signs, and before them in keyboard order */}
      {(look.walking || look.inspection.signs.length > 0) && <Foot view={view} look={look} />}
      <Signs key={look.part ?? 'all'} view={view} look={look} />
    </div>
  );
}

interface PartProps {
  view: PlantView;
  look: LookState;
}

const isSeen = (s: SignSeen): boolean => s.present;

/** The drawn plant to touch, "all clear", and the time of day. */
function ThePlant({ view, look }: PartProps) {
  const { stands, growth } = view;
  const plant = asGrown(view);
  const { part, inspection, choose } = look;
  const present = inspection.signs.filter(isSeen);
  return (
    <Panel label="The plant" className="self-start p-3 lg:sticky lg:top-32">
      <div className={clsx('flex items-center justify-between gap-2', !part && 'mb-2')}>
        {part && (
          <span className="lg:hidden">
            <IconButton icon={ArrowLeft} label="Back to the plant" onClick={() => choose(null)} />
          </span>
        )}
        <h1 className="min-w-0 grow truncate text-xl">{plant.name}</h1>
        {present.length === 0 && <AllClear plant={plant} look={look} />}
      </div>
      <div className={part ? 'max-lg:hidden' : ''}>
        <TouchPlant plant={plant} stands={stands} chosen={part} signs={present.map((s) => s.sign)} onTouch={choose} />
      </div>
      <div className={part ? 'max-lg:hidden' : ''}>
        <GrowthQuestion plant={plant} growth={growth} />
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
      </div>
    </Panel>
  );
}

function AllClear({ plant, look }: { plant: PlantView['plant']; look: LookState }) {
  const garden = useGarden();
  const goOn = useWayOn();
  const record = useRecordOnce(garden.id);
  const allClear = () =>
    record.write(
      {
        type: 'inspection',
        plantId: plant.id,
        data: { date: garden.today, allClear: true, partOfDay: look.inspection.partOfDay, signs: [] },
      },
      `${plant.name}: all clear.`,
      () => void goOn(look.wayOn),
    );
  return (
    <Button className="shrink-0 whitespace-nowrap" onClick={allClear} disabled={record.isPending}>
      <Check aria-hidden size={17} /> All clear
    </Button>
  );
}

/** Signs that show at once: what was there before, "none found", and the likeliest. */
const AT_ONCE = 9;

/** The signs of the part as drawings to touch, likeliest first; or by search. */
function Signs({ view: { plant, report }, look }: PartProps) {
  const [words, setWords] = useState('');
  // what is touched changes what is likely; the drawings stay where they are until the part changes
  const [likely] = useState(report.likelySigns);
  const { part, walking, before, choose } = look;
  const found = signsToOffer({
    crop: plant.crop,
    part,
    words,
    likely,
    wasThere: (code) => before(code) !== undefined,
  }).map((s) => s.code);
  const first = words ? found : found.slice(0, AT_ONCE);
  const more = found.slice(first.length);
  const next = look.order[part ? look.order.indexOf(part) + 1 : 0];
  return (
    <section aria-label="What it looks like">
      <div className="mb-3 flex flex-wrap items-end justify-between gap-x-3 gap-y-1">
        <h2 className="text-xl">{part && !words ? PART_WORDS[part] : headingOf(words, found.length)}</h2>
        <input
          type="search"
          aria-label="Search by words"
          placeholder="Search by words"
          className="min-h-11 w-40 rounded-lg border border-soft/60 bg-card px-3 py-1.5 text-ink sm:w-64"
          value={words}
          onChange={(e) => setWords(e.target.value)}
        />
      </div>
      {!part && !words && (
        <p className="text-soft">
          {found.length > 0
            ? 'Seen last time, or on the plants before. For anything else touch the part of the plant.'
            : 'Then touch what it looks like.'}
        </p>
      )}
      {words && found.length === 0 && (
        <p className="text-soft">No match. Touch the part of the plant instead, and choose by picture.</p>
      )}
      <Tiles signs={first} plant={plant} look={look} askAbsent={words !== ''} />
      {!words && part && <NoneOfThese signs={first} look={look} />}
      {more.length > 0 && (
        <Unfold look="act" title="More signs">
          {() => <Tiles signs={more} plant={plant} look={look} />}
        </Unfold>
      )}
      <div className="mt-3 flex flex-wrap gap-2">
        {!words && (part === 'flowers' || part === 'fruit') && <CountTruss plant={plant} />}
        {!words && part === 'fruit' && <UnlikePacket plant={plant} />}
        {!words && part === 'soil' && <NoteWeeds plant={plant} />}
        {!words && next && (part || walking) && (
          <Button look="quiet" onClick={() => choose(next)}>
            {part ? 'Next' : 'Begin'}: {PART_WORDS[next].toLowerCase()} <ArrowRight aria-hidden size={17} />
          </Button>
        )}
      </div>
    </section>
  );
}

interface TilesProps {
  signs: readonly SignCode[];
  plant: PlantView['plant'];
  look: LookState;
  /** each can also be marked as not there */
  askAbsent?: boolean;
}

/** Drawings to touch. A chosen one opens its row below; the next drawings close the gap. */
function Tiles({ signs, plant, look: { of, before, put }, askAbsent = false }: TilesProps) {
  return (
    <ul className="grid grid-flow-row-dense grid-cols-3 gap-2 xl:grid-cols-5">
      {signs.map((code) => (
        <SignTile
          key={code}
          sign={code}
          crop={plant.crop}
          seen={of(code)}
          before={before(code)}
          askAbsent={askAbsent}
          onPut={(v) => put(code, v)}
          photo={
            <AddPhoto
              of={{ plantId: plant.id }}
              sign={code}
              label={`Take or choose a photo: ${signRow(code).label}`}
              look="quiet"
            />
          }
        />
      ))}
    </ul>
  );
}

/** Marks what is drawn above, and a look alone would show, as not there; a second touch takes it back. */
function NoneOfThese({ signs, look: { of, put } }: Pick<TilesProps, 'signs' | 'look'>) {
  const asked = signs.filter((code) => isLookedFor(code) && !of(code)?.present);
  const marked = asked.length > 0 && asked.every((code) => of(code)?.present === false);
  if (asked.length === 0) return null;
  const mark = () => {
    for (const sign of asked) put(sign, marked ? null : { sign, present: false });
  };
  return (
    <Button look={marked ? 'main' : 'plain'} className="mt-2" aria-pressed={marked} onClick={mark}>
      <X aria-hidden size={17} />{' '}
      {asked.length === signs.filter(isLookedFor).length ? 'None of these' : 'None of the others'}
    </Button>
  );
}

function headingOf(words: string, found: number): string {
  if (words) return 'Found';
  return found > 0 ? 'Still there?' : 'Touch a part of the plant';
}

/** What this look has saved, and the next step. */
function Foot({ view: { plant }, look }: PartProps) {
  const { inspection, walking, walk, after, wayOn } = look;
  const seen = inspection.signs.filter(isSeen).length;
  const absent = inspection.signs.length - seen;
  const at = (walk?.plants.findIndex((p) => p.plant.id === plant.id) ?? 0) + 1;
  const kept =
    inspection.signs.length > 0
      ? `Saved: ${seen} seen${absent > 0 ? `, ${absent} not there` : ''}`
      : `${at} of ${walk?.plants.length ?? 1}, from the soil up`;
  return (
    <div className="fixed inset-x-0 bottom-14 z-10 border-t sm:bottom-0 border-line bg-paper px-4 py-2">
      <div className="mx-auto flex max-w-7xl items-center justify-between gap-3">
        <p role="status" className="min-w-0 truncate">
          {inspection.saving ? 'Saving …' : kept}
        </p>
        <Link data-key="n" to={wayOn} className={`${buttonLook('main')} shrink-0`}>
          {!walking ? (
            'What is it?'
          ) : (
            <>
              {after ? `Next: ${after.plant.name}` : 'End of the walk'} <ArrowRight aria-hidden size={17} />
            </>
          )}
        </Link>
      </div>
    </div>
  );
}
