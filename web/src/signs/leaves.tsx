import { P, L, halfLeaf, veins, twoLeaves, curl, type Drawing } from './marks';
import { Dots, Drop, HAIR, INK, Leaf, LINE, spread, Sun, WholePlant } from './shapes';

export const LEAVES = {
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
} satisfies Record<string, Drawing>;
