import type { Cover, PlaceKind, PotMaterial } from '@candid-leaf/core/records';
import clsx from 'clsx';

export const percent = (fraction: number | null): string =>
  fraction === null ? 'not known' : `${Math.round(fraction * 100)} %`;

/** A layer of straw. */
const MULCH =
  'bg-lit bg-[repeating-linear-gradient(65deg,var(--color-timber)_0_1.5px,transparent_1.5px_6px),repeating-linear-gradient(-50deg,var(--color-timber)_0_1px,transparent_1px_9px)]';

/** A slice of a bed's soil, moist from below by the water in the root zone. Slices join into one bed. */
export function SoilSlice({ fraction, mulched = false }: { fraction: number | null; mulched?: boolean }) {
  return (
    <span aria-hidden className="relative block h-9 w-full overflow-hidden bg-dry">
      {fraction !== null && (
        <span
          className="absolute inset-x-0 bottom-0 border-t-2 border-rain bg-wet"
          style={{ height: `${fraction * 100}%` }}
        />
      )}
      {mulched && <span className={`absolute inset-x-0 top-0 h-2 ${MULCH}`} />}
    </span>
  );
}

/** A pot or bag, filled from below by its water. */
export function Pot({
  fraction,
  material,
  id,
  mulched = false,
}: {
  fraction: number | null;
  material: PotMaterial | null | undefined;
  id: string;
  mulched?: boolean;
}) {
  const d = material === 'fabric' ? 'M8 6Q50 2 92 6L95 50Q50 56 5 50Z' : 'M10 5H90L80 53H20Z';
  const level = fraction === null ? 0 : 46 * fraction;
  return (
    <svg viewBox="0 0 100 58" className="h-11 w-full max-w-22" aria-hidden>
      <clipPath id={`pot-${id}`}>
        <path d={d} />
      </clipPath>
      <path d={d} className="fill-dry" />
      <g clipPath={`url(#pot-${id})`}>
        <rect x="0" width="100" y={52 - level} height="60" className="fill-wet" />
        {/* the water's level, so that wet and dry are told apart in every light */}
        {level > 0 && <rect x="0" width="100" y={52 - level} height="3" className="fill-rain" />}
      </g>
      <path
        d={d}
        className={clsx('fill-none', material === 'fabric' ? 'stroke-cloth' : 'stroke-clay')}
        strokeWidth="5"
      />
      {mulched && <path d="M14 10H86" className="stroke-lit" strokeWidth="6" strokeDasharray="5 1.5" />}
      {material !== 'fabric' && <path d="M5 5H95" className="stroke-clay" strokeWidth="8" strokeLinecap="round" />}
    </svg>
  );
}

/** The cover of a bed, in words; nothing for open sky. */
export const COVER_WORDS: Record<Cover, string> = {
  none: 'Open sky',
  roof: 'Under a roof',
  tunnel: 'In a tunnel',
  glasshouse: 'In a glasshouse',
  indoors: 'Indoors',
};

export const KIND_WORDS: Record<PlaceKind, string> = {
  ground: 'Bed',
  'raised-bed': 'Raised bed',
  container: 'Pots',
  'tunnel-bed': 'Tunnel bed',
  indoors: 'Indoors',
};
