import { DRENCHES, type Drench } from '@candid-leaf/core/soil';
import { useFormat } from '../../../lib/garden-context';
import { Unfold } from '../../../ui/unfold';

/** Common recipes with their spread, weaker first. */
export function Drenches() {
  return (
    <Unfold look="card" className="mt-4" title="Recipes for drenches">
      {() => (
        <div className="px-4 py-2">
          <ul className="divide-y divide-line">
            {DRENCHES.map((d) => (
              <Row key={d.code} drench={d} />
            ))}
          </ul>
          <p className="mt-1 text-sm text-soft">Source: {[...new Set(DRENCHES.map((d) => d.source))].join('; ')}.</p>
        </div>
      )}
    </Unfold>
  );
}

function Row({ drench: d }: { drench: Drench }) {
  const f = useFormat();
  const amount = (perLitre: number): string => {
    const x = perLitre * f.per.water.metric;
    return d.unit === 'mL' ? f.millilitres(x) : f.powder(x, d.gPerMl);
  };
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
      <p className="text-sm text-soft">
        Only for {d.when}. {d.caution}
      </p>
    </li>
  );
}
