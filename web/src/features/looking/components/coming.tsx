import type { PlantView } from '@candid-leaf/contract';
import { comingInWords } from '@candid-leaf/core/risk';
import { CloudAlert } from 'lucide-react';
import { useFormat, useGarden } from '../../../lib/garden-context';
import { sentence } from '../../../lib/words';

/** What the next seven days may bring, each with one act on its day; nothing in a quiet week. */
export function Coming({ view }: { view: PlantView }) {
  const format = useFormat();
  const { today } = useGarden();
  if (view.coming.length === 0) return null;
  return (
    <div className="mt-3 border-t border-line pt-3">
      <h3 className="font-body font-semibold">What is coming</h3>
      <ul className="mt-1 flex flex-col gap-2">
        {view.coming.map((risk) => {
          const { what, act, why } = comingInWords(risk, today, format);
          return (
            <li key={risk.disorder} className="flex gap-2 leading-snug">
              <CloudAlert aria-hidden size={19} className="mt-0.5 shrink-0 text-ripe" />
              <span>
                <span className="font-semibold">{what}</span>
                <span className="block">{act}</span>
                <span className="block text-sm text-soft">{sentence(why)}</span>
              </span>
            </li>
          );
        })}
      </ul>
    </div>
  );
}
