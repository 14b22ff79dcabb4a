import type { PlantDto } from '@candid-leaf/contract';
import type { Leaf } from './growth';

/** A toothed leaflet along the axis, from its foot, so long. */
const leaflet = (x: number, y: number, turn: number, length: number): string => {
  const a = (turn * Math.PI) / 180;
  const p = (along: number, off: number): string => {
    const [u, v] = [along * length, off * length];
    return `${(x + u * Math.cos(a) - v * Math.sin(a)).toFixed(1)} ${(y + u * Math.sin(a) + v * Math.cos(a)).toFixed(1)}`;
  };
  const side = (s: 1 | -1): string[] => [
    p(0.2, 0.22 * s),
    p(0.42, 0.36 * s),
    p(0.5, 0.26 * s),
    p(0.72, 0.26 * s),
    p(0.78, 0.15 * s),
  ];
  return `M${p(0, 0)}L${[...side(1), p(1, 0), ...side(-1).reverse()].join('L')}Z`;
};

/** A tomato's leaf is made of leaflets, toothed, two pairs and one at the end; a pepper's is one, smooth and pointed. */
const TOMATO_LEAF = [
  'M0 -0.8L34 -0.8L34 0.8L0 0.8Z',
  leaflet(12, 0, 62, 17),
  leaflet(12, 0, -62, 17),
  leaflet(23, 0, 48, 20),
  leaflet(23, 0, -48, 20),
  leaflet(32, 0, 0, 25),
].join('');
const PEPPER_LEAF = 'M0 0.9L8 1.2C17 14 34 13 50 0C34 -13 17 -14 8 -1.2L0 -0.9Z';

export function LeafShape({ leaf, crop, veined }: { leaf: Leaf; crop: PlantDto['crop']; veined: boolean }) {
  const where = `translate(${leaf.x.toFixed(1)} ${leaf.y.toFixed(1)}) rotate(${(-leaf.turn).toFixed(0)}) scale(${leaf.size.toFixed(2)})`;
  return (
    <>
      <path
        d={crop === 'tomato' ? TOMATO_LEAF : PEPPER_LEAF}
        transform={where}
        className={leaf.part === 'tip' ? 'fill-green' : 'fill-greendark'}
      />
      {veined && (
        <path
          d={crop === 'tomato' ? 'M34 0L52 0' : 'M8 0L46 0'}
          transform={where}
          className="stroke-paper"
          strokeWidth="1"
          opacity="0.5"
        />
      )}
    </>
  );
}

interface FruitProps {
  at: { x: number; y: number; ripe: boolean };
  crop: PlantDto['crop'];
  type: PlantDto['type'];
}

/** A fruit as its type bears it, with its green cap. */
export function Fruit({ at: { x, y, ripe }, crop, type }: FruitProps) {
  const skin = `${ripe ? 'fill-ripe' : 'fill-green'} stroke-paper`;
  const cap = (
    <path d={`M${x - 3} ${y - 6}L${x} ${y - 8.5}L${x + 3} ${y - 6}L${x} ${y - 4}Z`} className="fill-greendark" />
  );
  if (crop === 'pepper') {
    const body =
      type === 'hot'
        ? `M${x - 3} ${y - 5}q3.5 -2.5 7 0q1.5 15 -4.5 27q-4.5 -12 -2.5 -27z`
        : type === 'superhot'
          ? `M${x - 6} ${y - 4}q6 -4 12 0q3 6 0 9q1 5 -3 7l-3 5l-2 -5q-5 -2 -4 -7q-3 -4 0 -9z`
          : `M${x - 8} ${y - 4}q4 -4 8 -1q4 -3 8 1q2 12 -3 18q-2 3 -5 0q-3 3 -5 0q-5 -6 -3 -18z`;
    return (
      <>
        <path d={body} className={skin} />
        {cap}
      </>
    );
  }
  if (type === 'paste')
    return (
      <>
        <path
          d={`M${x} ${y - 7}c7 0 7 8 5.5 14q-2 6 -5.5 7.5q-3.5 -1.5 -5.5 -7.5c-1.5 -6 -1.5 -14 5.5 -14z`}
          className={skin}
        />
        {cap}
      </>
    );
  if (type === 'beefsteak')
    return (
      <>
        <ellipse cx={x} cy={y + 1} rx="11.5" ry="9" className={skin} />
        <path
          d={`M${x - 4} ${y - 6}q-3 6 0 14M${x + 4} ${y - 6}q3 6 0 14`}
          className="fill-none stroke-paper"
          strokeWidth="0.8"
        />
        {cap}
      </>
    );
  return (
    <>
      <circle cx={x} cy={y} r={type === 'cherry' ? 4.5 : 7.5} className={skin} />
      {type !== 'cherry' && cap}
    </>
  );
}

const ray = (i: number, r: number): string => {
  const a = (i * Math.PI) / 5 - Math.PI / 2;
  return `${(r * Math.cos(a)).toFixed(1)} ${(r * Math.sin(a)).toFixed(1)}`;
};
const STAR = `M${Array.from({ length: 10 }, (_, i) => ray(i, i % 2 ? 2.6 : 6.5)).join('L')}Z`;

/** A tomato's flower is a yellow star, a pepper's a white one. */
export const Flower = ({ x, y, crop }: { x: number; y: number; crop: PlantDto['crop'] }) => (
  <path
    d={STAR}
    transform={`translate(${x.toFixed(1)} ${y.toFixed(1)})`}
    className={crop === 'tomato' ? 'fill-lit stroke-moist' : 'fill-card stroke-moist'}
    strokeWidth="1"
  />
);
