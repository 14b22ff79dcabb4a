import type { PlaceDto } from '@candid-leaf/contract';
import { CAUTIONS, type Crop } from '@candid-leaf/core/records';
import { acidityDose, PH_BAND, type AcidityAnswer } from '@candid-leaf/core/soil';
import { useState } from 'react';
import { useFormat, useGarden } from '../../../lib/garden-context';
import { Button } from '../../../ui/button';
import { MeasuredInput } from '../../../ui/measured-input';
import { Panel } from '../../../ui/panel';

/** Returns the current pH if it is right, else the middle of the target. */
const startTarget = (pH: number | null, low: number, high: number): number =>
  pH === null || pH < low ? 6.5 : pH > high ? high : pH;

/** Lime or sulfur from current to target pH: by texture, in dated parts; the weaker recipes. */
export function Acidity({ place, crop }: { place: PlaceDto; crop: Crop }) {
  const { today } = useGarden();
  const [low, high] = PH_BAND[crop];
  const [pH, setPh] = useState<number | null>(place.soilTest?.pH ?? null);
  const [target, setTarget] = useState<number | null>(startTarget(pH, low, high));
  const [fizzes, setFizzes] = useState<boolean | null>(null);
  const areaM2 = (place.lengthM ?? 0) * (place.widthM ?? 0);
  const ready = pH !== null && target !== null && pH >= 3 && pH <= 10 && areaM2 > 0;
  return (
    <Panel title="Lime or sulfur">
      <div className="mt-2 grid grid-cols-2 gap-3">
        <MeasuredInput label="Current pH" quantity="count" min={3} max={10} value={pH} onChange={setPh} />
        <MeasuredInput label="Target pH" quantity="count" min={5.5} max={7.2} value={target} onChange={setTarget} />
      </div>
      {ready ? (
        <Answer
          answer={acidityDose({ pH, target, texture: place.texture, areaM2, from: today, fizzes })}
          onFizzes={setFizzes}
        />
      ) : (
        <p className="mt-2 text-soft">Only with a tested pH: never add lime or sulfur on a guess.</p>
      )}
    </Panel>
  );
}

const WHY: Record<Extract<AcidityAnswer, { kind: 'refused' }>['because'], string> = {
  pot: 'Not for potting mix: this table is for ground.',
  over: 'Never lime above pH 6.8: iron and manganese would become deficient.',
  'free-lime': 'This soil holds free lime, which uses up sulfur for years: give none. Raised beds or pots do better.',
  'no-target': 'Tomatoes and peppers need 6 to 7: choose a pH close to that.',
};

function Answer({ answer, onFizzes }: { answer: AcidityAnswer; onFizzes: (fizzes: boolean) => void }) {
  const f = useFormat();
  if (answer.kind === 'ask')
    return (
      <div className="mt-3">
        <p>Drip vinegar on a spoonful of dry soil. Does it fizz?</p>
        <div className="mt-2 flex gap-2">
          <Button onClick={() => onFizzes(true)}>It fizzes</Button>
          <Button onClick={() => onFizzes(false)}>It does not</Button>
        </div>
      </div>
    );
  if (answer.kind === 'right') return <p className="mt-3">The pH is right. Add nothing.</p>;
  if (answer.kind === 'refused') return <p className="mt-3 text-ripe">{WHY[answer.because]}</p>;
  const { with: what, parts, range, testAgainOn } = answer.dose;
  const { ground } = f.per;
  const name = what === 'lime' ? 'Ground limestone' : 'Elemental sulfur';
  return (
    <div role="status" aria-label="The dose" className="mt-3 rounded-xl bg-leafwash p-4">
      <ol>
        {parts.map((p) => (
          <li key={p.on} className="text-xl">
            <strong>{f.grams(p.grams)}</strong> on {f.dayAndYear(p.on)}
          </li>
        ))}
      </ol>
      <p className="mt-1 text-sm">
        {name}, {f.grams(parts[0]!.gPerM2 * ground.metric)} for {ground.words}
        {parts.length > 1 ? ' each time, split because it is a lot at once' : ''}. Recipes range from{' '}
        {f.grams(range[0] * ground.metric)} to {f.grams(range[1] * ground.metric)} in total. We use the weaker; you can
        add more later. Test again from {f.dayAndYear(testAgainOn)}; it takes months to act.
      </p>
      <p className="mt-1 text-sm">{CAUTIONS.dust} Work it in lightly, and follow the label.</p>
    </div>
  );
}
