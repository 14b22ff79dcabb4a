import type { CorrectedBy } from '@candid-leaf/core/water';
import { useFormat } from '../../lib/garden-context';
import { sentence } from '../../lib/words';
import { describeAll } from './mark-charts';
import type { ChartDay } from './chart-days';

const CORRECTED: Record<CorrectedBy, string> = {
  weight: 'the pot’s weight',
  drained: 'water that ran through',
  droop: 'drooping over dry soil',
  finger: 'a finger check',
  probe: 'a probe',
};

/** The selected ribbon day in a sentence. */
export function ChosenDay({ d }: { d: ChartDay }) {
  const format = useFormat();
  const left = d.left ?? d.leftAhead;
  const { water, feed, work, seen, note } = d.on;
  const words = [
    d.warmth ? format.temperatures(...d.warmth) : 'no weather recorded',
    d.rainMm > 0 ? `${format.rain(d.rainMm)} of rain` : '',
    left !== null ? `${left} % of the water left that night` : '',
    d.moved ? `${CORRECTED[d.moved.by]} corrected the estimate from ${d.moved.from} to ${d.moved.to} %` : '',
    d.nitrogenG > 0 ? `${format.grams(d.nitrogenG)} of nitrogen` : '',
  ].filter(Boolean);
  const done = describeAll([...water, ...feed, ...work, ...seen, ...note], format);
  return (
    <p className="mt-1 sm:ml-18" role="status">
      <strong>{format.day(d.day)}:</strong> {words.join('; ')}. {done && sentence(done)}
    </p>
  );
}

/** For screen readers: the days with records. */
export function SpokenDays({ days }: { days: readonly ChartDay[] }) {
  const format = useFormat();
  return (
    <div className="sr-only">
      <table>
        <caption>Water and work, day by day</caption>
        <thead>
          <tr>
            <th>Day</th>
            <th>Water left</th>
            <th>Watered</th>
            <th>Rain</th>
            <th>Records</th>
          </tr>
        </thead>
        <tbody>
          {days
            .filter((d) => !d.ahead)
            .map((d) => (
              <tr key={d.day}>
                <th scope="row">{format.day(d.day)}</th>
                <td>{d.left === null ? 'not known' : `${d.left} %`}</td>
                <td>{format.litres(d.wateredL)}</td>
                <td>{format.rain(d.rainMm)}</td>
                <td>{describeAll([...d.on.feed, ...d.on.work, ...d.on.seen], format)}</td>
              </tr>
            ))}
        </tbody>
      </table>
    </div>
  );
}
