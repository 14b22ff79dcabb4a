import type { Crop, SignCode } from '@candid-leaf/core/records';
import { DRAWINGS } from './drawings';

/** The drawing of a sign. Its name stands beside it, so to a screen reader it is silent. */
export function SignPicture({ sign, crop, className }: { sign: SignCode; crop: Crop; className?: string }) {
  return (
    <svg viewBox="0 0 96 96" className={className} aria-hidden focusable="false">
      {DRAWINGS[sign](crop)}
    </svg>
  );
}
