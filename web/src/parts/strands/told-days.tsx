import type { CorrectedBy } from '@candid-leaf/core/water';
import { useDayWords, useGarden } from '../../data/garden-context';
import { tellRecord } from '../record-kinds';
import type { StrandDay } from './strand-days';

const CORRECTED: Record<CorrectedBy, string> = {
  weight: 'the pot’s weight',
  drained: 'water that ran through',
  droop: 'the droop over dry soil',
  finger: 'a finger',
  probe: 'a probe',
};

/** The day touched on the ribbon, in a sentence. */
export function ChosenDay({ d }: { d: StrandDay }) {
  const { units } = useGarden();
  const dayWords = useDayWords();
  const left = d.left ?? d.leftAhead;
  const told = [
    d.warmth ? `${showTemperature(d.warmth[0], units)} to ${showTemperature(d.warmth[1], units)}` : 'no weather known',
    d.rainMm > 0 ? `${showRain(d.rainMm, units)} of rain` : '',
    d.wateredL > 0 ? `watered ${showLitres(d.wateredL, units)}` : '',
    left !== null ? `${left} % of the water left at its end` : '',
    d.moved ? `${CORRECTED[d.moved.by]} moved the line from ${d.moved.from} to ${d.moved.to} %` : '',
    d.fed ? `fed ${showGrams(d.nitrogenG, units)} of nitrogen` : '',
    ...[...d.cuts, ...d.looks].map((r) => tellRecord(r, units)),
  ].filter(Boolean);
  return (
    <p className="mt-1 sm:ml-18" role="status">
      <strong>{dayWords(d.day)}:</strong> {told.join('; ')}.
    </p>
  );
}

/** The same for a screen reader: the days on which something was done or seen. */
export function SpokenDays({ days }: { days: readonly StrandDay[] }) {
  const garden = useGarden();
  const dayWords = useDayWords();
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
          </tr>
        </thead>
        <tbody>
          {days
            .filter((d) => !d.ahead)
            .map((d) => (
              <tr key={d.day}>
                <th scope="row">{dayWords(d.day)}</th>
                <td>{d.left === null ? 'not known' : `${d.left} %`}</td>
                <td>{showLitres(d.wateredL, garden.units)}</td>
                <td>{d.rainMm} mm</td>
              </tr>
            ))}
        </tbody>
      </table>
    </div>
  );
}
