import { disorderRow, whyHere } from '@candid-leaf/core/diagnosis';
import type { Guess, Judged } from '@candid-leaf/core/practice';
import type { Crop } from '@candid-leaf/core/records';
import { BookOpen, Check, X } from 'lucide-react';
import { type ReactNode, useEffect, useRef } from 'react';
import { Link } from 'react-router';
import { useLink } from '../../../lib/garden-context';
import { buttonLook } from '../../../ui/button';
import { Panel } from '../../../ui/panel';
import { actLabel, causeLabel, checkLabel, showedInWords, troubleLabel, worthInWords } from '../words';

interface Props {
  judged: Judged;
  guess: Guess;
  crop: Crop;
  /** link to the next plant */
  next: string;
}

/** The solution: what it was, what the records and each check showed, and what misled. */
export function Verdict({ judged, guess, crop, next }: Props) {
  const link = useLink();
  const { trouble } = judged;
  const row = disorderRow(trouble);
  const heading = useRef<HTMLHeadingElement>(null);
  // move reading focus to the new part
  useEffect(() => heading.current?.focus(), []);
  const { truth, misled } = judged;
  return (
    <Panel main label="The answer" className="flex flex-col gap-4">
      <div>
        <h2 ref={heading} tabIndex={-1} className="scroll-mt-44 text-xl">
          {judged.right ? 'Right' : 'Not quite'}: {row.label.toLowerCase()}.
        </h2>
        <p className="mt-1 max-w-prose">{row.line}</p>
      </div>
      <ul className="flex flex-col gap-1">
        <Part right={judged.right} what="What it is" said={troubleLabel(guess.trouble)} is={troubleLabel(trouble)} />
        <Part
          right={judged.causeRight}
          what="Why here"
          said={causeLabel(guess.cause)}
          is={truth.causes.length > 0 ? truth.causes.map(causeLabel).join('; or: ') : causeLabel(null)}
        />
        <Part
          right={judged.actRight}
          what="What to do first"
          said={actLabel(guess.act)}
          is={truth.alsoFirst.length > 0 ? truth.alsoFirst.map(actLabel).join('; or: ') : actLabel(null)}
        />
      </ul>
      <Lesson title="What the records showed">
        {whyHere(truth).map((why) => (
          <p key={why}>{why}</p>
        ))}
      </Lesson>
      <Lesson title="What each check told you">
        <p>
          At first sight {inHundred(judged.chanceAtFirst)} such plants have it; after your checks{' '}
          {inHundred(judged.chanceAfter)}.
        </p>
        {judged.checks.map((c) => (
          <p key={c.check}>
            <strong>{checkLabel(c.check)}</strong>, {c.minutes} min: {worthInWords(c.bits)}.{' '}
            <span className="text-soft">{showedInWords(c.present)}</span>
          </p>
        ))}
        {judged.missed && (
          <p>
            The best check for its time: <strong>{checkLabel(judged.missed.check)}</strong>, {judged.missed.minutes}{' '}
            min.
          </p>
        )}
      </Lesson>
      {misled && (
        <Lesson title="What could mislead you">
          <p>
            {troubleLabel(misled.disorder)}, {inHundred(misled.chance)} at first sight.{' '}
            {misled.tell && `How to tell them apart: ${misled.tell}.`}
          </p>
        </Lesson>
      )}
      <div className="flex flex-wrap gap-1">
        <Link className={buttonLook('main')} to={next}>
          Next plant
        </Link>
        <Link className={buttonLook('quiet')} to={link('disorder', { disorder: trouble }, { crop })}>
          <BookOpen aria-hidden size={18} /> In the handbook
        </Link>
      </div>
    </Panel>
  );
}

const inHundred = (chance: number): string => `${Math.min(99, Math.round(chance * 100))} in 100`;

function Part({ right, what, said, is }: { right: boolean; what: string; said: string; is: string }) {
  const Mark = right ? Check : X;
  return (
    <li className="flex gap-2">
      <Mark aria-hidden size={20} className={right ? 'mt-0.5 shrink-0 text-leaf' : 'mt-0.5 shrink-0 text-ripe'} />
      <span>
        <strong>{what}:</strong> {right ? 'right. ' : 'no. '}
        {right ? said : `You said: ${said}. It is: ${is}`}.
      </span>
    </li>
  );
}

function Lesson({ title, children }: { title: string; children: ReactNode }) {
  return (
    <div className="flex max-w-prose flex-col gap-1">
      <h3 className="font-body font-semibold">{title}</h3>
      {children}
    </div>
  );
}
