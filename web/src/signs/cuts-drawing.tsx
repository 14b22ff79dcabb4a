import type { PlantDto } from '@candid-leaf/contract';
import type { Cut } from '@candid-leaf/core/pruning';
import { growthOf } from './plant/growth';
import { PlantDrawing } from './plant/plant-drawing';

const SOIL_Y = 262;

/** This plant in its own form, with the height to clear and the cuts in place. */
export function CutsDrawing({
  plant,
  heightM,
  clearToM,
  cuts,
  className,
}: {
  plant: Pick<PlantDto, 'crop' | 'habit' | 'type' | 'stage' | 'training'>;
  heightM: number;
  clearToM: number | null;
  cuts: readonly Cut[];
  className?: string;
}) {
  const top = growthOf(plant).topY;
  const yOf = (m: number): number => SOIL_Y - (Math.min(m, heightM) / heightM) * (SOIL_Y - top);
  return (
    <div className={`relative ${className ?? ''}`} aria-hidden>
      <PlantDrawing plant={plant} className="w-full" />
      <svg viewBox="0 0 200 300" className="absolute inset-0 w-full">
        {clearToM !== null && clearToM > 0 && (
          <path d={`M14 ${yOf(clearToM)}H186`} className="stroke-ink" strokeWidth="1.5" strokeDasharray="5 4" />
        )}
        {cuts.map((cut, i) => {
          const y = yOf((cut.fromM + cut.toM) / 2);
          const x = i % 2 === 0 ? 62 : 138;
          return (
            <g key={cut.kind}>
              <path d={`M${x} ${y}L100 ${y}`} className="stroke-ripe" strokeWidth="2" />
              <circle cx={x} cy={y} r="11" className="fill-card stroke-ripe" strokeWidth="2" />
              <text x={x} y={y + 5} textAnchor="middle" className="fill-ripe text-[14px] font-bold">
                {i + 1}
              </text>
            </g>
          );
        })}
      </svg>
    </div>
  );
}

/** Sucker or truss: a sucker grows where a leaf meets the stem, a truss bears flowers between two leaves. */
export function SuckerOrTruss({ className }: { className?: string }) {
  const leaf = 'M0 0C10 -14 30 -14 44 0C30 14 10 14 0 0Z';
  return (
    <svg
      viewBox="0 0 300 190"
      role="img"
      aria-label="A sucker grows in the angle of leaf and stem. A truss rises from the bare stem between two leaves and bears flowers"
      className={className}
    >
      <path
        d="M150 186C148 130 152 70 150 6"
        className="fill-none stroke-green"
        strokeWidth="9"
        strokeLinecap="round"
      />
      <g transform="translate(146 132) rotate(168) scale(1.5)">
        <path d={leaf} className="fill-greendark" />
      </g>
      <g transform="translate(154 48) rotate(-16) scale(1.5)">
        <path d={leaf} className="fill-greendark" />
      </g>
      {/* the sucker, in the leaf angle */}
      <path
        d="M147 130C136 116 126 104 118 92"
        className="fill-none stroke-green"
        strokeWidth="5"
        strokeLinecap="round"
      />
      {[-150, -95, -40].map((turn, i) => (
        <g key={turn} transform={`translate(${118 + i * 2} ${93 - i * 2}) rotate(${turn}) scale(0.5)`}>
          <path d={leaf} className="fill-green" />
        </g>
      ))}
      {/* the truss, from the bare stem */}
      <path
        d="M153 96C176 92 196 96 214 108"
        className="fill-none stroke-green"
        strokeWidth="3.5"
        strokeLinecap="round"
      />
      {[
        [182, 92],
        [200, 99],
        [214, 110],
      ].map(([x, y]) => (
        <circle key={x} cx={x} cy={y! + 6} r="6.5" className="fill-lit stroke-moist" />
      ))}
      <path d="M128 112L146 124" className="stroke-ripe" strokeWidth="3" strokeDasharray="4 3" />
      <text x="60" y="72" className="fill-ink text-[15px] font-semibold">
        sucker: cut
      </text>
      <text x="196" y="142" className="fill-ink text-[15px] font-semibold">
        truss: leave
      </text>
    </svg>
  );
}
