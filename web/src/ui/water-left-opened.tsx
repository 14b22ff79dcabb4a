import { type BalanceDay, type CorrectedBy, waterExplained } from '@candid-leaf/core/water';
import { useFormat } from '../lib/garden-context';
import { Explained } from './explained';
import { percent } from './water-left';

const TOLD_BY: Record<CorrectedBy, string> = {
  weight: 'the weight of its pot',
  drained: 'water that ran out below',
  droop: 'drooping leaves',
  finger: 'a soil check',
  probe: 'a probe',
};

/** The share of water left; opens to how it was estimated, and how certain. */
export function WaterLeftOpened({ daily, drying }: { daily: readonly BalanceDay[]; drying: string | null }) {
  const format = useFormat();
  const r = waterExplained(daily);
  const left = daily.at(-1)?.fractionAvailable ?? null;
  const said = (
    <span>
      <strong>{percent(left)}</strong> of its water left
    </span>
  );
  if (!r) return said;
  return (
    <Explained says={said}>
      <p>
        <strong className="tabular-nums">
          {format.litres(r.leftL)} of {format.litres(r.inReachL)}
        </strong>{' '}
        within reach of its roots, give or take {Math.round(r.error * 100)} in 100.
      </p>
      <table className="mt-2 w-full text-sm tabular-nums">
        <caption className="text-left text-soft">In the last {r.days} days, for this plant</caption>
        <tbody>
          {(
            [
              [`given in ${r.waterings} ${r.waterings === 1 ? 'watering' : 'waterings'}`, r.givenL],
              ['rain that came in', r.rainL],
              ['used by leaves and sun', -r.usedL],
              ['drained away', -r.drainedL],
            ] as const
          ).map(([what, litres]) => (
            <tr key={what}>
              <th scope="row" className="pr-3 text-left font-normal">
                {what}
              </th>
              <td className="text-right">
                {litres < 0 ? '−' : '+'} {format.litres(Math.abs(litres))}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {drying && <p className="mt-2">{drying}</p>}
      <p className="mt-2 text-sm text-soft">
        {r.correctedBy
          ? `Corrected by ${TOLD_BY[r.correctedBy.by]} on ${format.day(r.correctedBy.on)}.`
          : 'Nothing was measured on these days: a soil check makes it more certain.'}{' '}
        Estimated day by day by the method of FAO-56 from recorded weather and waterings.
      </p>
    </Explained>
  );
}
