import { type Drawing, L, P, curl } from './marks';
import { Dots, Drop, HAIR, INK, LINE, Leaf, Sun, WholePlant, spread } from './shapes';

/** Leaves: how they hang, roll and curl. */
export const LEAF_SHAPE = {
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
  'leaf-purple-veins-rolled': (c) => (
    <>
      {L('M48 94V70', INK.leafDark, 4)}
      {P('M26 82C12 56 20 26 38 10C34 34 38 62 46 84Z', c === 'tomato' ? INK.yellow : INK.leafPale)}
      {P('M70 82C84 56 76 26 58 10C62 34 58 62 50 84Z', c === 'tomato' ? INK.yellow : INK.leafPale)}
      {L(
        'M44 78C34 56 32 36 38 14M52 78C62 56 64 36 58 14M38 60L26 52M36 42L27 36M58 60L70 52M60 42L69 36',
        INK.purple,
        3.4,
      )}
    </>
  ),
} satisfies Record<string, Drawing>;
