import { DRENCHES, type Drench, drenchFor } from '@candid-leaf/core/soil';
import { useFormat } from '../../../lib/garden-context';
import { useState } from 'react';
import { MeasuredInput } from '../../../ui/measured-input';
import { Unfold } from '../../../ui/unfold';

/** Common recipes with their spread, weaker first, and what many plants need together. */
export function Drenches() {
  const [plants, setPlants] = useState<number | null>(1);
  return (
    <Unfold look="card" className="mt-4" title="Recipes for drenches">
      {() => (
        <div className="px-4 py-2">
          <MeasuredInput
            label="Plants"
            className="mt-1 max-w-40"
            quantity="count"
            min={1}
            max={500}
            value={plants}
            onChange={setPlants}
          />
          <ul className="divide-y divide-line">
            {DRENCHES.map((d) => (
              <Row key={d.code} drench={d} plants={plants} />
            ))}
          </ul>
          <p className="mt-1 text-sm text-soft">Source: {[...new Set(DRENCHES.map((d) => d.source))].join('; ')}.</p>
        </div>
      )}
    </Unfold>
  );
}

function Row({ drench: d, plants }: { drench: Drench; plants: number | null }) {
  const f = useFormat();
  const measured = (x: number): string => (d.unit === 'mL' ? f.millilitres(x) : f.powder(x, d.gPerMl));
  const amount = (perLitre: number): string => measured(perLitre * f.per.water.metric);
  const all = plants && plants > 1 ? drenchFor(d, plants) : null;
  return (
    <li className="py-2">
      <p className="font-semibold">{d.name}</p>
      <p>
        <strong>
          {amount(d.weaker)} in {f.per.water.words}
        </strong>
        , {f.litres(d.litresEach)} per plant, {d.times}.{' '}
        <span className="text-soft">
          Other recipes use up to {amount(d.stronger)}: {Math.round(d.stronger / d.weaker)} times as much. Start with
          the weaker.
        </span>
      </p>
      {all && (
        <p>
          For {plants} plants: <strong>{measured(all.amount)}</strong> in {f.litres(all.waterL)}.
        </p>
      )}
      <p className="text-sm text-soft">
        Only for {d.when}. {d.caution}
      </p>
    </li>
  );
}
