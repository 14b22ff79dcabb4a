import type { GardenDto, PlantDto } from '@candid-leaf/contract';
import { CROPS, impliedAbsent, type Crop, type Part, type SignCode, type SignSeen } from '@candid-leaf/core/records';
import { useQuery } from '@tanstack/react-query';
import { ArrowLeft, Sprout } from 'lucide-react';
import { useState } from 'react';
import { Link } from 'react-router';
import { entryQuery } from '../../../data/account';
import { viewOfCase } from '../../../data/view-of-case';
import { GardenContext, RoleContext } from '../../../lib/garden-context';
import { UNIT_SETS, waysOf } from '../../../lib/own-ways';
import { ROUTES } from '../../../lib/paths';
import {
  caseOfTried,
  noteTried,
  TRIED_PLACES,
  TRIED_RHYTHMS,
  triedHere,
  type Tried,
  type TriedPlace,
  type TriedRhythm,
} from '../../../lib/tried';
import { PART_WORDS, TouchPlant } from '../../../signs/plant/touch-plant';
import { Button, buttonLook } from '../../../ui/button';
import { Panel } from '../../../ui/panel';
import { PickOne } from '../../../ui/pick-one';
import { Failed, Waiting } from '../../../ui/states';
import { Unfold } from '../../../ui/unfold';
import { PlantStory } from '../components/plant-story';
import { SignTile } from '../components/sign-tile';
import { signsToOffer } from '../signs-to-offer';
import { useCaseReading } from '../use-case-reading';

const NOBODY = '00000000-0000-0000-0000-000000000000';
const today = (): string => new Date(Date.now() - new Date().getTimezoneOffset() * 60_000).toISOString().slice(0, 10);
const timeZone = (): string => Intl.DateTimeFormat().resolvedOptions().timeZone;
const nothingYet = (): Tried => ({ crop: 'tomato', place: 'bed', rhythm: 'unsure', day: today(), signs: [] });

/** A visitor's garden: it has their units, and leads to the demo garden's handbook. */
function visitorsGarden(demo: string | null): GardenDto {
  const { units, weekStart, dateForm } = waysOf(navigator.language);
  return {
    id: demo ?? NOBODY,
    version: 1,
    name: 'One plant',
    latitude: 0,
    longitude: 0,
    elevationM: 0,
    timeZone: timeZone(),
    units: UNIT_SETS[units],
    weekStart,
    dateForm,
    today: today(),
  };
}

/** One plant looked over without an account. The answer is worked out on this device, and nothing is sent. */
export function TryItScreen() {
  const entry = useQuery(entryQuery());
  const [tried, setTried] = useState<Tried>(() => triedHere() ?? nothingYet());
  const [answered, setAnswered] = useState(false);
  const [garden] = useState(() => visitorsGarden(null));
  const change = (more: Partial<Tried>): void => {
    const next = { ...tried, ...more };
    noteTried(next);
    setTried(next);
  };
  return (
    <RoleContext.Provider value="look">
      <GardenContext.Provider value={{ ...garden, id: entry.data?.demo ?? NOBODY }}>
        <main className="mx-auto max-w-6xl p-4 pb-24">
          <Link to={ROUTES.signIn} className={`${buttonLook('quiet')} -ml-3`}>
            <ArrowLeft aria-hidden size={18} /> Candid Leaf
          </Link>
          <h1 className="mt-1 text-3xl">Look over one plant</h1>
          <p className="mt-1 mb-4 max-w-prose text-soft">
            Say what you see. The answer is worked out on this device; nothing is sent.
          </p>
          {answered ? (
            <Answer tried={tried} garden={garden} onBack={() => setAnswered(false)} />
          ) : (
            <Questions tried={tried} change={change} onAnswer={() => setAnswered(true)} />
          )}
        </main>
      </GardenContext.Provider>
    </RoleContext.Provider>
  );
}

interface QuestionsProps {
  tried: Tried;
  change: (more: Partial<Tried>) => void;
  onAnswer: () => void;
}

const CROP_WORDS: Record<Crop, string> = { tomato: 'Tomato', pepper: 'Pepper' };
const optionsOf = (rows: Readonly<Record<string, { label: string }>>): { value: string; label: string }[] =>
  Object.entries(rows).map(([value, { label }]) => ({ value, label }));

