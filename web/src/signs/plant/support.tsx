import type { SupportKind } from '@candid-leaf/core/support';
import { SOIL_Y } from './growth';

const WOOD = 'fill-none stroke-timber';
const WIRE = 'fill-none stroke-soft';

/** A wire ring seen slightly from above. */
const ring = (y: number, w: number): string =>
  `M${100 - w} ${y}a${w} ${w / 5} 0 1 0 ${2 * w} 0a${w} ${w / 5} 0 1 0 ${-2 * w} 0`;
const cage = (top: number, w: number): string =>
  [
    ring(top, w),
    ring((top + SOIL_Y - 30) / 2, w * 0.92),
    ring(SOIL_Y - 30, w * 0.84),
    `M${100 - w} ${top}L${100 - w * 0.7} ${SOIL_Y}M${100 + w} ${top}L${100 + w * 0.7} ${SOIL_Y}`,
  ].join('');

/** The recorded support, to a little above its top. */
export function Support({ kind, topY }: { kind: SupportKind; topY: number }) {
  const top = Math.max(6, topY - 6);
  switch (kind) {
    case 'string':
      return <path d={`M105 ${SOIL_Y}L103 0`} className={WIRE} strokeWidth="1.6" strokeDasharray="7 3" />;
    case 'stake':
      return <path d={`M110 ${SOIL_Y}V${top}`} className={WOOD} strokeWidth="4.5" />;
    case 'small-stake':
      return <path d={`M109 ${SOIL_Y}V${Math.max(top, 120)}`} className={WOOD} strokeWidth="4" />;
    case 'cage':
      return <path d={cage(Math.max(top, 96), 52)} className={WIRE} strokeWidth="2" />;
    case 'small-cage':
      return <path d={cage(Math.max(top, 150), 36)} className={WIRE} strokeWidth="2" />;
  }
}
