import { hangInWords, type HangPlan } from '@candid-leaf/core/season';
import { useFormat } from '../../../lib/garden-context';

const WIDTH = 320;
const HEIGHT = 150;
const GROUND = 128;
/** Tallest thing that is drawn, m. */
const LEAST_M = 1;
/** Slack at the sides for the poles and the cloth that hangs down. */
const SIDE = 46;

/** How the cloth is hung over this bed: drawn with its plants, and in steps. */
export function HangCloth({ plan }: { plan: HangPlan }) {
  const f = useFormat();
  const scale = (GROUND - 14) / Math.max(LEAST_M, plan.heightM);
  const y = (m: number): number => GROUND - m * scale;
  const step = (WIDTH - 2 * SIDE) / plan.plants.length;
  const top = y(plan.heightM);
  return (
    <figure className="mt-2">
      <figcaption className="font-semibold">How to hang the cloth</figcaption>
      <svg
        viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
        className="w-full max-w-sm"
        role="img"
        aria-label={`Cloth ${f.metres(plan.heightM)} above the ground, hanging down on the side of the late-afternoon sun`}
      >
        <path d={`M4 ${GROUND}H${WIDTH - 4}`} className="stroke-timber" strokeWidth="2" />
        {plan.on !== 'cages' && (
          <path
            d={`M${SIDE - 14} ${GROUND}V${top}M${WIDTH - SIDE + 14} ${GROUND}V${top}`}
            className="stroke-timber"
            strokeWidth="3"
          />
        )}
        {plan.plants.map((p, i) => {
          const x = SIDE + step * (i + 0.5);
          const wide = Math.min(step * 0.42, 6 + p.heightM * scale * 0.25);
          return (
            <g key={`${p.name} ${i}`}>
              <path d={`M${x} ${GROUND}V${y(p.heightM)}`} className="stroke-greendark" strokeWidth="2" />
              <ellipse
                cx={x}
                cy={y(p.heightM * 0.52)}
                rx={wide}
                ry={(p.heightM * scale) / 2.1}
                className="fill-green"
                opacity="0.75"
              />
            </g>
          );
        })}
        <path
          d={`M${plan.morningFor.length > 0 ? `${WIDTH - SIDE + 14} ${y(plan.heightM - plan.dropM)}V${top}` : `${WIDTH - SIDE + 14} ${top}`}H${SIDE - 14}V${y(plan.heightM - plan.dropM)}`}
          className="fill-none stroke-cloth"
          strokeWidth="5"
          strokeLinejoin="round"
        />
        <text x={4} y={HEIGHT - 6} className="fill-soft text-xs">
          afternoon sun
        </text>
        <text x={WIDTH - 4} y={HEIGHT - 6} textAnchor="end" className="fill-soft text-xs">
          morning sun
        </text>
      </svg>
      <ol className="list-decimal pl-5">
        {hangInWords(plan, f).map((line) => (
          <li key={line} className="py-0.5">
            {line}
          </li>
        ))}
      </ol>
    </figure>
  );
}
