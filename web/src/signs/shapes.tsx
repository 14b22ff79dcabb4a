import type { Crop } from '@candid-leaf/core/records';
import type { ReactNode } from 'react';

/**
 * Shapes shared by all sign drawings, in a box of 96 by 96. Natural colours are the same in both themes: a leaf stays
 * green in the dark.
 */
export const INK = {
  /** lighter in the dark theme, so thin lines stay visible */
  outline: 'var(--drawn)',
  leaf: '#5c9148',
  leafDark: '#2f6330',
  leafPale: '#a9c07c',
  yellow: '#e7cf57',
  brown: '#7a4f2a',
  dark: '#2d211a',
  tan: '#dfc99c',
  white: '#f8f5ea',
  grey: '#a9a597',
  red: '#c23b2c',
  green: '#86ab55',
  orange: '#dd8a3c',
  purple: '#6d3f70',
  bronze: '#8d6238',
  silver: '#d6d9d5',
  soil: '#6d5039',
  dryEarth: '#cfb688',
  wetEarth: '#4b372a',
  water: '#4c86ab',
  clay: '#b7684a',
  sky: '#f0c64a',
  skin: '#e2b493',
} as const;

export const LINE = { stroke: INK.outline, strokeWidth: 1.6, strokeLinejoin: 'round', strokeLinecap: 'round' } as const;
export const HAIR = { stroke: INK.outline, strokeWidth: 1.1, fill: 'none', strokeLinecap: 'round' } as const;

/** Returns `n` points spread evenly over an ellipse, always the same. */
export const spread = (n: number, cx: number, cy: number, rx: number, ry = rx): [number, number][] =>
  Array.from({ length: n }, (_, i) => {
    const r = Math.sqrt((i + 0.6) / n);
    const a = i * 2.39996;
    return [cx + rx * r * Math.cos(a), cy + ry * r * Math.sin(a)];
  });

export function Dots({
  at,
  r,
  fill,
  ring,
}: {
  at: readonly (readonly [number, number])[];
  r: number;
  fill: string;
  ring?: string;
}) {
  return at.map(([x, y]) => (
    <circle key={`${x} ${y}`} cx={x} cy={y} r={r} fill={fill} stroke={ring ?? 'none'} strokeWidth={ring ? 1.6 : 0} />
  ));
}

const TOMATO_LEAF =
  'M48 8C53 15 52 20 60 20C60 27 57 30 66 32C74 34 71 41 76 47C82 53 76 58 72 66C69 73 61 74 57 80C54 84 51 86 48 88C45 86 42 84 39 80C35 74 27 73 24 66C20 58 14 53 20 47C25 41 22 34 30 32C39 30 36 27 36 20C44 20 43 15 48 8Z';
const PEPPER_LEAF = 'M48 6C66 20 76 42 70 62C66 76 56 84 48 89C40 84 30 76 26 62C20 42 30 20 48 6Z';
const leafPath = (crop: Crop): string => (crop === 'tomato' ? TOMATO_LEAF : PEPPER_LEAF);

/** One leaf or leaflet, tip up, with veins; children lie on the blade. */
export function Leaf({
  crop,
  fill = INK.leaf,
  vein = INK.leafDark,
  children,
  at,
}: {
  crop: Crop;
  fill?: string;
  vein?: string;
  children?: ReactNode;
  at?: string;
}) {
  return (
    <g transform={at}>
      <path d={leafPath(crop)} fill={fill} {...LINE} />
      <path
        d="M48 92V16M48 74L30 60M48 74L66 60M48 58L30 44M48 58L66 44M48 42L36 30M48 42L60 30"
        stroke={vein}
        strokeWidth="1.5"
        fill="none"
        strokeLinecap="round"
      />
      {children}
    </g>
  );
}

const BELL =
  'M30 26C16 30 14 50 20 68C24 82 34 90 40 84C44 90 52 90 56 84C62 90 72 82 76 68C82 50 80 30 66 26C58 22 38 22 30 26Z';

/** One fruit, stem up. */
export function Fruit({ crop, fill = INK.red, children }: { crop: Crop; fill?: string; children?: ReactNode }) {
  return (
    <g>
      {crop === 'tomato' ? (
        <circle cx="48" cy="54" r="35" fill={fill} {...LINE} />
      ) : (
        <path d={BELL} fill={fill} {...LINE} />
      )}
      {crop === 'pepper' && <path d="M40 30C38 50 38 68 41 82M57 30C59 50 59 68 56 82" {...HAIR} opacity="0.35" />}
      <path
        d={
          crop === 'tomato'
            ? 'M48 22L48 8M48 23L34 17L44 25L30 30L46 28L48 36L50 28L66 30L52 25L62 17Z'
            : 'M48 26C48 16 50 12 54 8M34 27C40 20 56 20 62 27C54 31 42 31 34 27Z'
        }
        fill={INK.leafDark}
        stroke={INK.leafDark}
        strokeWidth="2.4"
        strokeLinecap="round"
        strokeLinejoin="round"
      />
      {children}
    </g>
  );
}

