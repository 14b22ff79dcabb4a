import type { PlantDto } from '@candid-leaf/contract';
import type { Part } from '@candid-leaf/core/records';
import type { CSSProperties, ReactNode } from 'react';

/** How a plant grows, as drawn: a cordon is tall and thin, a bush round, a pepper forked. */
export type Form = 'cordon' | 'bush' | 'forked';
export const formOf = (p: Pick<PlantDto, 'crop' | 'habit'>): Form =>
  p.crop === 'pepper' ? 'forked' : p.habit === 'determinate' ? 'bush' : 'cordon';

/** Where each form's highest leaf ends in the drawing. */
export const TIP_Y: Record<Form, number> = { cordon: 10, bush: 84, forked: 72 };

interface Leaf {
  x: number;
  y: number;
  /** degrees from pointing right */
  turn: number;
  size: number;
  part: 'low-leaves' | 'leaves' | 'tip';
}

interface Plan {
  stems: string[];
  leaves: Leaf[];
  fruit: readonly (readonly [x: number, y: number, ripe: boolean])[];
  flowers: readonly (readonly [x: number, y: number])[];
}

/** All forms are drawn in a box 200 wide and 300 high; the soil begins at y = 262. */
const PLANS: Record<Form, Plan> = {
  cordon: {
    stems: ['M100 264C98 200 103 120 100 34'],
    leaves: [
      { x: 99, y: 236, turn: 160, size: 1, part: 'low-leaves' },
      { x: 100, y: 224, turn: 20, size: 1.05, part: 'low-leaves' },
      { x: 99, y: 188, turn: 155, size: 1.15, part: 'leaves' },
      { x: 101, y: 172, turn: 22, size: 1.15, part: 'leaves' },
      { x: 101, y: 132, turn: 152, size: 1.05, part: 'leaves' },
      { x: 101, y: 116, turn: 26, size: 1, part: 'leaves' },
      { x: 101, y: 80, turn: 146, size: 0.8, part: 'leaves' },
      { x: 100, y: 64, turn: 32, size: 0.75, part: 'tip' },
      { x: 100, y: 42, turn: 125, size: 0.5, part: 'tip' },
      { x: 100, y: 38, turn: 55, size: 0.5, part: 'tip' },
    ],
    fruit: [
      [112, 204, true],
      [121, 213, true],
      [112, 218, false],
      [88, 152, false],
      [80, 160, false],
    ],
    flowers: [
      [112, 98],
      [118, 104],
      [90, 92],
    ],
  },
  bush: {
    stems: [
      'M100 264C100 220 100 190 100 120',
      'M100 226C84 196 72 176 62 150',
      'M100 222C118 194 130 174 140 148',
      'M100 190C92 160 86 140 82 112',
      'M100 184C110 156 116 138 120 110',
    ],
    leaves: [
      { x: 92, y: 238, turn: 165, size: 1.05, part: 'low-leaves' },
      { x: 108, y: 238, turn: 15, size: 1.05, part: 'low-leaves' },
      { x: 80, y: 190, turn: 168, size: 1.05, part: 'leaves' },
      { x: 120, y: 190, turn: 12, size: 1.05, part: 'leaves' },
      { x: 66, y: 156, turn: 150, size: 0.9, part: 'leaves' },
      { x: 136, y: 156, turn: 30, size: 0.9, part: 'leaves' },
      { x: 90, y: 150, turn: 130, size: 0.85, part: 'leaves' },
      { x: 112, y: 150, turn: 50, size: 0.85, part: 'leaves' },
      { x: 84, y: 116, turn: 118, size: 0.65, part: 'tip' },
      { x: 118, y: 114, turn: 62, size: 0.65, part: 'tip' },
      { x: 100, y: 122, turn: 90, size: 0.7, part: 'tip' },
    ],
    fruit: [
      [84, 218, true],
      [117, 215, true],
      [126, 222, false],
      [94, 184, false],
      [108, 178, false],
    ],
    flowers: [
      [76, 140],
      [127, 138],
      [101, 136],
    ],
  },
  forked: {
    stems: [
      'M100 264C100 236 100 214 100 196',
      'M100 198C88 176 78 150 70 112',
      'M100 198C112 176 122 150 130 112',
      'M86 166C94 148 98 130 98 104',
      'M114 166C110 146 108 136 110 118',
    ],
    leaves: [
      { x: 98, y: 226, turn: 160, size: 0.95, part: 'low-leaves' },
      { x: 102, y: 218, turn: 20, size: 0.95, part: 'low-leaves' },
      { x: 84, y: 160, turn: 165, size: 1, part: 'leaves' },
      { x: 116, y: 160, turn: 15, size: 1, part: 'leaves' },
      { x: 74, y: 130, turn: 160, size: 0.9, part: 'leaves' },
      { x: 126, y: 130, turn: 20, size: 0.9, part: 'leaves' },
      { x: 98, y: 130, turn: 60, size: 0.75, part: 'leaves' },
      { x: 70, y: 114, turn: 120, size: 0.7, part: 'tip' },
      { x: 130, y: 114, turn: 60, size: 0.7, part: 'tip' },
      { x: 98, y: 106, turn: 95, size: 0.7, part: 'tip' },
    ],
    fruit: [
      [92, 184, true],
      [110, 182, false],
      [79, 150, false],
      [122, 152, false],
    ],
    flowers: [
      [88, 124],
      [113, 122],
      [104, 146],
    ],
  },
};

