import type { SprayLogRow } from '@candid-leaf/contract';
import { shareInWords } from '@candid-leaf/core/records';
import { type Formatter, roundTo } from '@candid-leaf/core/units';
import { copperOnGround, MOST_COPPER_G_PER_M2, SPRAY_WORDS, strengthOf } from '@candid-leaf/core/spray';
import { useQuery } from '@tanstack/react-query';
import { Printer } from 'lucide-react';
import { useFormat, useGarden } from '../../../lib/garden-context';
import { Button } from '../../../ui/button';
import { Panel } from '../../../ui/panel';
import { Failed, Waiting } from '../../../ui/states';
import { ShedPage } from '../../../frame/shed-page';
import { sprayLogQuery } from '../../../data/products';

/** The spray log; it prints as shown. */
export function SprayLogScreen() {
  return <ShedPage>{() => <SprayLog />}</ShedPage>;
}

function SprayLog() {
  const garden = useGarden();
  const query = useQuery(sprayLogQuery(garden.id));
  if (query.isPending) return <Waiting what="Loading the spray log" />;
  if (query.error) return <Failed error={query.error} again={() => void query.refetch()} />;
  if (query.data.length === 0)
    return (
      <Panel title="No sprays recorded">
        <p className="mt-1 max-w-prose text-soft">
          Sprays come last: identify the pest, check whether it matters, look for helpful insects, use hands and water
          first. If one is due, Today shows the amount and hour, with a test on one leaf first.
        </p>
      </Panel>
    );
  return (
    <>
      <div className="mb-3 flex flex-wrap items-center justify-between gap-2">
        <p className="max-w-prose text-soft">
          Always follow the product label and local rules. Each entry keeps the label as it was then.
        </p>
        <Button look="quiet" className="print:hidden" onClick={() => print()}>
          <Printer aria-hidden size={17} /> Print
        </Button>
      </div>
      <ul className="flex flex-col gap-3">
        {query.data.map((row) => (
          <Row key={row.id} row={row} />
        ))}
      </ul>
    </>
  );
}

/** The metal in this spray, and what the ground got in twelve months beside the most it may get. */
function copperFacts(
  { here, gPerM2, unknown }: NonNullable<SprayLogRow['copper']>,
  f: Formatter,
): [string, string | null][] {
  const total =
    gPerM2 === null || unknown > 0
      ? null
      : `${copperOnGround(gPerM2, f)}, most ${copperOnGround(MOST_COPPER_G_PER_M2, f)}`;
  return [
    ['Copper metal', here === null ? null : f.nutrient(here)],
    ['Copper in twelve months', total],
  ];
}

function Row({ row }: { row: SprayLogRow }) {
  const f = useFormat();
  const { spray: s, weather: w } = row;
  const share = strengthOf(s);
  const mixedAt = (perLitre: number): string => `${roundTo(perLitre * f.per.water.metric, 2)} g or mL`;
  const facts: [string, string | null][] = [
    ['Where', [row.plants.join(', '), row.place].filter(Boolean).join(', ') || null],
    ['Against', s.target ?? null],
    ['Strength used', s.perLitre == null ? null : `${mixedAt(s.perLitre)} in ${f.per.water.words}`],
    [
      'By the label',
      s.labelPerLitre == null
        ? null
        : `${mixedAt(s.labelPerLitre)}${share === null ? '' : ` (used: ${shareInWords(share)})`}`,
    ],
    ['Mixed', s.batchL == null ? null : f.litres(s.batchL)],
    ['By', row.who],
    [
      'Weather',
      w
        ? `${f.temperatures(w.tMinC, w.tMaxC)}${w.windMs === null ? '' : `, wind ${f.windSpeed(w.windMs)}`}${w.rainMm > 0 ? `, ${f.rain(w.rainMm)} of rain` : ', dry'}`
        : null,
    ],
    ['Harvest from', row.pickFrom && f.day(row.pickFrom)],
    ['Next spray from', row.againFrom && f.day(row.againFrom)],
    ...(row.copper ? copperFacts(row.copper, f) : []),
  ];
  return (
    <li className="rounded-2xl border border-line bg-card p-4 break-inside-avoid">
      <h2 className="text-xl">
        {f.weekdayAndDay(row.day)}: {s.name ?? SPRAY_WORDS[s.product]}
        {s.trial && <span className="ml-2 text-base font-normal text-soft">test on one leaf</span>}
      </h2>
      <dl className="mt-1 grid grid-cols-2 gap-x-4 gap-y-1 sm:grid-cols-4">
        {facts.map(([what, value]) => (
          <div key={what}>
            <dt className="text-sm text-soft">{what}</dt>
            <dd className={value ? 'font-semibold tabular-nums' : 'text-soft'}>{value ?? 'not recorded'}</dd>
          </div>
        ))}
      </dl>
      {s.because && <p className="mt-1 text-sm">Reason given: {s.because}</p>}
    </li>
  );
}