function Questions({ tried, change, onAnswer }: QuestionsProps) {
  const { crop, place, rhythm, signs } = tried;
  const [part, setPart] = useState<Part | null>(null);
  const plant = { id: NOBODY, placeId: NOBODY, name: '', crop, stage: 'fruiting', heightM: 1.2 } as PlantDto;
  const seen = signs.filter((s) => s.present);
  return (
    <div className="grid items-start gap-4 lg:grid-cols-[22rem_1fr]">
      <Panel label="The plant">
        <div className="flex flex-col gap-4">
          <PickOne
            label="Tomato or pepper?"
            className="grid-cols-2"
            value={crop}
            options={CROPS.map((value) => ({ value, label: CROP_WORDS[value] }))}
            onChange={(value) => change({ crop: value as Crop, signs: [] })}
          />
          <PickOne
            label="Where does it grow?"
            value={place}
            options={optionsOf(TRIED_PLACES)}
            onChange={(value) => change({ place: value as TriedPlace })}
          />
          <PickOne
            label="How often is it watered?"
            value={rhythm}
            options={optionsOf(TRIED_RHYTHMS)}
            onChange={(value) => change({ rhythm: value as TriedRhythm })}
          />
        </div>
      </Panel>
      <section aria-label="What you see" className="min-w-0">
        <Panel label="Where it looks wrong" className="p-3">
          <h2 className="text-xl">{part ? PART_WORDS[part] : 'Touch where something looks wrong'}</h2>
          <TouchPlant plant={plant} chosen={part} signs={seen.map((s) => s.sign)} onTouch={setPart} />
        </Panel>
        {part && <Signs key={`${crop} ${part}`} part={part} tried={tried} change={change} />}
      </section>
      {seen.length > 0 && (
        <div className="fixed inset-x-0 bottom-0 z-10 border-t border-line bg-paper px-4 py-2">
          <div className="mx-auto flex max-w-6xl items-center justify-between gap-3">
            <p role="status">{seen.length === 1 ? 'One sign chosen' : `${seen.length} signs chosen`}</p>
            <Button look="main" onClick={onAnswer}>
              What is it?
            </Button>
          </div>
        </div>
      )}
    </div>
  );
}

/** Signs that show at once. */
const AT_ONCE = 10;

function Signs({ part, tried: { crop, signs }, change }: { part: Part } & Pick<QuestionsProps, 'tried' | 'change'>) {
  const found = signsToOffer({ crop, part, words: '', likely: [], wasThere: () => false }).map((s) => s.code);
  const put = (code: SignCode, seen: SignSeen | null): void => {
    const out = new Set<SignCode>([code, ...(seen?.present ? impliedAbsent(code) : [])]);
    change({ signs: [...signs.filter((s) => !out.has(s.sign)), ...(seen ? [seen] : [])] });
  };
  const tiles = (codes: readonly SignCode[]) => (
    <ul className="mt-3 grid grid-flow-row-dense grid-cols-3 gap-2 xl:grid-cols-5">
      {codes.map((code) => (
        <SignTile
          key={code}
          sign={code}
          crop={crop}
          seen={signs.find((s) => s.sign === code)}
          onPut={(seen) => put(code, seen)}
        />
      ))}
    </ul>
  );
  return (
    <>
      {tiles(found.slice(0, AT_ONCE))}
      {found.length > AT_ONCE && (
        <Unfold look="act" title="More signs">
          {() => tiles(found.slice(AT_ONCE))}
        </Unfold>
      )}
    </>
  );
}

function Answer({ tried, garden, onBack }: { tried: Tried; garden: GardenDto; onBack: () => void }) {
  const [text] = useState(() => JSON.stringify(caseOfTried(tried, timeZone())));
  const read = useCaseReading(text, garden);
  if (!read) return <Waiting what="Looking for the cause" here />;
  if (!read.ok) return <Failed error={new Error(read.faults[0]?.reason ?? '')} again={onBack} />;
  return (
    <>
      <div className="mb-4 flex flex-wrap items-center gap-2">
        <Link className={buttonLook('main')} to={`${ROUTES.signIn}?start`}>
          <Sprout aria-hidden size={18} /> Start a garden with this plant
        </Link>
        <Button onClick={onBack}>Change what you see</Button>
      </div>
      <p className="mb-4 max-w-prose text-soft">
        Your weather, feeding and pruning are not known here. In a garden of your own they count, with days and amounts.
      </p>
      <PlantStory view={viewOfCase(read.plantCase, read, garden)} fromOther />
    </>
  );
}
