import type { Crop } from '@candid-leaf/core/records';
import type { ReactNode } from 'react';
import { INK, Leaf, LINE } from './shapes';

/** Small pieces shared by several drawings. */
export type Drawing = (crop: Crop) => ReactNode;
export const P = (d: string, fill: string, more: object = {}) => <path d={d} fill={fill} {...LINE} {...more} />;
export const L = (d: string, stroke: string = INK.outline, strokeWidth = 1.8) => (
  <path d={d} stroke={stroke} strokeWidth={strokeWidth} fill="none" strokeLinecap="round" strokeLinejoin="round" />
);

export const clock = (hand: string): ReactNode => (
  <>
    <circle cx="76" cy="20" r="14" fill={INK.white} {...LINE} />
    {L(hand, INK.outline, 2.4)}
  </>
);
export const bug = (x: number, y: number, fill: string, size = 1): ReactNode => (
  <g key={`${x} ${y}`} transform={`translate(${x} ${y}) scale(${size})`}>
    {L('M-9 -3L-4 -1M-9 4L-4 2M9 -3L4 -1M9 4L4 2M-2 -7L-4 -11M2 -7L4 -11', INK.outline, 1.3)}
    <ellipse rx="5" ry="7" fill={fill} {...LINE} strokeWidth="1.2" />
  </g>
);
export const halfLeaf = (crop: Crop, fill: string): ReactNode => (
  <Leaf crop={crop}>
    <path
      d={
        crop === 'tomato'
          ? 'M48 8C43 15 44 20 36 20C36 27 39 30 30 32C22 34 25 41 20 47C14 53 20 58 24 66C27 73 35 74 39 80C42 84 45 86 48 88Z'
          : 'M48 6C30 20 20 42 26 62C30 76 40 84 48 89Z'
      }
      fill={fill}
      {...LINE}
    />
  </Leaf>
);
export const veins = (crop: Crop): ReactNode => (
  <Leaf crop={crop} fill={INK.yellow}>
    {L('M48 92V16M48 74L30 60M48 74L66 60M48 58L28 43M48 58L68 43M48 42L35 29M48 42L61 29', INK.leaf, 5)}
  </Leaf>
);
export const small = (children: ReactNode): ReactNode => <g transform="translate(22 30) scale(0.54)">{children}</g>;
export const twoLeaves = (a: ReactNode, b: ReactNode): ReactNode => (
  <>
    <g transform="translate(-8 12) scale(0.62)">{a}</g>
    <g transform="translate(42 24) scale(0.62)">{b}</g>
  </>
);
export const plantDot = (x: number, y: number): ReactNode => (
  <circle cx={x} cy={y} r="9" fill="none" stroke={INK.red} strokeWidth="4" />
);
export const rows = (sick: readonly number[], other = false): ReactNode => (
  <>
    <rect x="6" y="14" width="84" height="68" rx="8" fill={INK.soil} {...LINE} />
    {Array.from({ length: 6 }, (_, i) => {
      const x = 22 + (i % 3) * 26;
      const y = 34 + Math.floor(i / 3) * 28;
      return (
        <g key={i}>
          {other && i > 2 ? (
            <rect
              x={x - 9}
              y={y - 9}
              width="18"
              height="18"
              rx="4"
              fill={sick.includes(i) ? INK.yellow : INK.leaf}
              {...LINE}
            />
          ) : (
            <circle cx={x} cy={y} r="10" fill={sick.includes(i) ? INK.yellow : INK.leaf} {...LINE} />
          )}
        </g>
      );
    })}
  </>
);
export const curl = (crop: Crop): ReactNode => (
  <>
    {L('M48 94V50', INK.leafDark, 5)}
    {P('M48 54C30 58 18 46 24 34C30 24 44 30 40 40C38 46 30 44 32 38', INK.leaf)}
    {P('M48 54C66 58 80 46 74 34C68 24 52 30 56 40C58 46 66 44 64 38', INK.leaf)}
    {P('M48 46C38 34 40 18 50 14C60 14 60 28 52 28C48 28 47 22 51 21', crop === 'tomato' ? INK.leafPale : INK.leaf)}
  </>
);
export const caterpillar = (fill: string, horn: boolean, more?: ReactNode): ReactNode => (
  <>
    {L('M4 70C30 64 60 64 92 72', INK.leafDark, 6)}
    {[18, 31, 44, 57, 70].map((x, i) => (
      <circle key={x} cx={x} cy={54 - (i === 2 ? 6 : i % 2 ? 4 : 0)} r="12" fill={fill} {...LINE} />
    ))}
    {[18, 31, 44, 57, 70].map((x) => (
      <g key={x}>{L(`M${x - 3} 46L${x + 2} 58`, INK.white, 2)}</g>
    ))}
    {horn && P('M10 46L2 26L16 42Z', INK.red)}
    <circle cx="75" cy="50" r="2.4" fill={INK.dark} />
    {more}
  </>
);
