import { isRecordOf, type RecordDto } from '@candid-leaf/contract';
import { describeRecord, type SOIL_FEELS } from '@candid-leaf/core/records';
import type { Formatter } from '@candid-leaf/core/units';
import { type ReactNode, useId } from 'react';
import { useFormat } from '../../lib/garden-context';
import { ChartRow } from './chart-row';
import type { ChartDay } from './chart-days';

interface Props {
  days: readonly ChartDay[];
}

/** Describes the records of one chart and day. */
export const describeAll = (records: readonly RecordDto[], f: Formatter): string =>
  records.map((r) => describeRecord(r.type, r.data, f)).join('; ');

/** A row of marks, one position per day. */
function Marks({
  label,
  days,
  records,
  mark,
}: Props & {
  label: string;
  records: (d: ChartDay) => readonly RecordDto[];
  mark: (d: ChartDay) => ReactNode;
}) {
  const format = useFormat();
  if (days.every((d) => records(d).length === 0)) return null;
  return (
    <ChartRow label={label} tall="h-6 sm:h-9">
      <div
        className="grid h-full items-center"
        style={{ gridTemplateColumns: `repeat(${days.length}, minmax(0, 1fr))` }}
      >
        {days.map((d) => {
          const on = records(d);
          return (
            <span
              key={d.day}
              className="grid place-items-center overflow-visible leading-none"
              title={on.length > 0 ? `${format.day(d.day)}: ${describeAll(on, format)}` : undefined}
            >
              {on.length > 0 && mark(d)}
            </span>
          );
        })}
      </div>
    </ChartRow>
  );
}

/** Size shows the amount of nitrogen. */
export function FeedChart({ days }: Props) {
  return (
    <Marks
      label="Feed"
      days={days}
      records={(d) => d.on.feed}
      mark={(d) => {
        const r = 3 + Math.min(8, Math.sqrt(d.nitrogenG) * 3);
        return (
          <svg width="24" height="24" viewBox="-12 -12 24 24" className="shrink-0 overflow-visible" aria-hidden>
            <rect x={-r} y={-r} width={2 * r} height={2 * r} rx="1.5" className="fill-moist" />
          </svg>
        );
      }}
    />
  );
}

export function WorkChart({ days }: Props) {
  return (
    <Marks label="Work" days={days} records={(d) => d.on.work} mark={() => <span className="text-leaf">▾</span>} />
  );
}

/** A drop as full as the soil felt: empty is dry, half is damp, full is wet. */
export const FeltDrop = ({ feel }: { feel: (typeof SOIL_FEELS)[number] }) => {
  const shape = 'M0-6C3-2 4.5 0 4.5 2a4.5 4.5 0 0 1-9 0C-4.5 0-3-2 0-6Z';
  const id = useId();
  return (
    <svg width="14" height="15" viewBox="-7 -7.5 14 15" className="shrink-0" aria-hidden>
      <clipPath id={id}>
        <rect x="-7" width="14" y={{ dry: 7.5, damp: 0.5, wet: -7.5 }[feel]} height="15" />
      </clipPath>
      <path d={shape} className="fill-none stroke-moist" strokeWidth="1.4" />
      <path d={shape} className="fill-moist" clipPath={`url(#${id})`} />
    </svg>
  );
};

/** A ring for all clear, filled if a sign was seen; else how the soil felt. */
export function SeenChart({ days }: Props) {
  return (
    <Marks
      label="Seen"
      days={days}
      records={(d) => d.on.seen}
      mark={({ on }) => {
        const looks = on.seen.filter((r) => isRecordOf(r, 'inspection'));
        const felt = on.seen.filter((r) => isRecordOf(r, 'soil-check'))[0]?.data.feel;
        if (looks.length > 0)
          return (
            <svg width="14" height="14" viewBox="-7 -7 14 14" aria-hidden>
              <circle
                r="5"
                className={looks.some((r) => !r.data.allClear) ? 'fill-ripe' : 'fill-none stroke-ink'}
                strokeWidth="1.8"
              />
            </svg>
          );
        return felt ? <FeltDrop feel={felt} /> : <span className="text-xs font-semibold text-moist">·</span>;
      }}
    />
  );
}
