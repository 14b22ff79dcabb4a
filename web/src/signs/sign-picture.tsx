import type { Crop, SignCode } from '@candid-leaf/core/records';
import { DRAWINGS } from './drawings';

/** The drawing of a sign. Its name is beside it, so screen readers skip it. */
export function SignPicture({ sign, crop, className }: { sign: SignCode; crop: Crop; className?: string }) {
  return (
    <svg viewBox="0 0 96 96" className={className} aria-hidden focusable="false">
      {DRAWINGS[sign](crop)}
    </svg>
  );
}
