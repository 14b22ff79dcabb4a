import { measureOf, type Quantity, type Units } from '@candid-leaf/core/units';
import { middle, verdict, type BenchMeasure, type BenchRow, type SetUp } from '@candid-leaf/core/water';
import { Bar, BarChart, Cell, ErrorBar, LabelList, ResponsiveContainer, XAxis, YAxis } from 'recharts';
import { memo, useEffect, useMemo, useState } from 'react';
import { useGarden } from '../../../lib/garden-context';
import { Unfold } from '../../../ui/unfold';
import { Scroller } from '../../../ui/scroller';

interface Shown {
  key: BenchMeasure;
  title: string;
  /** quantity, shown in the gardener's unit */
  quantity?: Quantity;
  /** per plant */
  each?: string;
  /** converts the core's number for display if it has no unit */
  value?: (x: number) => number;
  digits: number;
}

const MEASURES: readonly Shown[] = [
  { key: 'daysShort', title: 'Days short of water', digits: 0 },
  { key: 'blossomEndRotShare', title: 'Risk of blossom end rot, % of days', value: (x) => 100 * x, digits: 0 },
  { key: 'splits', title: 'Surges that split fruit', digits: 0 },
  { key: 'evenness', title: 'Evenness, 0 to 1', digits: 2 },
  { key: 'daysWet', title: 'Days too wet', digits: 0 },
  { key: 'litres', title: 'Water used', quantity: 'litres', each: 'per plant', digits: 0 },
  { key: 'drainedL', title: 'Water drained', quantity: 'litres', each: 'per plant', digits: 0 },
  { key: 'nitrogenWashedG', title: 'Nitrogen washed out', quantity: 'grams', digits: 1 },
  { key: 'visits', title: 'Waterings', digits: 0 },
];

const [FIRST] = MEASURES as [Shown, ...Shown[]];

const titleOf = (m: Shown, u: Units): string =>
  m.quantity ? [`${m.title}, ${measureOf(m.quantity, u).symbol}`, m.each].filter(Boolean).join(' ') : m.title;
const shownValue = (m: Shown, x: number, u: Units): number =>
  m.quantity ? measureOf(m.quantity, u).fromMetric(x) : (m.value?.(x) ?? x);

/** Chart placeholders while running; the first chart warms up rendering so the last step is short. */
export function ChartsToCome({ setUps }: { setUps: readonly SetUp[] }) {
  const rows = useMemo(() => setUps.map((setUp) => ({ setUp, seasons: [] })), [setUps]);
  return (
    <div aria-hidden className="opacity-60">
      <Measure m={FIRST} rows={rows} lines={rows.length} many best={-1} />
    </div>
  );
}

/** Results of each set-up, measure by measure; the thin line is the spread from dry to wet years. */
export function Charts({ rows }: { rows: readonly BenchRow[] }) {
  const said = verdict(rows);
  const many = rows[0]!.seasons.length > 1;
  const { units } = useGarden();
  const told = MEASURES.filter((m) => !isZero(m, rows, units));
  const drawn = useOneByOne(told.length);
  return (
    <section aria-label="Results">
      {said && (
        <p role="status" className="max-w-prose">
          <strong>{rows[said.best]!.setUp.name} keeps this plant best.</strong>
        </p>
      )}
      <ul aria-label="Each set-up" className="mt-2 flex flex-col gap-y-0.5">
        {rows.map((r, i) => (
          <li key={r.setUp.name} className="tabular-nums">
            <strong>{r.setUp.name}:</strong> {said?.each[i]}
          </li>
        ))}
      </ul>
      {many && (
        <p className="text-sm text-soft">
          Bars: the median of {rows[0]!.seasons.length} simulated seasons. Thin lines: from the lowest 10 % to the
          highest 10 %.
        </p>
      )}
      <div className="mt-3 grid gap-x-6 gap-y-5 sm:grid-cols-2 lg:grid-cols-3">
        {told.map((m, i) => (
          <Measure
            key={m.key}
            m={m}
            rows={i < drawn ? rows : null}
            lines={rows.length}
            many={many}
            best={said?.best ?? -1}
          />
        ))}
      </div>
      <Table rows={rows} />
    </section>
  );
}

/** Differences of less than this share of the largest are called equal (judgement: less than the years differ). */
const EQUAL_WITHIN = 0.05;

