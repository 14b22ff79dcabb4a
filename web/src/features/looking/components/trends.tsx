import { isRecordOf, type PlantView } from '@candid-leaf/contract';
import { trendInWords, trendsOf, type Trend } from '@candid-leaf/core/walks';
import { MoveRight, TrendingDown, TrendingUp, type LucideIcon } from 'lucide-react';
import { useMemo } from 'react';

const ICONS: Record<Trend['course'], LucideIcon> = {
  rising: TrendingUp,
  falling: TrendingDown,
  steady: MoveRight,
};

/** Trends of counts: "yellow leaves: 2, 3, 9 in 14 days: rising". */
export function Trends({ view }: { view: PlantView }) {
  const trends = useMemo(() => {
    const seen = view.records.flatMap((r) =>
      isRecordOf(r, 'inspection') ? r.data.signs.map((s) => ({ ...s, date: r.data.date })) : [],
    );
    return trendsOf(seen, view.garden.today);
  }, [view]);
  if (trends.length === 0) return null;
  return (
    <ul aria-label="Trends" className="mt-2 flex flex-col gap-1 px-1">
      {trends.map((t) => {
        const Icon = ICONS[t.course];
        return (
          <li key={t.sign} className="flex items-start gap-2">
            <Icon
              aria-hidden
              size={18}
              className={`mt-1 shrink-0 ${t.course === 'rising' ? 'text-ripe' : 'text-leaf'}`}
            />
            <span className="tabular-nums">{trendInWords(t)}.</span>
          </li>
        );
      })}
    </ul>
  );
}
