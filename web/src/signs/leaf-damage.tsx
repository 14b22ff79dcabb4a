import { type Drawing, L, P } from './marks';
import { Dots, INK, LINE, Leaf, spread } from './shapes';

/** Leaves: holes and mines. */
export const LEAF_DAMAGE = {
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
  'leaf-blotch-mines': (c) => (
    <Leaf crop={c}>
      {P('M52 30C64 26 74 38 68 50C60 54 50 44 52 30Z', INK.tan)}
      {P('M26 54C34 46 46 56 42 70C36 78 26 66 26 54Z', INK.tan)}
      {L('M58 36C62 38 62 42 60 46M32 58C36 60 36 64 34 68', INK.dark, 2.6)}
    </Leaf>
  ),
} satisfies Record<string, Drawing>;