/** Returns whether a measure is nothing in every set-up: a chart of it would be empty. */
const isZero = (m: Shown, rows: readonly BenchRow[], u: Units): boolean =>
  rows.every((r) => {
    const { mid, spread } = shown(m, r, u);
    return Number((mid + spread[1]).toFixed(m.digits)) === 0;
  });

const shown = (m: Shown, row: BenchRow, u: Units) => {
  const { low, mid, high } = middle(row.seasons.map((s) => shownValue(m, s[m.key], u)));
  return { mid, spread: [mid - low, high - mid] as [number, number] };
};

/** Nine charts at once would block the page: they are drawn one by one, each in its own turn. */
function useOneByOne(of: number): number {
  const [drawn, setDrawn] = useState(0);
  useEffect(() => {
    if (drawn >= of) return;
    const next = setTimeout(() => setDrawn(drawn + 1));
    return () => clearTimeout(next);
  }, [drawn, of]);
  return drawn;
}

interface MeasureProps {
  m: Shown;
  /** null: not its turn yet */
  rows: readonly BenchRow[] | null;
  lines: number;
  many: boolean;
  best: number;
}

const Measure = memo(function Measure({ m, rows, lines, many, best }: MeasureProps) {
  const { units } = useGarden();
  const data = (rows ?? []).map((r) => {
    const s = shown(m, r, units);
    return { name: r.setUp.name, says: s.mid.toFixed(m.digits), ...s };
  });
  const mids = data.map((d) => d.mid);
  const equal = data.length > 1 && Math.max(...mids) - Math.min(...mids) <= EQUAL_WITHIN * Math.max(...mids);
  const top = Math.max(...data.map((d) => d.mid + d.spread[1]), m.key === 'evenness' ? 1 : 0.01);
  return (
    <figure aria-hidden className="min-w-0 tabular-nums">
      <figcaption className="font-semibold">{titleOf(m, units)}</figcaption>
      {equal && <p className="text-soft">About equal: {[...new Set(data.map((d) => d.says))].sort().join(' to ')}</p>}
      <div style={{ height: equal ? 0 : `${lines * 1.9 + 0.5}rem` }}>
        {rows && !equal && (
          <ResponsiveContainer width="100%" height="100%">
            <BarChart
              data={data}
              layout="vertical"
              margin={{ top: 0, right: 44, bottom: 0, left: 0 }}
              accessibilityLayer={false}
              barCategoryGap={5}
            >
              <XAxis type="number" domain={[0, top]} hide />
              <YAxis
                type="category"
                dataKey="name"
                width={132}
                axisLine={false}
                tickLine={false}
                tick={{ fill: 'var(--color-ink)', fontSize: 13 }}
              />
              <Bar dataKey="mid" isAnimationActive={false} radius={3} minPointSize={2}>
                {data.map((d, i) => (
                  <Cell key={d.name} fill={i === best ? 'var(--color-leaf)' : 'var(--color-moist)'} />
                ))}
                <LabelList
                  dataKey="says"
                  position="right"
                  fill="var(--color-ink)"
                  fontSize={14}
                  offset={many ? 22 : 6}
                />
                {many && (
                  <ErrorBar
                    isAnimationActive={false}
                    dataKey="spread"
                    width={5}
                    strokeWidth={1.5}
                    stroke="var(--color-ink)"
                    direction="x"
                  />
                )}
              </Bar>
            </BarChart>
          </ResponsiveContainer>
        )}
      </div>
    </figure>
  );
});

/** The same as figures. */
function Table({ rows }: { rows: readonly BenchRow[] }) {
  const { units } = useGarden();
  return (
    <Unfold className="mt-4" look="quiet" title="The figures">
      {() => (
        <Scroller label="The figures">
          <table className="w-full min-w-xl text-left tabular-nums">
            <thead>
              <tr className="border-b border-line text-sm text-soft">
                <th className="py-1 pr-3 font-normal">Set-up</th>
                {MEASURES.map((m) => (
                  <th key={m.key} className="py-1 pr-3 font-normal">
                    {titleOf(m, units)}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {rows.map((r) => (
                <tr key={r.setUp.name} className="border-b border-line">
                  <th scope="row" className="py-1 pr-3 font-semibold">
                    {r.setUp.name}
                  </th>
                  {MEASURES.map((m) => (
                    <td key={m.key} className="py-1 pr-3">
                      {shown(m, r, units).mid.toFixed(m.digits)}
                    </td>
                  ))}
                </tr>
              ))}
            </tbody>
          </table>
        </Scroller>
      )}
    </Unfold>
  );
}
