import { type Drawing, L, P, halfLeaf, twoLeaves, veins } from './marks';
import { Dots, Drop, INK, Leaf, Sun, WholePlant, spread } from './shapes';

/** Leaves: colours. */
export const LEAF_COLOUR = {
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
  'leaf-scorch-one-side': (c) => (
    <>
      <g transform="translate(-4 0) scale(0.9)">{halfLeaf(c, INK.brown)}</g>
      {L('M84 8V92', INK.leaf, 13)}
      {P('M80 30C86 36 86 46 82 54C78 48 76 38 80 30Z', INK.dark)}
    </>
  ),
} satisfies Record<string, Drawing>;
