import { type Drawing, L, P } from './marks';
import { Crossed, Flower, INK, LINE, Truss, WholePlant } from './shapes';

/** Flowers and fruitlets. */
export const FLOWERS = {
  'flower-bud-holes': () => (
    <Truss>
      {[
        [34, 30],
        [56, 34],
      ].map(([x = 0, y = 0]) => (
        <g key={x}>{P(`M${x} ${y}c-7 6 -7 16 0 20c7 -4 7 -14 0 -20Z`, INK.green)}</g>
      ))}
      {[
        [28, 80],
        [66, 84],
      ].map(([x = 0, y = 0]) => (
        <g key={x}>
          {L(`M${x - 14} ${y - 6}L${x - 7} ${y}`, INK.leafDark, 4)}
          {P(`M${x - 8} ${y - 4}c10 -6 24 0 26 8c-6 8 -20 8 -27 1c-4 -4 -3 -7 1 -9Z`, INK.green)}
          <circle cx={x + 3} cy={y + 1} r="2.6" fill={INK.dark} />
        </g>
      ))}
    </Truss>
  ),
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
        <Flower key={`${x} ${y}`} crop={c} x={x} y={y} size={0.42} />
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
} satisfies Record<string, Drawing>;
