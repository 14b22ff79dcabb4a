import type { ShelfRow } from '@candid-leaf/contract';
import { KEEPING } from '@candid-leaf/core/harvest';
import { useFormat } from '../../../lib/garden-context';
import { Panel } from '../../../ui/panel';
import { Unfold } from '../../../ui/unfold';

/** The ripening shelf with days left, and how to store a surplus. */
export function Shelf({ rows }: { rows: readonly ShelfRow[] }) {
  const f = useFormat();
  return (
    <Panel title="Ripening shelf">
      {rows.length === 0 && (
        <p className="mt-1 text-soft">
          No fruit is ripening. Fruit picked at first blush ripens in about a week at room temperature, green fruit in
          two to three.
        </p>
      )}
      <ul className="mt-1 divide-y divide-line">
        {rows.map((r) => (
          <li key={`${r.plant} ${r.pickedOn} ${r.ripeOn}`} className="flex flex-wrap justify-between gap-x-3 py-1.5">
            <span>
              <strong>{r.plant}</strong>
              {r.count != null ? `, ${r.count}` : r.grams != null ? `, ${f.grams(r.grams)}` : ''}
              <span className="text-soft">, picked {f.day(r.pickedOn)}</span>
            </span>
            <span className="tabular-nums">
              {r.ripeIn === 0 ? 'ripe now' : `ripe in about ${r.ripeIn} ${r.ripeIn === 1 ? 'day' : 'days'}`}; eat by{' '}
              {f.day(r.eatBy)}
            </span>
          </li>
        ))}
      </ul>
      <Unfold className="mt-1 print:hidden" look="act" title="Drying, freezing, storing">
        {() => (
          <>
            {(['tomato', 'pepper'] as const).map((crop) => (
              <ul key={crop} className="mb-2 list-disc pl-5">
                {KEEPING[crop].map((line) => (
                  <li key={line}>
                    <span className="capitalize">{crop}</span>: {line}
                  </li>
                ))}
              </ul>
            ))}
            <p className="text-soft">Can only healthy fruit, and only by a tested recipe.</p>
          </>
        )}
      </Unfold>
    </Panel>
  );
}
