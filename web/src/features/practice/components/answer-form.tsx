import { disorderRow } from '@candid-leaf/core/diagnosis';
import type { Choices, Guess } from '@candid-leaf/core/practice';
import type { Crop } from '@candid-leaf/core/records';
import { useState } from 'react';
import { SignPicture } from '../../../signs/sign-picture';
import { Button } from '../../../ui/button';
import { Panel } from '../../../ui/panel';
import { PickOne } from '../../../ui/pick-one';
import { SliderField } from '../../../ui/slider-field';
import { ownDrawing } from '../../../signs/own-drawing';
import { actLabel, causeLabel, NONE, troubleLabel } from '../words';

interface Props {
  choices: Choices;
  crop: Crop;
  onAnswer: (guess: Guess) => void;
}

const OPEN = 'Choose one: guessing is fine.';
const orNone = <C extends string>(chosen: string): C | null => (chosen === NONE ? null : (chosen as C));

/** What it is; then how certain, why, and what to do first. */
export function AnswerForm({ choices, crop, onAnswer }: Props) {
  const [trouble, setTrouble] = useState('');
  const [surePct, setSurePct] = useState(50);
  const [cause, setCause] = useState('');
  const [act, setAct] = useState('');
  const [tried, setTried] = useState(false);
  const missing = (chosen: string) => (tried && !chosen ? OPEN : undefined);
  const answer = () => {
    setTried(true);
    if (!cause || !act) return;
    onAnswer({ trouble: trouble as Guess['trouble'], surePct, cause: orNone(cause), act: orNone(act) });
  };
  return (
    <Panel title="Your answer" className="flex flex-col gap-4">
      <PickOne
        label="What is it?"
        value={trouble}
        onChange={setTrouble}
        className="sm:grid-cols-2"
        options={choices.troubles.map((value) => ({
          value,
          label: troubleLabel(value),
          picture: <SignPicture sign={ownDrawing(disorderRow(value))} crop={crop} className="size-11 shrink-0" />,
        }))}
      />
      {trouble && (
        <>
          <SliderField
            label="How sure are you?"
            value={surePct}
            min={10}
            max={100}
            step={10}
            says={`${surePct} in 100`}
            onChange={setSurePct}
          />
          <PickOne
            label="Why here, by the records?"
            value={cause}
            onChange={setCause}
            error={missing(cause)}
            className="sm:grid-cols-2"
            options={[
              ...choices.causes.map((value) => ({ value, label: causeLabel(value) })),
              { value: NONE, label: causeLabel(null) },
            ]}
          />
          <PickOne
            label="What would you do first?"
            value={act}
            onChange={setAct}
            error={missing(act)}
            className="sm:grid-cols-2"
            options={[
              ...choices.acts.map((value) => ({ value, label: actLabel(value) })),
              { value: NONE, label: actLabel(null) },
            ]}
          />
          <Button look="main" className="self-start" onClick={answer}>
            Submit answer
          </Button>
        </>
      )}
    </Panel>
  );
}
