import { type CheckCode, CHECKS } from '@candid-leaf/core/diagnosis';
import {
  type Guess,
  isSeed,
  nextPractice,
  PRACTICE_THEMES,
  type PracticeTheme,
  THEMES,
} from '@candid-leaf/core/practice';
import { type Part, type PlantCase, type SignCode, signRow } from '@candid-leaf/core/records';
import { keepPreviousData, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useParams, useSearchParams } from 'react-router';
import { GardenContext, useFormat, useGarden, useLink } from '../../../lib/garden-context';
import { wordOf } from '../../../lib/words';
import { PlantDrawing } from '../../../signs/plant/plant-drawing';
import { SignPicture } from '../../../signs/sign-picture';
import { Panel } from '../../../ui/panel';
import { Failed, Waiting } from '../../../ui/states';
import { useSay } from '../../../ui/toast';
import type { PracticeShown } from '../../../workers/practice.worker';
import { GardenPage } from '../../../frame/garden-page';
import { viewOfCase } from '../../../data/view-of-case';
import { PlantCharts } from '../../../frame/charts/plant-charts';
import { AnswerForm } from '../components/answer-form';
import { CloserLook } from '../components/closer-look';
import { Verdict } from '../components/verdict';
import { asAnswered, nextSeed } from '../next-seed';
import { practiceCaseQuery, practiceQuery, useKeepAnswer } from '../../../data/practice';
import { plantInWords } from '../words';

/** One made-up plant to diagnose. */
export function PracticePlantScreen() {
  const { theme = '', seed = '' } = useParams();
  const known = (PRACTICE_THEMES as readonly string[]).includes(theme) && isSeed(Number(seed));
  return (
    <GardenPage title={() => (known ? THEMES[theme as PracticeTheme].title : 'Practice')}>
      {() =>
        known ? (
          <Plant key={`${theme} ${seed}`} theme={theme as PracticeTheme} seed={Number(seed)} />
        ) : (
          <p role="alert">We can’t find that plant. The link may be incomplete.</p>
        )
      }
    </GardenPage>
  );
}

interface Of {
  theme: PracticeTheme;
  seed: number;
}

function Plant({ theme, seed }: Of) {
  const { units, dateForm } = useGarden();
  const client = useQueryClient();
  const say = useSay();
  const [params, setParams] = useSearchParams();
  const [guess, setGuess] = useState<Guess | null>(null);
  // checks are in the address, so a reload loses nothing
  const done = (params.get('checked')?.split(',') ?? []).filter((c): c is CheckCode => KNOWN_CHECKS.has(c));
  const asked = { theme, seed, done, units, dateForm };
  const query = useQuery({
    ...practiceCaseQuery(guess ? { ...asked, guess } : asked),
    placeholderData: keepPreviousData,
  });
  const keep = useKeepAnswer();
  const answer = async (given: Guess) => {
    setGuess(given);
    const { judged } = await client.fetchQuery(practiceCaseQuery({ ...asked, guess: given }));
    if (!judged) return;
    const { trouble: was, right, causeRight, actRight, minutes } = judged;
    const { trouble, surePct } = given;
    keep.mutate(
      { theme, seed, trouble, was, surePct, right, causeRight, actRight, minutes },
      { onError: () => say('Offline: this answer could not be saved to your account.', { bad: true }) },
    );
  };
  if (query.error) return <Failed error={query.error} />;
  if (!query.data) return <Waiting what="Drawing a plant" here />;
  return (
    <Drawn
      of={{ theme, seed }}
      shown={query.data}
      guess={guess}
      onCheck={(code) => setParams({ checked: [...done, code].join(',') }, { replace: true, preventScrollReset: true })}
      onAnswer={(given) => void answer(given)}
    />
  );
}

const KNOWN_CHECKS: ReadonlySet<string> = new Set(CHECKS.map((c) => c.code));

