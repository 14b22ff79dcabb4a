import type { PlantDto } from '@candid-leaf/contract';
import type { Part } from '@candid-leaf/core/records';
import type { SupportKind } from '@candid-leaf/core/support';
import type { CSSProperties, ReactNode } from 'react';
import { type Growth, growthOf, type Leaf, SOIL_Y, type Standing } from './growth';
import { Flower, Fruit, Leaves } from './shapes';
import { Support } from './support';

interface Props {
  plant: Pick<PlantDto, 'crop' | 'habit' | 'type' | 'stage' | 'training'> & Pick<Standing, 'load' | 'limp'>;
  /** its support, if recorded */
  held?: SupportKind | null | undefined;
  /** parts with a problem: each gets a ring */
  ailing?: readonly Part[] | undefined;
  /** wraps each part so it can be touched; without it the drawing is a picture */
  wrap?: (part: Part, drawing: ReactNode) => ReactNode;
  /** without soil, to place inside another drawing */
  bare?: boolean;
  className?: string;
  style?: CSSProperties;
}

/** A plant in its recorded form. Parts come in painting order. */
export function PlantDrawing({ plant, held, ailing = [], wrap, bare = false, className, style }: Props) {
  const growth = growthOf(plant);
  const leaves = (part: Leaf['part']) => (
    <Leaves of={growth.leaves.filter((l) => l.part === part)} crop={plant.crop} young={part === 'tip'} veined={!bare} />
  );
  // a bare drawing has no empty sky
  const top = bare ? Math.max(0, growth.topY - 6) : 0;
  const put = wrap ?? ((part: Part, d: ReactNode) => <g key={part}>{d}</g>);
  return (
    <svg
      viewBox={bare ? `20 ${top.toFixed(0)} 160 ${(SOIL_Y - top).toFixed(0)}` : '0 0 200 300'}
      // it stands on the ground, however wide its box
      preserveAspectRatio={bare ? 'xMidYMax meet' : undefined}
      className={className}
      style={style}
      aria-hidden={wrap ? undefined : true}
    >
      {put('posture', <path d="M22 30Q100 -20 178 30" className="fill-none stroke-transparent" strokeWidth="28" />)}
      {!bare && put('soil', <path d="M10 264Q100 252 190 264L190 298L10 298Z" className="fill-wet" />)}
      {held && <Support kind={held} topY={growth.topY} />}
      {put(
        'stem',
        <path
          d={growth.stems.join('')}
          className="fill-none stroke-green"
          strokeWidth={growth.form === 'one-stem' ? 5 : 4.5}
          strokeLinecap="round"
        />,
      )}
      {put('low-leaves', leaves('low-leaves'))}
      {put('leaves', leaves('leaves'))}
      {put('tip', leaves('tip'))}
      {put(
        'flowers',
        growth.flowers.map((f) => <Flower key={`${f.x} ${f.y}`} {...f} crop={plant.crop} />),
      )}
      {put(
        'fruit',
        growth.fruit.map((f) => <Fruit key={`${f.x} ${f.y}`} at={f} crop={plant.crop} type={plant.type} />),
      )}
      {[...new Set(ailing)].map((part) => (
        <Ring key={part} at={anchorOf(growth, part)} />
      ))}
    </svg>
  );
}

/** Returns a part's position, for its mark. */
function anchorOf({ leaves, flowers, fruit, topY }: Growth, part: Part): { x: number; y: number } {
  const on = (own: Leaf['part']) => {
    const leaf = leaves.find((l) => l.part === own) ?? leaves[0]!;
    const a = (leaf.turn * Math.PI) / 180;
    return { x: leaf.x + 26 * leaf.size * Math.cos(a), y: leaf.y - 26 * leaf.size * Math.sin(a) };
  };
  switch (part) {
    case 'low-leaves':
    case 'leaves':
    case 'tip':
      return on(part);
    case 'flowers':
      return flowers[0] ?? on('tip');
    case 'fruit':
      return fruit[0] ?? on('leaves');
    case 'soil':
      return { x: 100, y: SOIL_Y - 8 };
    case 'stem':
      return { x: 100, y: SOIL_Y - 40 };
    case 'posture':
      return { x: 100, y: (topY + SOIL_Y) / 2 };
  }
}

const Ring = ({ at: { x, y } }: { at: { x: number; y: number } }) => (
  <>
    <circle cx={x} cy={y} r="15" className="fill-none stroke-card" strokeWidth="8" />
    <circle cx={x} cy={y} r="15" className="fill-none stroke-ripe" strokeWidth="4.5" />
  </>
);
