import clsx from 'clsx';
import type { ReactNode } from 'react';

/** One chart row: its name on the left, above it on a phone; its scale on the right. */
export function ChartRow({
  label,
  aside,
  tall,
  children,
}: {
  label: string;
  aside?: ReactNode;
  tall: string;
  children: ReactNode;
}) {
  return (
    <div className="relative border-b border-line">
      <p className="relative z-10 text-sm leading-4 text-soft sm:absolute sm:leading-5 sm:top-0.5 sm:-left-18 sm:w-17 sm:px-1 sm:text-right">
        <span className="bg-card pr-1 sm:bg-transparent sm:pr-0">{label}</span>
      </p>
      <div className={clsx('relative', tall)}>
        {aside}
        {children}
      </div>
    </div>
  );
}

/** A few numbers on the row's scale. */
export function Scale({
  values,
  low,
  high,
  show,
}: {
  values: readonly number[];
  low: number;
  high: number;
  show: (v: number) => string;
}) {
  return (
    <>
      {values.map((v) => (
        <span
          key={v}
          aria-hidden
          className="absolute right-0 z-10 -translate-y-1/2 rounded bg-card/85 px-0.5 text-xs leading-4 text-soft tabular-nums"
          style={{ top: `${Math.max(7, 100 - ((v - low) / (high - low)) * 100)}%` }}
        >
          {show(v)}
        </span>
      ))}
    </>
  );
}

/** A row's drawing area: one unit per day wide, 100 high, with a little margin. */
export function Drawn({ days, children }: { days: number; children: ReactNode }) {
  return (
    <svg
      aria-hidden
      viewBox={`0 0 ${days} 100`}
      preserveAspectRatio="none"
      className="absolute inset-x-0 top-1 h-[calc(100%-0.5rem)] w-full overflow-visible"
    >
      {children}
    </svg>
  );
}

/** A hairline at a height of the row. */
export const Level = ({ at, days }: { at: number; days: number }) => (
  <path
    d={`M0 ${at}H${days}`}
    className="fill-none stroke-soft"
    strokeDasharray="2 4"
    vectorEffect="non-scaling-stroke"
  />
);