interface DrawnProps {
  of: Of;
  shown: PracticeShown;
  guess: Guess | null;
  onCheck: (check: CheckCode) => void;
  onAnswer: (guess: Guess) => void;
}

/** Part of the plant that a sign stands on; a circumstance has none. */
const partOf = (sign: SignCode): Part[] => (signRow(sign).kind === 'sign' ? [signRow(sign).parts[0]!] : []);

/** What would have prevented it and what is coming would give the answer away. */
const NOTHING_TOLD = { prevented: [], coming: [] };

/** Two columns on a desk, one on a phone with records before checks. */
const COLUMN = 'contents lg:flex lg:min-w-0 lg:flex-col lg:gap-4';

function Drawn({ of: { theme, seed }, shown, guess, onCheck, onAnswer }: DrawnProps) {
  const reader = useGarden();
  const link = useLink();
  const { data } = useQuery(practiceQuery);
  const { plantCase, report, judged, choices, first } = shown;
  const { crop } = plantCase.plant;
  const view = viewOfCase(plantCase, { report, ...NOTHING_TOLD }, reader);
  const answers = data?.answers ?? [];
  const own = answers.filter((a) => a.theme === theme);
  const after =
    theme === 'mixed' ? nextPractice(asAnswered(answers), reader.today, reader.latitude).seed : nextSeed(own, seed);
  const lit = new Set(judged ? judged.truth.drivers.flatMap((d) => d.because.map((b) => b.date)) : []);
  return (
    <GardenContext.Provider value={view.garden}>
      <About of={plantCase} seed={theme === 'mixed' ? null : seed} again={!guess && own.some((a) => a.seed === seed)} />
      <div className="grid items-start gap-4 lg:grid-cols-[20rem_1fr]">
        <div className={COLUMN}>
          <Panel title="What you see" className="order-1 min-w-0">
            <PlantDrawing plant={view.plant} ailing={first.flatMap(partOf)} bare className="mx-auto h-44 max-w-full" />
            <ul className="mt-3 flex flex-wrap justify-center gap-2">
              {first.map((sign) => (
                <li key={sign} className="w-24 text-center text-sm leading-4.5">
                  <SignPicture sign={sign} crop={crop} className="mx-auto size-20" />
                  {signRow(sign).label}
                </li>
              ))}
            </ul>
          </Panel>
          <div className="order-3 min-w-0">
            <CloserLook shown={shown} onCheck={guess ? null : onCheck} />
          </div>
        </div>
        <div className={COLUMN}>
          <div className="order-2 min-w-0">
            <PlantCharts view={view} lit={lit} />
          </div>
          <div className="order-4 min-w-0">
            {judged && guess ? (
              <Verdict
                judged={judged}
                guess={guess}
                crop={crop}
                next={link('practicePlant', { theme, seed: String(after) })}
              />
            ) : (
              <AnswerForm choices={choices} crop={crop} onAnswer={onAnswer} />
            )}
          </div>
        </div>
      </div>
    </GardenContext.Provider>
  );
}

function About({ of: c, seed, again }: { of: PlantCase; seed: number | null; again: boolean }) {
  const format = useFormat();
  const { place, plant, asOf } = c;
  const facts = [
    plantInWords(c),
    place.volumeL != null && ` of ${format.litres(place.volumeL)}`,
    `. ${wordOf(place.texture)}`,
    place.mulch?.length && ', mulched',
    place.history?.length && ', the same family grew here last year',
    plant.transplantedOn && `. Planted out ${format.day(plant.transplantedOn)}`,
    plant.heightM != null && `, ${format.centimetres(plant.heightM * 100)} tall`,
    `. It is ${format.day(asOf)}.`,
  ];
  return (
    <p className="mb-4 max-w-prose text-soft">
      {seed !== null && <strong className="text-ink tabular-nums">No. {seed}. </strong>}
      {facts.filter(Boolean)}
      {again && ' You already answered this one; the first answer counts.'}
    </p>
  );
}
