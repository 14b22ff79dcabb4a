import type { PresetCode } from './presets';

const SOIL = 'fill-moist';
const FRAME = 'fill-none stroke-clay';

/** A small picture for each type of bed or pot. */
const PICTURES: Record<PresetCode, React.ReactNode> = {
  bed: <path d="M4 34Q32 26 60 34V44H4Z" className={SOIL} />,
  raised: (
    <>
      <path d="M8 26H56V44H8Z" className={SOIL} />
      <path d="M6 24V46M58 24V46M6 34H58" className={FRAME} strokeWidth="3" />
    </>
  ),
  pots: (
    <>
      <path d="M10 26H28L25 44H13ZM36 26H54L51 44H39Z" className={SOIL} />
      <path d="M8 25H30M34 25H56" className={FRAME} strokeWidth="4" />
    </>
  ),
  bags: (
    <>
      <path d="M14 24Q32 18 50 24L52 44Q32 48 12 44Z" className={SOIL} />
      <path d="M14 24Q32 18 50 24L52 44Q32 48 12 44Z" className="fill-none stroke-cloth" strokeWidth="3" />
    </>
  ),
  tunnel: (
    <>
      <path d="M8 38H56V44H8Z" className={SOIL} />
      <path d="M6 44V28Q32 -6 58 28V44M32 10V38" className="fill-none stroke-soft" strokeWidth="2.5" />
    </>
  ),
  glasshouse: (
    <>
      <path d="M8 38H56V44H8Z" className={SOIL} />
      <path d="M6 44V20L32 4L58 20V44M6 20H58M32 4V38" className="fill-none stroke-soft" strokeWidth="2.5" />
    </>
  ),
  sill: (
    <>
      <path d="M24 30H40L38 42H26Z" className={SOIL} />
      <path d="M22 29H42" className={FRAME} strokeWidth="3.5" />
      <path d="M8 44H56M12 4H52V44H12ZM32 4V26M12 16H52" className="fill-none stroke-soft" strokeWidth="2.5" />
    </>
  ),
};

export const PlacePicture = ({ of }: { of: PresetCode }) => (
  <svg viewBox="0 0 64 48" className="h-12 w-16" aria-hidden>
    {PICTURES[of]}
  </svg>
);
