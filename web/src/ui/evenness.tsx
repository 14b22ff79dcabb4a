import { evennessInWords } from '@candid-leaf/core/water';
import { Explained } from './explained';

/** Evenness of water in words, with the number behind it. */
export function Evenness({ of }: { of: number }) {
  return (
    <Explained says={evennessInWords(of)}>
      <p>
        <strong className="tabular-nums">{of.toFixed(2)} of 1.</strong> This shows how even the water at the roots was
        over the last three weeks. A 1 means the same every day, a 0 from full to dry and back. Uneven water causes
        splits and blossom end rot.
      </p>
      <p className="mt-2 text-sm text-soft">
        Estimated from the waterings recorded here, each day’s weather and this soil.
      </p>
    </Explained>
  );
}
