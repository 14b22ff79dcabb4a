import type { PracticeDto } from '@candid-leaf/contract';
import { Explained } from '../../../ui/explained';
import { Panel } from '../../../ui/panel';
import { ShareBar } from '../../../ui/share-bar';

/** Stated certainty compared with results. */
export function CalibrationPanel({ calibration }: Pick<PracticeDto, 'calibration'>) {
  if (!calibration)
    return (
      <Panel title="How well-calibrated are you?">
        <p className="mt-1 text-soft">After a few answers this shows how often you are right when you feel certain.</p>
      </Panel>
    );
  const { of, right, brier, steps, words } = calibration;
  return (
    <Panel title="How well-calibrated are you?">
      <p className="mt-1">
        {right} of {of} right. {words}
      </p>
      <ul className="mt-3 flex flex-col gap-2.5">
        {steps.map((s) => {
          const label = `You said ${s.from} to ${s.to} in 100: right ${Math.round((s.rightPct * s.of) / 100)} of ${s.of}`;
          return (
            <li key={s.from}>
              <p className="text-sm tabular-nums">{label}</p>
              <ShareBar label={label} percent={s.rightPct} className="mt-0.5 max-w-80" />
            </li>
          );
        })}
      </ul>
      <p className="mt-3 text-sm text-soft">
        <Explained says={`Score ${brier.toFixed(2)}`}>
          <p>
            The average squared gap between your stated certainty and the result. A score of 0 is always right and
            certain, 0.25 a coin toss, 1 always certain and wrong.
          </p>
          <p className="mt-2 text-sm text-soft">
            Brier 1950, over your last {of} answers; the first answer to a plant counts.
          </p>
        </Explained>
      </p>
    </Panel>
  );
}
