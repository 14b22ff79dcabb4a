import type { PlantDto } from '@candid-leaf/contract';
import type { Crop } from '@candid-leaf/core/records';
import type { Leaf } from './growth';

type Point = readonly [x: number, y: number];

/** Returns a toothed leaflet from its base, with a length and angle. */
const leaflet = (x: number, y: number, turn: number, length: number): Point[] => {
  const a = (turn * Math.PI) / 180;
  const p = (along: number, off: number): Point => {
    const [u, v] = [along * length, off * length];
    return [x + u * Math.cos(a) - v * Math.sin(a), y + u * Math.sin(a) + v * Math.cos(a)];
  };
  const side = (s: 1 | -1): Point[] => [
    p(0.2, 0.22 * s),
    p(0.42, 0.36 * s),
    p(0.5, 0.26 * s),
    p(0.72, 0.26 * s),
    p(0.78, 0.15 * s),
  ];
  return [p(0, 0), ...side(1), p(1, 0), ...side(-1).reverse()];
};

/**
 * A tomato leaf has toothed leaflets, two pairs and one at the end; a pepper leaf is single, smooth and pointed.
 * Outlines and vein.
 */
const LEAVES: Record<Crop, { outlines: readonly (readonly Point[])[]; vein: readonly Point[] }> = {
  tomato: {
    outlines: [
      [
        [0, -0.8],
        [34, -0.8],
        [34, 0.8],
        [0, 0.8],
      ],
      leaflet(12, 0, 62, 17),
      leaflet(12, 0, -62, 17),
      leaflet(23, 0, 48, 20),
      leaflet(23, 0, -48, 20),
      leaflet(32, 0, 0, 25),
    ],
    vein: [
      [34, 0],
      [52, 0],
    ],
  },
  pepper: {
    outlines: [smooth(50, 13)],
    vein: [
      [8, 0],
      [46, 0],
    ],
  },
};

/** Returns a smooth leaf with its stalk, widest before its middle. */
function smooth(length: number, half: number): Point[] {
  const side = (s: 1 | -1): Point[] =>
    Array.from({ length: 9 }, (_, i): Point => {
      const t = (i + 1) / 10;
      return [8 + t * (length - 8), s * half * Math.sin(Math.PI * t ** 0.75)];
    });
  return [[0, 0.9], [8, 1], ...side(1), [length, 0], ...side(-1).reverse(), [8, -1], [0, -0.9]];
}

/** Returns the points of all leaves in one path: a plant of many leaves is still few shapes. */
const laid = (leaves: readonly Leaf[], lines: (l: Leaf) => readonly (readonly Point[])[], closed: boolean): string =>
  leaves
    .flatMap((leaf) => {
      const a = (-leaf.turn * Math.PI) / 180;
      const [c, s] = [Math.cos(a) * leaf.size, Math.sin(a) * leaf.size];
      return lines(leaf).map(
        (points) =>
          `M${points.map(([u, v]) => `${(leaf.x + u * c - v * s).toFixed(1)} ${(leaf.y + u * s + v * c).toFixed(1)}`).join('L')}${closed ? 'Z' : ''}`,
      );
    })
    .join('');

interface LeavesProps {
  of: readonly Leaf[];
  crop: Crop;
  young: boolean;
  veined: boolean;
}

/** The leaves of one part of a plant. */
export function Leaves({ of: leaves, crop, young, veined }: LeavesProps) {
  const { outlines, vein } = LEAVES[crop];
  return (
    <>
      <path d={laid(leaves, () => outlines, true)} className={young ? 'fill-green' : 'fill-greendark'} />
      {veined && (
        <path d={laid(leaves, () => [vein], false)} className="fill-none stroke-paper" strokeWidth="1" opacity="0.5" />
      )}
    </>
  );
}

interface FruitProps {
  at: { x: number; y: number; ripe: boolean };
  crop: PlantDto['crop'];
  type: PlantDto['type'];
}

/** Fruit outline for the variety's type, with calyx. */
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

/** A tomato flower is a yellow star, a pepper's a white one. */
export const Flower = ({ x, y, crop }: { x: number; y: number; crop: PlantDto['crop'] }) => (
  <path
    d={STAR}
    transform={`translate(${x.toFixed(1)} ${y.toFixed(1)})`}
    className={crop === 'tomato' ? 'fill-lit stroke-moist' : 'fill-card stroke-moist'}
    strokeWidth="1"
  />
);