function LeafShape({ leaf, toothed }: { leaf: Leaf; toothed: boolean }) {
  const d = toothed
    ? 'M0 0C8 -1 10 -11 18 -10C20 -15 28 -14 29 -9C38 -13 44 -7 52 0C44 7 38 13 29 9C28 14 20 15 18 10C10 11 8 1 0 0Z'
    : 'M0 0C12 -16 34 -15 50 0C34 15 12 16 0 0Z';
  return (
    <g transform={`translate(${leaf.x} ${leaf.y}) rotate(${-leaf.turn}) scale(${leaf.size})`}>
      <path d={d} className={leaf.part === 'tip' ? 'fill-green' : 'fill-greendark'} />
      <path d="M2 0L46 0" className="stroke-paper" strokeWidth="1.1" opacity="0.55" />
    </g>
  );
}

function Fruit({
  at,
  crop,
  type,
}: {
  at: readonly [number, number, boolean];
  crop: PlantDto['crop'];
  type: PlantDto['type'];
}) {
  const [x, y, ripe] = at;
  const look = ripe ? 'fill-ripe' : 'fill-green';
  if (crop === 'pepper')
    return type === 'sweet' ? (
      <path d={`M${x - 7} ${y - 4}q7 -6 14 0q2 12 -3 18q-4 3 -8 0q-5 -6 -3 -18z`} className={`${look} stroke-paper`} />
    ) : (
      <path d={`M${x - 3.5} ${y - 4}q4 -3 7 0q2 14 -3 24q-5 -10 -4 -24z`} className={`${look} stroke-paper`} />
    );
  if (type === 'paste') return <ellipse cx={x} cy={y + 3} rx="6.5" ry="10.5" className={`${look} stroke-paper`} />;
  return (
    <circle
      cx={x}
      cy={y}
      r={type === 'cherry' ? 5 : type === 'beefsteak' ? 10 : 8}
      className={`${look} stroke-paper`}
    />
  );
}

interface Props {
  plant: Pick<PlantDto, 'crop' | 'habit' | 'type' | 'stage'>;
  /** wraps each part, so that it can be touched; without it the drawing is only a picture */
  wrap?: (part: Part, drawing: ReactNode) => ReactNode;
  /** without soil, to stand in something drawn elsewhere */
  bare?: boolean;
  className?: string;
  style?: CSSProperties;
}

/** Where each form's tip is, so that a bare drawing has no empty sky. */
const TOP: Record<Form, number> = { cordon: 8, bush: 80, forked: 66 };
const BEARING = new Set(['fruiting', 'ripening', 'late']);

/** A plant in its own form. Parts come in the order in which they are painted. */
export function PlantDrawing({ plant, wrap, bare = false, className, style }: Props) {
  const plan = PLANS[formOf(plant)];
  const leaves = (part: Leaf['part']) =>
    plan.leaves
      .filter((l) => l.part === part)
      .map((l, i) => <LeafShape key={i} leaf={l} toothed={plant.crop === 'tomato'} />);
  const top = bare ? TOP[formOf(plant)] : 0;
  const put = wrap ?? ((part: Part, d: ReactNode) => <g key={part}>{d}</g>);
  const bearing = plant.stage == null || BEARING.has(plant.stage);
  return (
    <svg
      viewBox={bare ? `20 ${top} 160 ${264 - top}` : '0 0 200 300'}
      className={className}
      style={style}
      aria-hidden={wrap ? undefined : true}
    >
      {put('posture', <path d="M22 30Q100 -20 178 30" className="fill-none stroke-transparent" strokeWidth="28" />)}
      {!bare && put('soil', <path d="M10 264Q100 252 190 264L190 298L10 298Z" className="fill-moist" />)}
      {put(
        'stem',
        <>
          {plan.stems.map((d) => (
            <path
              key={d}
              d={d}
              className="fill-none stroke-green"
              strokeWidth={formOf(plant) === 'cordon' ? 5 : 4.5}
              strokeLinecap="round"
            />
          ))}
        </>,
      )}
      {put('low-leaves', leaves('low-leaves'))}
      {put('leaves', leaves('leaves'))}
      {put('tip', leaves('tip'))}
      {put(
        'flowers',
        plan.flowers.map(([x, y]) => (
          <path
            key={`${x} ${y}`}
            d={star(x, y)}
            className={plant.crop === 'tomato' ? 'fill-lit stroke-moist' : 'fill-card stroke-moist'}
            strokeWidth="1"
          />
        )),
      )}
      {put(
        'fruit',
        plan.fruit.map((at) =>
          bearing ? (
            <Fruit
              key={`${at[0]} ${at[1]}`}
              at={plant.stage === 'fruiting' ? [at[0], at[1], false] : at}
              crop={plant.crop}
              type={plant.type}
            />
          ) : (
            <circle key={`${at[0]} ${at[1]}`} cx={at[0]} cy={at[1]} r="3" className="fill-green" />
          ),
        ),
      )}
    </svg>
  );
}

const star = (x: number, y: number): string =>
  `M${Array.from({ length: 10 }, (_, i) => {
    const r = i % 2 ? 2.6 : 6.5;
    const a = (i * Math.PI) / 5 - Math.PI / 2;
    return `${(x + r * Math.cos(a)).toFixed(1)} ${(y + r * Math.sin(a)).toFixed(1)}`;
  }).join('L')}Z`;
