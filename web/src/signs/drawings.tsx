import type { Crop, SignCode } from '@candid-leaf/core';
import type { ReactNode } from 'react';
import {
  Crossed,
  Dots,
  Drop,
  Finger,
  Flower,
  Fruit,
  Ground,
  HAIR,
  INK,
  Leaf,
  Lens,
  LINE,
  PotShape,
  spread,
  Stem,
  Sun,
  Truss,
  WholePlant,
} from './shapes';

type Drawing = (crop: Crop) => ReactNode;
const P = (d: string, fill: string, more: object = {}) => <path d={d} fill={fill} {...LINE} {...more} />;
const L = (d: string, stroke: string = INK.outline, strokeWidth = 1.8) => (
  <path d={d} stroke={stroke} strokeWidth={strokeWidth} fill="none" strokeLinecap="round" strokeLinejoin="round" />
);

const clock = (hand: string): ReactNode => (
  <>
    <circle cx="76" cy="20" r="14" fill={INK.white} {...LINE} />
    {L(hand, INK.outline, 2.4)}
  </>
);
const bug = (x: number, y: number, fill: string, size = 1): ReactNode => (
  <g key={`${x} ${y}`} transform={`translate(${x} ${y}) scale(${size})`}>
    {L('M-9 -3L-4 -1M-9 4L-4 2M9 -3L4 -1M9 4L4 2M-2 -7L-4 -11M2 -7L4 -11', INK.outline, 1.3)}
    <ellipse rx="5" ry="7" fill={fill} {...LINE} strokeWidth="1.2" />
  </g>
);
const halfLeaf = (crop: Crop, fill: string): ReactNode => (
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
const veins = (crop: Crop): ReactNode => (
  <Leaf crop={crop} fill={INK.yellow}>
    {L('M48 92V16M48 74L30 60M48 74L66 60M48 58L28 43M48 58L68 43M48 42L35 29M48 42L61 29', INK.leaf, 5)}
  </Leaf>
);
const small = (children: ReactNode): ReactNode => <g transform="translate(22 30) scale(0.54)">{children}</g>;
const twoLeaves = (a: ReactNode, b: ReactNode): ReactNode => (
  <>
    <g transform="translate(-8 12) scale(0.62)">{a}</g>
    <g transform="translate(42 24) scale(0.62)">{b}</g>
  </>
);
const plantDot = (x: number, y: number): ReactNode => (
  <circle cx={x} cy={y} r="9" fill="none" stroke={INK.red} strokeWidth="4" />
);
const rows = (sick: readonly number[], other = false): ReactNode => (
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
const curl = (crop: Crop): ReactNode => (
  <>
    {L('M48 94V50', INK.leafDark, 5)}
    {P('M48 54C30 58 18 46 24 34C30 24 44 30 40 40C38 46 30 44 32 38', INK.leaf)}
    {P('M48 54C66 58 80 46 74 34C68 24 52 30 56 40C58 46 66 44 64 38', INK.leaf)}
    {P('M48 46C38 34 40 18 50 14C60 14 60 28 52 28C48 28 47 22 51 21', crop === 'tomato' ? INK.leafPale : INK.leaf)}
  </>
);
const caterpillar = (fill: string, horn: boolean, more?: ReactNode): ReactNode => (
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

/** One drawing for each sign; tomato and pepper forms where they differ. */
export const DRAWINGS: Record<SignCode, Drawing> = {
  // fruit
  'fruit-blossom-end-dark': (c) =>
    c === 'tomato' ? (
      <Fruit crop={c}>
        {P('M26 76C30 66 66 66 70 76C66 86 58 89 48 89S30 86 26 76Z', INK.dark)}
        {L('M34 78C42 74 54 74 62 78', INK.brown)}
      </Fruit>
    ) : (
      <Fruit crop={c} fill={INK.green}>
        {P('M22 66C30 58 46 62 47 74C48 84 42 88 38 86C30 88 23 78 22 66Z', INK.dark)}
        {L('M28 70C34 68 40 70 42 76', INK.brown)}
      </Fruit>
    ),
  'fruit-ring-cracks': (c) => (
    <Fruit crop={c}>
      <g {...HAIR} strokeWidth="2.6" stroke={INK.brown}>
        <path d="M32 38C38 46 58 46 64 38" />
        <path d="M26 42C34 56 62 56 70 42" />
        <path d="M21 50C30 66 66 66 75 50" strokeDasharray="18 4" />
      </g>
    </Fruit>
  ),
  'fruit-radial-cracks': (c) => (
    <Fruit crop={c}>
      {P('M44 34C40 50 34 62 30 72C40 64 46 50 48 36Z', INK.orange)}
      {P('M54 34C60 48 66 58 72 64C64 62 56 50 51 36Z', INK.orange)}
    </Fruit>
  ),
  'fruit-burst': (c) => (
    <Fruit crop={c}>
      {P('M24 66L34 60L42 68L52 60L60 68L72 62C70 80 60 88 48 88S28 80 24 66Z', INK.orange)}
      <Dots at={spread(7, 48, 76, 15, 8)} r={2} fill={INK.sky} />
    </Fruit>
  ),
  'fruit-pale-papery-patch': (c) => (
    <Fruit crop={c} fill={c === 'tomato' ? INK.red : INK.green}>
      {P('M50 40C64 36 76 46 74 60C70 72 54 72 48 62C44 54 44 44 50 40Z', INK.white)}
      {L('M54 48C60 46 66 50 66 56M54 58C58 62 64 62 66 60', INK.tan, 2)}
    </Fruit>
  ),
  'fruit-patch-sun-side': (c) => (
    <>
      <g transform="translate(-8 10) scale(0.86)">
        <Fruit crop={c} fill={c === 'tomato' ? INK.red : INK.green}>
          {P('M56 36C72 40 80 56 70 68C60 66 54 50 56 36Z', INK.white)}
        </Fruit>
      </g>
      <Sun x={80} y={18} />
      {L('M72 28L62 40M80 32L72 46', INK.orange, 2.4)}
    </>
  ),
  'fruit-patch-mould': (c) => (
    <Fruit crop={c}>
      {P('M32 52C38 42 60 42 66 54C68 68 58 76 48 74C36 74 30 64 32 52Z', INK.tan)}
      <Dots at={spread(26, 49, 59, 14, 13)} r={2.3} fill={INK.dark} />
      {L('M40 50V43M48 48V40M57 51V44', INK.grey)}
    </Fruit>
  ),
  'fruit-scarred-misshapen': (c) => (
    <>
      <path
        d="M20 40C10 56 18 80 36 82C40 72 44 72 46 86C54 92 66 86 62 74C70 84 86 72 80 54C84 38 70 26 56 30C48 22 28 26 20 40Z"
        fill={INK.red}
        {...LINE}
      />
      {L('M36 82C38 66 50 60 62 74M46 86C46 74 52 66 56 66M30 70C36 60 50 52 66 60', INK.brown, 3.4)}
      <path d="M40 30L52 16L58 32Z" fill={INK.leafDark} />
      {c === 'pepper' && null}
    </>
  ),
  'fruit-zipper-scar': (c) => (
    <Fruit crop={c}>
      {L('M52 34C58 52 56 72 50 88', INK.brown, 2.6)}
      {L('M48 44H60M50 54H62M50 64H61M48 74H58', INK.brown, 2)}
    </Fruit>
  ),
  'fruit-green-shoulders': (c) => (
    <Fruit crop={c}>
      <path d="M15 44C22 26 36 20 48 20S74 26 81 44C70 56 60 42 48 50C36 42 26 56 15 44Z" fill={INK.green} {...LINE} />
      {L('M48 22L34 17L44 25L30 30L46 28L48 36L50 28L66 30L52 25L62 17Z', INK.leafDark, 2.4)}
    </Fruit>
  ),
  'fruit-blotchy': (c) => (
    <Fruit crop={c}>
      {P('M24 50C32 42 40 50 36 60C30 68 20 60 24 50Z', INK.grey)}
      {P('M54 42C66 38 74 48 68 56C60 60 52 52 54 42Z', INK.sky)}
      {P('M44 70C52 64 62 70 58 78C50 84 40 78 44 70Z', INK.white)}
    </Fruit>
  ),
  'fruit-cork-lines': (c) => (
    <Fruit crop={c}>
      {L(
        'M28 40C27 50 28 58 30 66M36 44V62M46 40C46 50 47 58 47 66M60 42C61 52 60 62 58 70M68 46C69 54 67 62 66 66M52 50V60M40 68V76',
        INK.tan,
        2.2,
      )}
    </Fruit>
  ),
  'fruit-dark-flush': (c) => (
    <Fruit crop={c} fill={INK.green}>
      <path
        d={
          c === 'tomato'
            ? 'M20 36C32 24 60 22 72 34C66 48 34 56 18 50Z'
            : 'M28 28C44 22 66 24 74 36C70 54 44 60 20 52C18 40 20 32 28 28Z'
        }
        fill={INK.purple}
        opacity="0.85"
      />
    </Fruit>
  ),
  'fruit-deep-hole': (c) => (
    <Fruit crop={c}>
      <circle cx="58" cy="50" r="11" fill={INK.dark} {...LINE} />
      <Dots
        at={[
          [46, 64],
          [54, 66],
          [62, 65],
          [50, 71],
          [68, 60],
        ]}
        r={2.8}
        fill={INK.brown}
        ring={INK.outline}
      />
    </Fruit>
  ),
  'fruit-chewed': (c) => (
    <Fruit crop={c}>
      {P('M83 48C72 42 70 52 62 52C58 60 66 62 62 70C68 74 70 70 74 76C80 68 84 58 83 48Z', INK.white)}
      {P('M80 52C72 50 72 58 67 58C65 64 70 66 68 70C72 72 74 70 76 71C80 65 81 58 80 52Z', INK.orange)}
    </Fruit>
  ),
  'fruit-pecked': (c) => (
    <Fruit crop={c}>
      {[
        [38, 48],
        [56, 58],
        [44, 70],
        [62, 42],
      ].map(([x, y]) => (
        <g key={x}>{P(`M${x! - 6} ${y! - 4}L${x} ${y! + 7}L${x! + 6} ${y! - 4}Z`, INK.orange)}</g>
      ))}
    </Fruit>
  ),
  'fruit-gnawed-or-gone': (c) => (
    <>
      <Fruit crop={c}>
        {P(
          'M88 40C78 38 76 46 70 46C70 54 62 52 62 60C54 60 56 68 48 70C48 78 38 78 34 88C60 96 92 84 92 40Z',
          'var(--card)',
          { stroke: 'none' },
        )}
        {L('M83 44C77 40 76 46 70 46C70 54 62 52 62 60C54 60 56 68 48 70C48 78 40 78 38 87', INK.outline, 2)}
      </Fruit>
      {L('M64 66L68 60M56 74L60 68M74 54L78 48', INK.brown, 2)}
    </>
  ),
  'fruit-slime': (c) => (
    <Fruit crop={c}>
      {L('M8 84C24 70 20 54 36 50C52 46 48 66 62 64C74 62 74 44 88 36', INK.silver, 7)}
      {L('M8 84C24 70 20 54 36 50C52 46 48 66 62 64C74 62 74 44 88 36', INK.white, 2)}
    </Fruit>
  ),
  'fruit-cloudy-spots': (c) => (
    <Fruit crop={c}>
      <Dots at={spread(9, 48, 56, 25, 22)} r={4.4} fill={INK.orange} />
      <Dots at={spread(9, 48, 56, 25, 22)} r={1.3} fill={INK.white} />
    </Fruit>
  ),
  'fruit-sunken-round-spots': (c) => (
    <Fruit crop={c}>
      {[
        [38, 50, 9],
        [60, 60, 11],
        [42, 74, 7],
      ].map(([x, y, r]) => (
        <g key={x}>
          <circle cx={x} cy={y} r={r} fill={INK.brown} {...LINE} />
          <circle cx={x} cy={y} r={r! * 0.55} fill={INK.dark} />
        </g>
      ))}
    </Fruit>
  ),
  'fruit-brown-greasy': (c) => (
    <Fruit crop={c} fill={INK.green}>
      {P('M18 46C26 36 44 38 54 34C66 34 74 44 70 56C58 62 50 56 40 66C28 72 16 62 18 46Z', INK.bronze)}
      {L('M28 50C38 44 50 46 60 44', INK.tan, 2)}
    </Fruit>
  ),
  'fruit-small-raised-specks': (c) => (
    <Fruit crop={c}>
      <Dots at={spread(22, 48, 55, 27, 25)} r={2.5} fill={INK.dark} ring={INK.tan} />
    </Fruit>
  ),
  'fruit-ring-pattern': (c) => (
    <Fruit crop={c}>
      {[
        [36, 50],
        [61, 60],
      ].map(([x, y]) => (
        <g key={x} fill="none" stroke={INK.sky} strokeWidth="3">
          <circle cx={x} cy={y} r="12" />
          <circle cx={x} cy={y} r="5" />
        </g>
      ))}
    </Fruit>
  ),
  'fruit-soft-sour': (c) => (
    <>
      <path
        d="M16 56C14 36 34 24 50 26C70 24 84 40 80 58C84 72 72 84 60 82C50 90 32 88 26 80C16 78 14 66 16 56Z"
        fill={INK.bronze}
        {...LINE}
      />
      <Drop x={34} y={86} size={0.8} />
      <Drop x={60} y={88} size={0.7} />
      {L('M30 20C26 14 34 12 30 5M50 16C46 10 54 8 50 2M68 20C64 14 72 12 68 5', INK.leafDark, 2.4)}
      {c === 'tomato' ? L('M34 46C42 42 52 50 62 44', INK.dark) : L('M36 36V64M58 36V66', INK.dark)}
    </>
  ),
  'fruit-watery-bland': (c) => (
    <>
      <g transform="translate(-8 4) scale(0.86)">
        <Fruit crop={c} fill={INK.orange} />
      </g>
      <Drop x={72} y={66} size={1.4} />
      <Drop x={82} y={38} />
    </>
  ),
  'fruit-slow-to-colour': (c) => (
    <Fruit crop={c} fill={INK.green}>
      {clock('M76 20V11M76 20L83 24')}
    </Fruit>
  ),
  // flowers
  'flower-drop': (c) => (
    <Truss>
      <Flower crop={c} x={42} y={26} size={0.5} />
      {L('M64 26L66 34', INK.yellow, 4)}
      <Flower crop={c} x={58} y={66} size={0.5} tired={false} />
      <Flower crop={c} x={28} y={80} size={0.45} />
      {L('M66 42V50M58 38L56 46', INK.outline, 1.4)}
      {L('M10 92H88', INK.soil, 4)}
    </Truss>
  ),
  'flower-dry': (c) => (
    <Truss>
      <Flower crop={c} x={40} y={38} size={0.62} tired />
      <Flower crop={c} x={68} y={56} size={0.55} tired />
    </Truss>
  ),
  'flower-many-open': (c) => (
    <Truss>
      {[
        [24, 26],
        [46, 24],
        [68, 32],
        [30, 50],
        [54, 48],
        [78, 56],
        [40, 74],
        [64, 76],
      ].map(([x, y]) => (
        <Flower key={`${x} ${y}`} crop={c} x={x!} y={y!} size={0.42} />
      ))}
    </Truss>
  ),
  'flower-few': () => (
    <WholePlant>
      {L('M14 24L22 16M74 16L82 24', 'none')}
      <circle cx="48" cy="14" r="6" fill="none" stroke={INK.outline} strokeDasharray="3 3" strokeWidth="2" />
      <circle cx="74" cy="42" r="6" fill="none" stroke={INK.outline} strokeDasharray="3 3" strokeWidth="2" />
      <circle cx="22" cy="40" r="6" fill="none" stroke={INK.outline} strokeDasharray="3 3" strokeWidth="2" />
    </WholePlant>
  ),
  'flower-tiny-insects': (c) => (
    <>
      <Flower crop={c} x={48} y={50} size={1.5} />
      {[
        [40, 40],
        [58, 46],
        [48, 64],
        [38, 56],
        [60, 60],
      ].map(([x, y]) => (
        <g key={x}>{L(`M${x} ${y}l5 3`, INK.dark, 3.2)}</g>
      ))}
    </>
  ),
  'flower-still-air': (c) => (
    <>
      <Flower crop={c} x={48} y={60} size={0.8} />
      {L('M8 92V44Q48 -8 88 44V92', INK.outline, 3)}
      {L('M28 26C34 22 40 30 46 26M52 22C58 18 62 26 68 24', INK.grey, 2)}
      <g transform="translate(24 2) scale(0.5)">
        <Crossed />
      </g>
    </>
  ),
  'fruitlet-drop': (c) => (
    <Truss>
      <circle cx="40" cy="26" r="7" fill={INK.green} {...LINE} />
      {L('M62 25L64 32', INK.yellow, 4)}
      {[
        [62, 56],
        [40, 72],
        [74, 78],
      ].map(([x, y]) => (
        <circle key={x} cx={x} cy={y} r={c === 'tomato' ? 7 : 6} fill={INK.green} {...LINE} />
      ))}
      {L('M62 40V46M8 92H88', INK.outline, 2)}
    </Truss>
  ),
  // posture
  'leaf-wilt': () => <WholePlant droop={1} />,
  'leaf-wilt-midday-only': () => (
    <WholePlant droop={0.9}>
      <Sun x={80} y={16} r={8} />
    </WholePlant>
  ),
  'leaf-wilt-at-dawn': () => (
    <WholePlant droop={1}>
      <path d="M64 24A14 14 0 0 1 92 24Z" fill={INK.orange} {...LINE} />
      {L('M60 24H95', INK.outline, 2)}
    </WholePlant>
  ),
  'leaf-recovers-after-water': () => (
    <>
      <g transform="translate(-14 8) scale(0.62)">
        <WholePlant droop={1} />
      </g>
      <g transform="translate(44 8) scale(0.62)">
        <WholePlant />
      </g>
      <Drop x={48} y={22} />
      {L('M40 78H56M51 73L57 78L51 83', INK.outline, 2.4)}
    </>
  ),
  'leaf-no-recovery-after-water': () => (
    <>
      <WholePlant droop={1} />
      <Drop x={78} y={18} />
      <Drop x={18} y={18} />
      <Drop x={48} y={8} size={0.8} />
    </>
  ),
  'leaf-wilt-one-side': () => <WholePlant droop={1} side="left" />,
  'leaf-roll-up': (c) => (
    <>
      {L('M48 94V70', INK.leafDark, 4)}
      {P('M26 80C14 56 22 26 40 10C36 34 38 62 46 82Z', INK.leaf)}
      {P('M70 80C82 56 74 26 56 10C60 34 58 62 50 82Z', INK.leaf)}
      {P('M40 10C46 30 50 30 56 10C60 40 56 66 48 82C40 66 36 40 40 10Z', c === 'tomato' ? INK.leafPale : INK.leafPale)}
    </>
  ),
  'leaf-curl-down': () => (
    <>
      {L('M6 40C20 30 30 30 40 34', INK.leafDark, 5)}
      {P('M38 32C58 22 84 38 86 70C86 82 76 84 72 74C70 60 58 48 40 46Z', INK.leaf)}
      {L('M40 38C58 36 74 50 78 72', INK.leafDark)}
    </>
  ),
  'leaf-curl-tight-new': curl,
  'leaf-strap-twist': () => (
    <>
      {L('M48 94V56', INK.leafDark, 5)}
      {P('M48 60C40 44 30 46 26 30C24 20 30 12 28 6C38 14 34 24 40 34C46 44 50 48 50 58Z', INK.leaf)}
      {P('M48 60C50 40 56 34 54 20C54 12 60 8 62 4C66 16 60 24 62 36C62 48 54 52 50 60Z', INK.leaf)}
      {P('M50 62C60 54 66 58 74 46C78 40 84 40 88 36C88 50 78 52 72 60C64 68 56 66 50 66Z', INK.leaf)}
    </>
  ),
  'leaf-cup-yellow-edge': () => (
    <>
      {L('M48 94V60', INK.leafDark, 5)}
      {[
        [26, 50],
        [70, 50],
        [48, 30],
      ].map(([x, y]) => (
        <g key={x} transform={`translate(${x} ${y})`}>
          <path
            d="M-20 -8C-18 16 18 16 20 -8C10 -2 -10 -2 -20 -8Z"
            fill={INK.leaf}
            stroke={INK.yellow}
            strokeWidth="5"
            strokeLinejoin="round"
          />
          <path d="M-20 -8C-18 16 18 16 20 -8C10 -2 -10 -2 -20 -8Z" {...HAIR} />
        </g>
      ))}
    </>
  ),
  'leaf-bubbled': (c) => (
    <Leaf crop={c}>
      {spread(9, 48, 52, 20, 26).map(([x, y]) => (
        <g key={x}>
          <circle cx={x} cy={y} r="6" fill={INK.leafPale} {...LINE} strokeWidth="1.1" />
          {L(`M${x - 2} ${y - 2}q2 -2 4 0`, INK.white, 1.6)}
        </g>
      ))}
    </Leaf>
  ),
  'leaf-corky-bumps': (c) => (
    <Leaf crop={c} fill={INK.leafPale}>
      <Dots at={spread(20, 48, 52, 21, 28)} r={3} fill={INK.tan} ring={INK.brown} />
    </Leaf>
  ),
  // colour
  'leaf-yellow-slow-few': (c) => (
    <WholePlant>
      {P('M48 70C40 60 24 60 16 70C24 78 40 78 48 70Z', INK.yellow, { transform: 'rotate(24 48 70)' })}
      {c === 'pepper' ? null : null}
    </WholePlant>
  ),
  'leaf-yellow-fast': () => (
    <WholePlant>
      {[
        [-1, 70, 24],
        [1, 66, -24],
        [-1, 50, 24],
      ].map(([d, y, r]) => (
        <g key={`${d} ${y}`}>
          {P('M0 0C8 -10 24 -10 32 0C24 8 8 8 0 0Z', INK.yellow, {
            transform: `translate(48 ${y}) scale(${d} 1) rotate(-24)`,
          })}
          {r ? null : null}
        </g>
      ))}
      {P('M10 86C16 80 26 82 28 87C22 92 14 92 10 86Z', INK.yellow)}
      {P('M66 88C72 82 82 84 84 88C78 93 70 93 66 88Z', INK.yellow)}
    </WholePlant>
  ),
  'leaf-yellow-whole-old': (c) =>
    twoLeaves(<Leaf crop={c} fill={INK.yellow} vein={INK.leafPale} />, <Leaf crop={c} fill={INK.leafPale} />),
  'leaf-yellow-between-veins-old': (c) => (
    <>
      {veins(c)}
      {L('M8 90H88', INK.soil, 6)}
    </>
  ),
  'leaf-yellow-between-veins-new': (c) => (
    <>
      {L('M48 96V62', INK.leafDark, 6)}
      <g transform="translate(12 0) scale(0.74)">{veins(c)}</g>
      {L('M48 78L22 70M48 78L74 70', INK.leafDark, 4)}
    </>
  ),
  'leaf-yellow-mushy': (c) => (
    <>
      <Leaf crop={c} fill={INK.yellow} vein={INK.brown}>
        {P('M34 60C40 52 56 54 62 62C60 76 38 76 34 60Z', INK.bronze)}
      </Leaf>
      <Drop x={30} y={84} size={0.8} />
      <Drop x={66} y={86} size={0.8} />
    </>
  ),
  'leaf-yellow-crisp': (c) => (
    <Leaf crop={c} fill={INK.yellow} vein={INK.brown}>
      {P('M20 47C26 50 22 58 30 62C26 66 30 72 39 80C27 73 20 62 20 47Z', INK.tan)}
      {P('M76 47C70 50 74 58 66 62C70 66 66 72 57 80C69 73 76 62 76 47Z', INK.tan)}
      {L('M34 46L42 54M62 40L54 48M36 68L44 66', INK.brown)}
    </Leaf>
  ),
  'leaf-yellow-patches': (c) => (
    <Leaf crop={c}>
      {[
        [38, 44, 8],
        [60, 54, 10],
        [42, 68, 7],
        [55, 32, 5],
      ].map(([x, y, r]) => (
        <circle key={x} cx={x} cy={y} r={r} fill={INK.yellow} />
      ))}
    </Leaf>
  ),
  'leaf-yellow-one-side': (c) => halfLeaf(c, INK.yellow),
  'leaf-edge-brown-old': (c) => (
    <>
      <Leaf crop={c} fill={INK.brown} vein={INK.leafDark} />
      <g transform="translate(14 15) scale(0.7)">
        <Leaf crop={c} />
      </g>
      {L('M8 92H88', INK.soil, 5)}
    </>
  ),
  'leaf-tip-burn': (c) => (
    <Leaf crop={c}>
      {P('M48 8C54 16 62 20 66 32C58 28 54 36 48 30C42 36 38 28 30 32C34 20 42 16 48 8Z', INK.brown)}
      {P('M20 47C26 50 22 56 26 60L20 58Z', INK.brown)}
      {P('M76 47C70 50 74 56 70 60L76 58Z', INK.brown)}
    </Leaf>
  ),
  'leaf-bleached-patches': (c) => (
    <Leaf crop={c}>
      {P('M52 36C64 30 72 42 66 54C58 60 50 50 52 36Z', INK.white)}
      {P('M30 52C38 48 44 58 38 68C30 68 26 58 30 52Z', INK.white)}
      <Sun x={82} y={12} r={6} />
    </Leaf>
  ),
  'leaf-purple-under': (c) => <Leaf crop={c} fill={INK.purple} vein={INK.leafPale} />,
  'leaf-dark-lush': (c) => (
    <>
      {[
        [0, 18, 0.7],
        [36, 18, 0.7],
        [12, -2, 0.76],
      ].map(([x, y, s]) => (
        <g key={`${x} ${y}`} transform={`translate(${x} ${y}) scale(${s})`}>
          <Leaf crop={c} fill={INK.leafDark} vein={INK.leaf} />
        </g>
      ))}
    </>
  ),
  'leaf-mottle': (c) => (
    <Leaf crop={c} fill={INK.leafPale}>
      {spread(13, 48, 52, 23, 30).map(([x, y], i) => (
        <path
          key={x}
          d={`M${x - 6} ${y}q4 -8 10 -3q4 6 -2 8q-7 2 -8 -5z`}
          fill={INK.leafDark}
          transform={`rotate(${i * 50} ${x} ${y})`}
        />
      ))}
    </Leaf>
  ),
  'leaf-bronze-rings': (c) => (
    <Leaf crop={c}>
      {[
        [38, 46],
        [60, 56],
        [46, 70],
        [54, 32],
      ].map(([x, y]) => (
        <g key={x} fill="none" stroke={INK.bronze} strokeWidth="2.6">
          <circle cx={x} cy={y} r="8" />
          <circle cx={x} cy={y} r="3" fill={INK.bronze} />
        </g>
      ))}
    </Leaf>
  ),
  'leaf-bronzed-under': (c) => (
    <>
      <g transform="translate(14 0) scale(0.7)">
        <Leaf crop={c} fill={INK.bronze} vein={INK.tan}>
          {L('M34 40L40 46M58 36L64 42M34 62L40 68M58 60L64 66', INK.tan, 2)}
        </Leaf>
      </g>
      {L('M48 64V94', INK.leafDark, 5)}
    </>
  ),
  'leaf-blackened-soft': () => (
    <WholePlant droop={1} fill={INK.dark}>
      {[
        [76, 14],
        [16, 20],
        [84, 34],
      ].map(([x, y]) => (
        <g key={x}>
          {L(`M${x! - 6} ${y}h12M${x} ${y! - 6}v12M${x! - 4} ${y! - 4}l8 8M${x! + 4} ${y! - 4}l-8 8`, INK.water, 2)}
        </g>
      ))}
    </WholePlant>
  ),
  // spots, holes, coatings
  'leaf-target-spots': (c) => (
    <Leaf crop={c}>
      {[
        [36, 46, 10],
        [60, 56, 12],
        [44, 72, 7],
      ].map(([x, y, r]) => (
        <g key={x}>
          <circle cx={x} cy={y} r={r! + 4} fill={INK.yellow} />
          <circle cx={x} cy={y} r={r} fill={INK.brown} />
          <g fill="none" stroke={INK.tan} strokeWidth="1.5">
            <circle cx={x} cy={y} r={r! * 0.66} />
            <circle cx={x} cy={y} r={r! * 0.3} />
          </g>
        </g>
      ))}
    </Leaf>
  ),
  'leaf-small-grey-spots': (c) => (
    <Leaf crop={c}>
      <Dots at={spread(17, 48, 52, 22, 29)} r={3.5} fill={INK.silver} ring={INK.dark} />
      <Dots at={spread(17, 48, 52, 22, 29)} r={0.9} fill={INK.dark} />
    </Leaf>
  ),
  'leaf-greasy-blotches': (c) => (
    <Leaf crop={c}>
      {P('M20 47C30 38 44 44 46 56C46 72 36 78 26 70C22 62 16 56 20 47Z', INK.bronze)}
      {P('M58 26C66 30 74 38 70 46C62 50 54 42 58 26Z', INK.bronze)}
      {L('M26 54C32 50 38 54 40 60', INK.tan)}
    </Leaf>
  ),
  'leaf-white-fuzz-under': (c) => (
    <Leaf crop={c} fill={INK.leafPale}>
      {P('M30 40C44 32 64 36 66 52C66 68 46 74 34 66C26 58 24 46 30 40Z', INK.bronze)}
      {spread(22, 48, 53, 24, 22)
        .slice(11)
        .map(([x, y]) => (
          <circle key={x} cx={x} cy={y} r="3.6" fill={INK.white} stroke={INK.grey} strokeWidth="0.8" />
        ))}
    </Leaf>
  ),
  'leaf-olive-mould-under': (c) =>
    twoLeaves(
      <Leaf crop={c}>
        {[
          [36, 44, 9],
          [60, 60, 10],
        ].map(([x, y, r]) => (
          <circle key={x} cx={x} cy={y} r={r} fill={INK.yellow} />
        ))}
      </Leaf>,
      <Leaf crop={c} fill={INK.leafPale}>
        {[
          [36, 44],
          [60, 60],
        ].map(([x, y]) => (
          <g key={x}>
            <Dots at={spread(12, x!, y!, 11)} r={3} fill="#6c6a35" />
          </g>
        ))}
      </Leaf>,
    ),
  'leaf-white-powder': (c) => (
    <Leaf crop={c} fill={INK.leafDark}>
      <Dots at={spread(60, 48, 50, 22, 30)} r={2.8} fill={INK.white} />
    </Leaf>
  ),
  'leaf-small-dark-spots': (c) => (
    <Leaf crop={c}>
      {spread(13, 48, 52, 21, 28).map(([x, y]) => (
        <g key={x}>
          <circle cx={x} cy={y} r="5" fill={INK.yellow} />
          <path d={`M${x - 3} ${y - 2}l4 -1l2 4l-4 2z`} fill={INK.dark} />
        </g>
      ))}
    </Leaf>
  ),
  'leaf-stipple': (c) => (
    <Leaf crop={c}>
      <Dots at={spread(90, 48, 50, 23, 31)} r={1.2} fill={INK.white} />
    </Leaf>
  ),
  'leaf-webbing': (c) => (
    <>
      <Leaf crop={c} fill={INK.leafPale} />
      <g {...HAIR} stroke={INK.grey} strokeWidth="1.4">
        <path d="M10 20L86 70M20 8L78 86M4 52L92 30M14 74L70 10M40 4L54 92" />
        <path d="M22 30C40 34 56 24 72 30M18 54C38 50 58 58 80 48M28 76C44 68 58 76 74 66" />
      </g>
    </>
  ),
  'leaf-silver-streaks': (c) => (
    <Leaf crop={c}>
      {L('M34 36L40 50M56 30L52 44M62 50L56 66M34 62L42 72M52 74L58 68', INK.silver, 5)}
      <Dots
        at={[
          [38, 44],
          [54, 38],
          [60, 58],
          [38, 68],
          [46, 56],
        ]}
        r={1.5}
        fill={INK.dark}
      />
    </Leaf>
  ),
  'leaf-sticky': (c) => (
    <Leaf crop={c}>
      <g opacity="0.9">
        {P('M30 40C40 34 58 36 64 46C60 54 66 64 58 68C50 64 44 72 36 66C32 58 26 48 30 40Z', '#c9a13c')}
      </g>
      {L('M38 44C44 40 50 42 54 46', INK.white, 3)}
      <Drop x={48} y={84} size={0.9} />
    </Leaf>
  ),
  'leaf-shot-holes': (c) => (
    <Leaf crop={c}>
      <Dots at={spread(26, 48, 51, 23, 30)} r={2.4} fill="var(--card)" ring={INK.brown} />
    </Leaf>
  ),
  'leaf-large-missing': (c) => (
    <>
      {L('M48 94V10M48 70L18 52M48 70L78 52M48 44L24 28M48 44L70 30', INK.leafDark, 4)}
      <g transform="translate(64 36) scale(0.32)">
        <Leaf crop={c} />
      </g>
      {P('M18 52C12 48 10 42 14 40L20 46L24 42L24 50Z', INK.leaf)}
    </>
  ),
  'leaf-ragged-holes': (c) => (
    <Leaf crop={c}>
      {[
        'M34 40L42 36L44 46L38 52L30 48Z',
        'M56 50L66 48L68 58L60 64L54 58Z',
        'M36 64L44 62L46 72L38 74Z',
        'M54 30L60 28L60 36L55 37Z',
      ].map((d) => (
        <path key={d} d={d} fill="var(--card)" {...LINE} />
      ))}
    </Leaf>
  ),
  'leaf-droppings': (c) => (
    <>
      <g transform="translate(10 -6) scale(0.8)">
        <Leaf crop={c} />
      </g>
      {[
        [34, 52],
        [48, 60],
        [60, 50],
        [24, 86],
        [40, 88],
        [56, 84],
        [72, 88],
      ].map(([x, y]) => (
        <rect
          key={x}
          x={x! - 4}
          y={y! - 3}
          width="8"
          height="6"
          rx="2"
          fill={INK.dark}
          stroke={INK.tan}
          strokeWidth="0.8"
        />
      ))}
    </>
  ),
  'leaf-mines': (c) => (
    <Leaf crop={c}>
      {L('M30 36C40 40 32 48 42 50C52 52 44 60 54 62C64 62 60 50 68 52', INK.white, 4)}
      {L('M40 72C46 66 52 76 58 72', INK.white, 3)}
    </Leaf>
  ),
  'leaf-torn-exposed': (c) => (
    <>
      <Leaf crop={c}>
        <path d="M78 40L50 48L76 58Z" fill="var(--card)" {...LINE} />
        <path d="M22 62L44 64L28 74Z" fill="var(--card)" {...LINE} />
      </Leaf>
      {L('M4 20C20 14 30 24 44 18M4 32C14 28 20 34 30 30', INK.grey, 2.4)}
    </>
  ),
  // creatures
  'pest-aphids': (c) => (
    <>
      {L('M48 94C46 60 50 40 48 6', INK.leafDark, 7)}
      {spread(15, 48, 48, 24, 38).map(([x, y]) => bug(x, y, c === 'tomato' ? INK.leafPale : INK.green, 0.8))}
    </>
  ),
  'pest-aphid-mummies': (c) => (
    <Leaf crop={c}>
      {spread(7, 48, 52, 20, 24).map(([x, y]) => (
        <g key={x}>
          <circle cx={x} cy={y} r="6.5" fill={INK.tan} {...LINE} />
          <circle cx={x + 2} cy={y + 2} r="1.6" fill={INK.dark} />
        </g>
      ))}
    </Leaf>
  ),
  'pest-ants': () => (
    <Stem>
      {[
        [48, 20],
        [44, 48],
        [52, 76],
      ].map(([x, y]) => (
        <g key={y} transform={`translate(${x} ${y})`}>
          {L('M-12 -6L-3 -1M-13 2L-3 1M-10 9L-3 3M12 -6L3 -1M13 2L3 1M10 9L3 3', INK.dark, 1.5)}
          <circle cy="-7" r="3.4" fill={INK.dark} />
          <circle r="3" fill={INK.dark} />
          <ellipse cy="8" rx="4" ry="5.4" fill={INK.dark} />
        </g>
      ))}
    </Stem>
  ),
  'pest-whitefly': (c) => (
    <>
      <g transform="translate(20 30) scale(0.7)">
        <Leaf crop={c} />
      </g>
      {[
        [18, 30],
        [40, 14],
        [66, 22],
        [84, 44],
        [26, 58],
        [78, 76],
      ].map(([x, y]) => (
        <path
          key={x}
          d={`M${x} ${y}l-9 -8q-3 8 6 11zM${x} ${y}l9 -8q3 8 -6 11z`}
          fill={INK.white}
          {...LINE}
          strokeWidth="1.2"
        />
      ))}
    </>
  ),
  'pest-mites': () => (
    <Lens>
      {[
        [30, 34],
        [52, 30],
        [42, 52],
        [58, 50],
        [26, 54],
      ].map(([x, y]) => (
        <g key={x} transform={`translate(${x} ${y})`}>
          {L('M-8 -4L8 4M-8 4L8 -4M-8 0H8M-5 -6L5 6', INK.dark, 1.1)}
          <circle r="4.6" fill={INK.orange} {...LINE} strokeWidth="1" />
        </g>
      ))}
    </Lens>
  ),
  'pest-thrips': () => (
    <Lens>
      {[
        [30, 30, 20],
        [50, 38, -30],
        [36, 54, 60],
      ].map(([x, y, a]) => (
        <g key={x} transform={`translate(${x} ${y}) rotate(${a})`}>
          <path d="M-14 0Q0 -5 14 0Q0 5 -14 0Z" fill={INK.bronze} {...LINE} />
          {L('M-6 3L-9 9M0 4V10M6 3L9 9', INK.dark, 1.2)}
          {L('M2 -4L-12 -9', INK.grey, 1.6)}
        </g>
      ))}
    </Lens>
  ),
  'pest-hornworm': () => caterpillar(INK.leaf, true),
  'pest-hornworm-cocoons': () =>
    caterpillar(
      INK.leaf,
      true,
      [22, 32, 42, 52, 62].map((x, i) => (
        <ellipse
          key={x}
          cx={x}
          cy={34 + (i % 2) * 4}
          rx="4"
          ry="8"
          fill={INK.white}
          {...LINE}
          transform={`rotate(${i * 9 - 18} ${x} 36)`}
        />
      )),
    ),
  'pest-caterpillar': () => caterpillar(INK.bronze, false),
  'pest-flea-beetle': () => (
    <>
      {[
        [30, 60],
        [66, 40],
        [58, 76],
      ].map(([x, y]) => (
        <g key={x}>
          <ellipse cx={x} cy={y} rx="9" ry="7" fill={INK.dark} {...LINE} />
          {L(`M${x! + 6} ${y! + 4}l6 6l-5 3M${x! - 6} ${y! + 4}l-6 6l5 3`, INK.dark, 2)}
        </g>
      ))}
      {L('M34 46C40 26 52 22 60 30', INK.outline, 1.4)}
    </>
  ),
  'pest-slug': () => (
    <>
      {L('M4 84H92', INK.silver, 5)}
      {P('M10 80C14 60 34 56 52 62C66 64 76 60 84 52C92 58 90 78 78 80Z', INK.bronze)}
      {P('M30 66C34 56 52 56 58 66Z', INK.brown)}
      {L('M82 54L80 40M87 55L91 42', INK.bronze, 3)}
      <circle cx="80" cy="39" r="2.4" fill={INK.dark} />
      <circle cx="91" cy="41" r="2.4" fill={INK.dark} />
    </>
  ),
  'pest-stink-bug': () => (
    <>
      {L(
        'M26 40L10 30M24 54L8 56M30 70L16 82M70 40L86 30M72 54L88 56M66 70L80 82M42 20L36 6M54 20L60 6',
        INK.outline,
        2.4,
      )}
      {P('M48 18C58 18 62 24 74 32C78 52 66 80 48 86C30 80 18 52 22 32C34 24 38 18 48 18Z', INK.bronze)}
      {P('M32 36H64L48 64Z', INK.tan)}
    </>
  ),
  'pest-fungus-gnats': () => (
    <Ground fill={INK.wetEarth}>
      {[
        [22, 20],
        [46, 12],
        [70, 24],
        [34, 32],
        [84, 14],
      ].map(([x, y]) => (
        <g key={x}>
          {L(`M${x} ${y! - 4}v9`, INK.dark, 3)}
          <path
            d={`M${x} ${y! - 2}l-8 -5q-1 6 8 7l8 -5q1 -6 -8 -2z`}
            fill={INK.silver}
            stroke={INK.dark}
            strokeWidth="0.8"
          />
          {L(`M${x} ${y! + 4}l-4 5M${x} ${y! + 4}l4 5`, INK.dark, 1)}
        </g>
      ))}
    </Ground>
  ),
  'pest-none-found': (c) => (
    <>
      <g transform="translate(2 2) scale(0.74)">
        <Leaf crop={c} />
      </g>
      <circle cx="46" cy="44" r="26" fill="none" stroke={INK.outline} strokeWidth="4" />
      <path d="M65 63L86 86" stroke={INK.outline} strokeWidth="8" strokeLinecap="round" />
      {L('M34 44L43 54L60 34', INK.white, 6)}
    </>
  ),
  // stem, root, whole plant
  'stem-leggy': () => (
    <>
      {L('M48 92C44 70 52 50 46 16', INK.leafPale, 4)}
      {[
        [46, 16, -1],
        [46, 16, 1],
        [49, 44, 1],
      ].map(([x, y, d], i) => (
        <path
          key={i}
          d="M0 0C5 -7 14 -7 19 0C14 5 5 5 0 0Z"
          transform={`translate(${x} ${y}) scale(${d} 1) rotate(-20)`}
          fill={INK.leafPale}
          {...LINE}
        />
      ))}
      {P('M10 88Q48 84 86 88V95H10Z', INK.soil)}
    </>
  ),
  'stem-broken': () => (
    <>
      {L('M40 94V48', INK.leaf, 13)}
      {L('M42 46L82 66', INK.leaf, 13)}
      {P('M33 50L38 36L41 46L46 34L49 48Z', INK.tan)}
    </>
  ),
  'stem-dark-lesions': () => (
    <Stem>
      {P('M40 22C50 18 54 30 50 40C44 44 40 34 40 22Z', INK.dark)}
      {P('M56 52C48 50 44 62 48 72C54 76 58 64 56 52Z', INK.dark)}
    </Stem>
  ),
  'stem-brown-inside': () => (
    <>
      {P('M28 90V36L68 22V90Z', INK.leaf)}
      {P('M28 36L68 22C70 30 66 38 48 42C38 44 28 42 28 36Z', INK.white)}
      {L('M36 40V88M60 34V88', INK.brown, 5)}
      {L('M32 37C36 41 58 36 64 26', INK.brown, 3)}
    </>
  ),
  'stem-ooze': () => (
    <>
      {P('M24 30H72L66 92H30Z', 'rgba(140,190,215,0.45)')}
      {L('M22 30H74', INK.outline, 2)}
      {L('M48 4V48', INK.leaf, 12)}
      {L('M44 50C40 62 48 70 42 84M49 50C54 62 46 70 52 86M53 50C60 60 56 68 60 78', INK.white, 3.4)}
    </>
  ),
  'stem-collar-rot': () => (
    <Ground>
      <path
        d="M42 0C43 20 44 26 46 34C46 42 44 50 42 60H56C54 50 50 42 50 34C52 26 54 20 55 0Z"
        fill={INK.leaf}
        {...LINE}
      />
      {P('M43 24C46 30 46 36 44 50H53C51 36 50 30 54 24Z', INK.dark)}
    </Ground>
  ),
  'stem-root-bumps': () => (
    <Stem>
      {[
        [38, 40],
        [37, 56],
        [38, 70],
        [58, 46],
        [58, 62],
        [58, 78],
        [46, 60],
        [50, 76],
      ].map(([x, y]) => (
        <circle key={`${x} ${y}`} cx={x} cy={y} r="4.4" fill={INK.white} {...LINE} strokeWidth="1.2" />
      ))}
    </Stem>
  ),
  'stem-tie-cutting': () => (
    <>
      <path
        d="M34 4C34 26 36 36 42 44C36 54 34 66 34 92H62C62 66 60 54 54 44C60 36 62 26 62 4Z"
        fill={INK.leaf}
        {...LINE}
      />
      {L('M36 42C44 48 52 48 60 42M60 42L82 34', INK.tan, 6)}
      {L('M36 42C44 48 52 48 60 42M60 42L82 34', INK.brown, 1.4)}
    </>
  ),
  'root-brown-slimy': () => (
    <Ground fill={INK.wetEarth}>
      {L('M48 4V40', INK.leaf, 7)}
      {L('M48 40C44 56 30 60 22 82M48 40V88M48 40C54 56 66 62 74 82M40 54L28 58M58 56L70 60', INK.bronze, 6)}
      <Drop x={24} y={66} size={0.6} />
      <Drop x={72} y={74} size={0.6} />
    </Ground>
  ),
  'root-sour-smell': () => (
    <Ground fill={INK.wetEarth}>
      {L('M48 40C44 56 32 62 26 82M48 40V86M48 40C54 56 64 62 70 82', INK.brown, 5)}
      {L('M24 32C18 24 30 20 24 8M48 32C42 24 54 20 48 6M72 32C66 24 78 20 72 8', '#a8a534', 4)}
    </Ground>
  ),
  'root-white-firm': () => (
    <Ground>
      {L('M48 4V40', INK.leaf, 7)}
      {L(
        'M48 40C44 56 30 60 22 82M48 40V88M48 40C54 56 66 62 74 82M42 52L26 56M54 54L72 58M48 66L38 84M48 66L58 84',
        INK.white,
        4,
      )}
    </Ground>
  ),
  'root-knots': () => (
    <Ground>
      {L('M48 4V40', INK.leaf, 7)}
      {L('M48 40C44 56 30 60 22 82M48 40V88M48 40C54 56 66 62 74 82', INK.tan, 4)}
      <Dots
        at={[
          [40, 54],
          [28, 68],
          [48, 62],
          [48, 78],
          [58, 58],
          [68, 72],
        ]}
        r={6.5}
        fill={INK.tan}
        ring={INK.brown}
      />
    </Ground>
  ),
  'root-circling': () => (
    <>
      <path d="M20 10H76L70 88H26Z" fill={INK.soil} {...LINE} />
      <g fill="none" stroke={INK.white} strokeWidth="3.6" strokeLinecap="round">
        <path d="M24 22C40 32 58 32 72 22M25 36C40 46 58 46 71 36M26 50C40 60 58 60 70 50M27 64C40 74 58 74 69 64M28 78C40 86 58 86 68 78" />
      </g>
    </>
  ),
  'plant-stunted': () => (
    <>
      <g transform="translate(26 6) scale(0.86)">
        <WholePlant />
      </g>
      <g transform="translate(-8 52) scale(0.42)">
        <WholePlant />
      </g>
    </>
  ),
  'plant-flopping': () => (
    <g transform="translate(-16 4) scale(0.92)">
      <WholePlant lean={52} />
    </g>
  ),
  'plant-dense': (c) => (
    <>
      {spread(16, 48, 46, 30, 30).map(([x, y], i) => (
        <g key={x} transform={`translate(${x - 16} ${y - 16}) scale(0.34) rotate(${i * 47} 48 48)`}>
          <Leaf crop={c} fill={i % 2 ? INK.leaf : INK.leafDark} />
        </g>
      ))}
      {P('M8 88Q48 82 88 88V95H8Z', INK.soil)}
    </>
  ),
  'plant-leaves-touch-soil': () => (
    <>
      <path d="M4 74Q48 68 92 74V94H4Z" fill={INK.soil} {...LINE} />
      {L('M48 76V10', INK.leafDark, 5)}
      {P('M48 58C34 56 16 62 8 78C24 82 40 74 48 58Z', INK.leaf)}
      {P('M48 58C62 56 80 62 88 78C72 82 56 74 48 58Z', INK.leaf)}
      {P('M48 28C38 18 24 18 16 28C24 36 38 36 48 28Z', INK.leafPale)}
    </>
  ),
  'plant-no-new-growth': () => (
    <WholePlant>
      {L('M34 8H62', INK.red, 4)}
      {L('M48 20V12', INK.outline, 2)}
    </WholePlant>
  ),
  // soil and pot
  'soil-dry-deep': () => (
    <Ground fill={INK.dryEarth}>
      {L('M12 52L24 60L18 72M70 50L64 62L76 70L70 84M28 82L38 76', INK.brown, 2)}
      <Finger />
    </Ground>
  ),
  'soil-damp-deep': () => (
    <Ground fill={INK.soil}>
      <Finger />
      <Dots
        at={[
          [22, 58],
          [72, 56],
          [28, 78],
          [66, 80],
        ]}
        r={2.6}
        fill={INK.water}
      />
    </Ground>
  ),
  'soil-wet-deep': () => (
    <Ground fill={INK.wetEarth}>
      <Finger />
      <Drop x={20} y={58} size={0.8} />
      <Drop x={74} y={56} size={0.8} />
      <Drop x={28} y={80} size={0.8} />
      <Drop x={68} y={82} size={0.8} />
    </Ground>
  ),
  'soil-pooling': () => (
    <Ground fill={INK.wetEarth}>
      {P('M10 38C26 30 70 30 86 38C70 48 26 48 10 38Z', INK.water)}
      {L('M30 38H50M56 36H68', INK.white, 2)}
    </Ground>
  ),
  'soil-pulls-from-pot': () => (
    <PotShape>
      {P('M28 26C38 21 58 21 68 26C60 32 36 32 28 26Z', INK.dryEarth)}
      {L('M16 25H26M70 25H80', INK.dark, 5)}
    </PotShape>
  ),
  'soil-white-crust': () => (
    <Ground>
      <path d="M4 40Q26 35 48 39T92 39V48Q70 44 48 50T4 48Z" fill={INK.white} {...LINE} />
      <Dots
        at={[
          [20, 56],
          [44, 58],
          [70, 54],
          [84, 58],
          [32, 64],
        ]}
        r={2.6}
        fill={INK.white}
      />
    </Ground>
  ),
  'soil-bare': () => (
    <Ground>
      {L('M48 4V40', INK.leaf, 7)}
      {L('M16 54L24 58M60 56L70 52M34 70L44 74M72 74L80 78', INK.dark, 2)}
    </Ground>
  ),
  'pot-light': () => (
    <PotShape y={-14}>
      {P('M22 26H74L73 30H23Z', INK.dryEarth)}
      {L('M30 96L36 88M66 96L60 88M48 98V90', INK.outline, 2.4)}
    </PotShape>
  ),
  'pot-heavy': () => (
    <PotShape>
      {P('M22 26H74L73 34H23Z', INK.wetEarth)}
      <Drop x={40} y={62} />
      <Drop x={58} y={66} />
      {L('M8 93H88', INK.outline, 4)}
      {L('M48 4V16M42 10L48 17L54 10', INK.outline, 3)}
    </PotShape>
  ),
  // where, how far, how fast
  'where-lower-leaves': () => (
    <WholePlant>
      {plantDot(26, 66)}
      {plantDot(70, 62)}
    </WholePlant>
  ),
  'where-new-growth': () => <WholePlant>{plantDot(48, 18)}</WholePlant>,
  'where-whole-plant': () => (
    <WholePlant>
      <rect x="8" y="6" width="80" height="78" rx="16" fill="none" stroke={INK.red} strokeWidth="4" />
    </WholePlant>
  ),
  'where-exposed-side': () => (
    <WholePlant>
      <Sun x={84} y={12} r={7} />
      <rect x="54" y="12" width="34" height="68" rx="12" fill="none" stroke={INK.red} strokeWidth="4" />
    </WholePlant>
  ),
  'where-first-fruits': (c) => (
    <WholePlant>
      <circle cx="36" cy="72" r="7" fill={c === 'tomato' ? INK.red : INK.green} {...LINE} />
      <circle cx="60" cy="40" r="4" fill={INK.green} {...LINE} />
      {plantDot(36, 72)}
    </WholePlant>
  ),
  'spread-one-plant': () => rows([1]),
  'spread-some-plants': () => rows([0, 1, 4]),
  'spread-whole-bed': () => rows([0, 1, 2, 3, 4, 5]),
  'spread-also-other-crops': () => rows([0, 2, 3, 4], true),
  'pace-overnight': () => (
    <>
      <circle cx="48" cy="48" r="38" fill="#27354a" {...LINE} />
      <path d="M56 22A28 28 0 1 0 74 62A24 24 0 0 1 56 22Z" fill={INK.sky} {...LINE} />
    </>
  ),
  'pace-days': () => (
    <>
      {[0, 1, 2].map((i) => (
        <rect
          key={i}
          x={10 + i * 27}
          y="32"
          width="23"
          height="32"
          rx="4"
          fill={i < 2 ? INK.white : INK.yellow}
          {...LINE}
        />
      ))}
      {L('M12 78H82M76 72L84 78L76 84', INK.outline, 2.6)}
    </>
  ),
  'pace-weeks': () => (
    <>
      {Array.from({ length: 12 }, (_, i) => (
        <rect
          key={i}
          x={9 + (i % 4) * 20}
          y={14 + Math.floor(i / 4) * 20}
          width="16"
          height="16"
          rx="3"
          fill={i < 8 ? INK.white : INK.yellow}
          {...LINE}
        />
      ))}
      {L('M12 84H82M76 78L84 84L76 90', INK.outline, 2.6)}
    </>
  ),
  'pace-spreading-upward': () => (
    <WholePlant>
      {L('M82 80V20M74 30L82 18L90 30', INK.red, 4)}
      <Dots
        at={[
          [30, 64],
          [66, 60],
          [28, 46],
          [64, 42],
        ]}
        r={3.6}
        fill={INK.brown}
      />
    </WholePlant>
  ),
  'after-transplanting': () => (
    <>
      {small(<WholePlant />)}
      {P('M60 92L84 40L92 44L70 95Z', INK.tan)}
      {P('M78 46L82 20Q94 20 96 34L90 50Z', INK.grey)}
    </>
  ),
  'after-rain': () => (
    <>
      {P('M22 46C8 44 8 26 24 26C28 10 54 8 60 24C78 20 86 42 72 46Z', INK.silver)}
      <Drop x={28} y={66} />
      <Drop x={50} y={74} />
      <Drop x={70} y={64} />
    </>
  ),
  'after-heat': () => (
    <>
      <Sun x={42} y={46} r={20} />
      {P('M78 20V62A10 10 0 1 0 90 62V20A6 6 0 0 0 78 20Z', INK.white)}
      {P('M81 40H87V64H81Z', INK.red)}
    </>
  ),
  'after-cold-night': () => (
    <>
      <circle cx="42" cy="44" r="32" fill="#27354a" {...LINE} />
      {L('M42 22V66M23 33L61 55M61 33L23 55', INK.white, 3)}
      {P('M78 20V62A10 10 0 1 0 90 62V20A6 6 0 0 0 78 20Z', INK.white)}
      {P('M81 60H87V70H81Z', INK.water)}
    </>
  ),
  'after-spraying': () => (
    <>
      {P('M30 40H58L62 90H26Z', INK.water)}
      {P('M34 28H54V40H34Z', INK.grey)}
      {P('M30 16H66V28H40L30 24Z', INK.grey)}
      <Dots
        at={[
          [76, 12],
          [84, 20],
          [76, 24],
          [88, 30],
          [90, 10],
        ]}
        r={2.4}
        fill={INK.water}
      />
    </>
  ),
  'after-pruning': () => (
    <>
      {L('M20 14L60 66M76 14L36 66', INK.grey, 6)}
      <circle cx="30" cy="76" r="11" fill="none" stroke={INK.red} strokeWidth="6" />
      <circle cx="66" cy="76" r="11" fill="none" stroke={INK.red} strokeWidth="6" />
    </>
  ),
};
