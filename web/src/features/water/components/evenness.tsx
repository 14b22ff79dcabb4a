import { evennessInWords } from '@candid-leaf/core/water';
import { Explained } from '../../../ui/explained';

/** How even the water was, in words, with the number behind them. */
export function Evenness({ of }: { of: number }) {
  return (
    <Explained says={evennessInWords(of)}>
      <p>
        <strong className="tabular-nums">{of.toFixed(2)} of 1.</strong> How even the water in reach of the roots was
        over the last three weeks: 1 is the same every day, 0 is from full to dry and back. Fruit splits and turns dark
        at its end where it swings.
      </p>
      <p className="mt-2 text-sm text-soft">
        Reckoned from the waterings recorded here, the rain and the weather of each day, and the soil of this place.
      </p>
    </Explained>
  );
}