/** A flower seen from the front. */
export function Flower({
  crop,
  x = 48,
  y = 40,
  size = 1,
  tired = false,
}: {
  crop: Crop;
  x?: number;
  y?: number;
  size?: number;
  tired?: boolean;
}) {
  const petal = tired ? INK.brown : crop === 'tomato' ? INK.sky : INK.white;
  return (
    <g transform={`translate(${x} ${y}) scale(${size})`}>
      {[0, 72, 144, 216, 288].map((a) => (
        <path key={a} d="M0 0C-7 -8 -5 -20 0 -26C5 -20 7 -8 0 0Z" fill={petal} transform={`rotate(${a})`} {...LINE} />
      ))}
      <circle r="6" fill={tired ? INK.dark : INK.orange} {...LINE} />
    </g>
  );
}

/** A hanging truss: stalk, flowers at its joints. */
export const Truss = ({ children }: { children?: ReactNode }) => (
  <g>
    <path d="M14 14C40 12 62 20 80 40" stroke={INK.leafDark} strokeWidth="4" fill="none" strokeLinecap="round" />
    {children}
  </g>
);

/** An upright stem through the box. */
export const Stem = ({ fill = INK.leaf, children }: { fill?: string; children?: ReactNode }) => (
  <g>
    <path d="M40 4C41 30 39 62 38 92H58C57 62 55 30 56 4Z" fill={fill} {...LINE} />
    {children}
  </g>
);

/** Ground with its surface at y = 40. */
export const Ground = ({ fill = INK.soil, children }: { fill?: string; children?: ReactNode }) => (
  <g>
    <path d="M4 40Q26 35 48 39T92 39V92H4Z" fill={fill} {...LINE} />
    {children}
  </g>
);

/** A finger pushed in to the second knuckle. */
export const Finger = () => (
  <g>
    <path d="M40 4V58Q40 67 48 67T56 58V4" fill={INK.skin} {...LINE} />
    <path d="M41 26H48M41 46H47" {...HAIR} />
    <path d="M44 60Q48 65 52 60" {...HAIR} />
  </g>
);

export const PotShape = ({ children, y = 0 }: { children?: ReactNode; y?: number }) => (
  <g transform={`translate(0 ${y})`}>
    <path d="M20 34H76L69 90H27Z" fill={INK.clay} {...LINE} />
    <path d="M15 26H81V36H15Z" fill={INK.clay} {...LINE} />
    {children}
  </g>
);

/** A small whole plant; `droop` bends its leaves down (0 firm, 1 drooping). */
export function WholePlant({
  droop = 0,
  side,
  fill = INK.leaf,
  lean = 0,
  children,
}: {
  droop?: number;
  side?: 'left';
  fill?: string;
  lean?: number;
  children?: ReactNode;
}) {
  const leaf = (x: number, y: number, dir: 1 | -1, hang: number) => (
    <path
      key={`${x} ${y} ${dir}`}
      d="M0 0C8 -10 24 -10 32 0C24 8 8 8 0 0Z"
      fill={fill}
      transform={`translate(${x} ${y}) scale(${dir} 1) rotate(${-24 + 92 * hang})`}
      {...LINE}
    />
  );
  const left = droop;
  const right = side === 'left' ? 0 : droop;
  return (
    <g>
      <path d="M8 86Q48 80 88 86V94H8Z" fill={INK.soil} {...LINE} />
      <g transform={`rotate(${lean} 48 86)`}>
        <path d="M48 86V16" stroke={INK.leafDark} strokeWidth="4" strokeLinecap="round" />
        {leaf(48, 70, -1, left)}
        {leaf(48, 66, 1, right)}
        {leaf(48, 50, -1, left)}
        {leaf(48, 46, 1, right)}
        {leaf(48, 30, -1, left * 0.9)}
        {leaf(48, 26, 1, right * 0.9)}
      </g>
      {children}
    </g>
  );
}

export const Sun = ({ x, y, r = 9 }: { x: number; y: number; r?: number }) => (
  <g transform={`translate(${x} ${y})`} stroke={INK.orange} strokeWidth="2" strokeLinecap="round">
    <circle r={r} fill={INK.sky} />
    {Array.from({ length: 8 }, (_, i) => (
      <path key={i} d={`M${r + 3} 0H${r + 7}`} transform={`rotate(${i * 45})`} />
    ))}
  </g>
);

export const Drop = ({ x, y, size = 1 }: { x: number; y: number; size?: number }) => (
  <path
    d="M0 -8C5 -1 7 2 7 6A7 7 0 0 1 -7 6C-7 2 -5 -1 0 -8Z"
    transform={`translate(${x} ${y}) scale(${size})`}
    fill={INK.water}
    {...LINE}
  />
);

/** A lens over something small. */
export const Lens = ({ children }: { children?: ReactNode }) => (
  <g>
    <path d="M66 66L88 88" stroke={INK.outline} strokeWidth="7" strokeLinecap="round" />
    <circle cx="42" cy="42" r="34" fill={INK.leafPale} {...LINE} strokeWidth="3.5" />
    {children}
  </g>
);

/** A cross over a picture: looked for and not there. */
export const Crossed = () => (
  <path d="M14 14L82 82M82 14L14 82" stroke={INK.red} strokeWidth="5" strokeLinecap="round" opacity="0.85" />
);
