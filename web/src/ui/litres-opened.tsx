import type { OrderPart, OrderParts } from '@candid-leaf/core/water';
import type { ReactNode } from 'react';
import { useFormat } from '../lib/garden-context';
import { Explained } from './explained';
import { percent } from './water-left';

const PART_WORDS: Record<OrderPart, string> = {
  missing: 'to refill',
  salts: 'a little extra, so the whole pot gets wet and salts are flushed',
  rule: 'adjusted for your watering method',
  rain: 'left to rain that may come',
  midday: 'a small second watering after midday',
  given: 'already given that day',
  cap: 'held back by the weekly limit',
  rounding: 'rounded to pour',
};

/** Rounding too small to notice when pouring is not listed. */
const isShown = ({ what, litres }: OrderParts['parts'][number]): boolean =>
  what !== 'rounding' || Math.abs(litres) >= 0.1;

interface Props {
  says: ReactNode;
  of: OrderParts | null | undefined;
  /** number of plants */
  plants: number;
}

/** Litres to give; opens to how they were computed. */
export function LitresOpened({ says, of, plants }: Props) {
  const format = useFormat();
  if (!of) return says;
  return (
    <Explained says={says}>
      <p>
        In the morning <strong className="tabular-nums">{percent(of.left)}</strong> is left of{' '}
        {format.litres(of.inReachL)} within reach of its roots.{' '}
        {`${of.days === 1 ? 'Over the day' : `In the ${of.days} days until the next possible watering`} about ${format.litres(of.useL)} ${
          of.rainL > 0 ? `are used, less ${format.litres(of.rainL)} of rain` : 'are used'
        }${of.limitLeft === null ? '' : `; the soil should keep ${percent(of.limitLeft)}`}.`}
      </p>
      <table className="mt-2 w-full text-sm tabular-nums">
        <caption className="text-left text-soft">{plants > 1 ? 'Per plant' : 'For this plant'}</caption>
        <tbody>
          {of.parts.filter(isShown).map((p) => (
            <tr key={p.what}>
              <th scope="row" className="pr-3 text-left font-normal">
                {PART_WORDS[p.what]}
              </th>
              <td className="text-right whitespace-nowrap">
                {p.litres < 0 ? '−' : '+'} {format.litres(Math.abs(p.litres))}
              </td>
            </tr>
          ))}
          <tr className="border-t border-line font-semibold">
            <th scope="row" className="pr-3 text-left font-semibold">
              to give
            </th>
            <td className="text-right whitespace-nowrap">{format.litres(of.litres)}</td>
          </tr>
          {plants > 1 && (
            <tr>
              <th scope="row" className="pr-3 text-left font-normal">
                for {plants} plants
              </th>
              <td className="text-right whitespace-nowrap">{format.litres(of.litres * plants)}</td>
            </tr>
          )}
        </tbody>
      </table>
      <p className="mt-2 text-sm text-soft">
        {plants > 1 && 'The driest plant decides for all. '}Estimated day by day from recorded waterings, weather and
        forecast, by the method of FAO-56.
      </p>
    </Explained>
  );
}
