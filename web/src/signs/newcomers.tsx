import { L, P, halfLeaf, type Drawing } from './marks';
import { Dots, Fruit, Ground, INK, Leaf, LINE, spread, Stem, Truss, WholePlant } from './shapes';

/** Signs of rots, borers, chewers and harmless looks. */
export const NEWCOMERS = {
  // fruit
  'fruit-ghost-rings': (c) => (
    <Fruit crop={c} fill={c === 'tomato' ? INK.red : INK.green}>
      {[
        [34, 48],
        [60, 44],
        [48, 66],
        [66, 66],
      ].map(([x, y]) => (
        <g key={x}>
          <circle cx={x} cy={y} r="8" fill="none" stroke={INK.white} strokeWidth="3" />
          <circle cx={x} cy={y} r="1.8" fill={INK.dark} />
        </g>
      ))}
    </Fruit>
  ),
  'fruit-birds-eye-spots': (c) => (
    <Fruit crop={c} fill={INK.green}>
      {[
        [32, 46],
        [56, 40],
        [44, 62],
        [66, 58],
        [52, 78],
      ].map(([x, y]) => (
        <g key={x}>
          <circle cx={x} cy={y} r="7.5" fill={INK.white} {...LINE} strokeWidth="1" />
          <circle cx={x} cy={y} r="3.6" fill={INK.brown} />
        </g>
      ))}
    </Fruit>
  ),
  'fruit-shoulder-pinholes': (c) => (
    <Fruit crop={c}>
      <Dots
        at={[
          [30, 40],
          [38, 36],
          [60, 37],
          [68, 43],
          [54, 42],
        ]}
        r={2.6}
        fill={INK.dark}
        ring={INK.tan}
      />
      {L('M30 43C28 48 30 52 26 56M68 46C70 50 68 54 71 58', INK.brown, 2.2)}
    </Fruit>
  ),
  'fruit-grubs-inside': (c) => (
    <>
      <circle cx="48" cy="52" r="36" fill={c === 'tomato' ? INK.red : INK.green} {...LINE} />
      <circle cx="48" cy="52" r="29" fill={c === 'tomato' ? INK.orange : INK.leafPale} {...LINE} strokeWidth="1" />
      <Dots at={spread(9, 48, 52, 22)} r={2.2} fill={INK.sky} />
      {L('M32 44C36 38 42 40 44 46', INK.white, 6)}
      {L('M54 62C60 66 66 62 66 56', INK.white, 6)}
      {L('M42 68C46 72 50 70 52 74', INK.white, 5)}
      <Dots
        at={[
          [32, 44],
          [66, 56],
          [52, 74],
        ]}
        r={2.2}
        fill={INK.dark}
      />
    </>
  ),
  'fruit-droppings-on-bites': (c) => (
    <Fruit crop={c}>
      {P('M80 40C70 38 68 48 60 48C58 58 66 60 62 68C72 72 80 62 82 52Z', INK.orange)}
      {[
        [30, 66, 20],
        [40, 74, -30],
        [48, 60, 60],
        [34, 54, 0],
      ].map(([x, y, r]) => (
        <ellipse key={x} cx={x} cy={y} rx="6" ry="3" fill={INK.dark} transform={`rotate(${r} ${x} ${y})`} />
      ))}
    </Fruit>
  ),
  'fruit-hollow-few-seeds': (c) => (
    <>
      {c === 'tomato'
        ? P('M48 16C70 16 84 32 82 52C80 76 66 86 48 86S16 76 14 52C12 32 26 16 48 16Z', INK.red)
        : P(
            'M30 20C16 26 14 50 22 70C28 84 42 90 48 84C54 90 68 84 74 70C82 50 80 26 66 20C56 16 40 16 30 20Z',
            INK.green,
          )}
      {P('M44 26C30 28 24 40 26 54C28 68 36 76 44 76Z', INK.white)}
      {P('M52 26C66 28 72 40 70 54C68 68 60 76 52 76Z', INK.white)}
      <Dots
        at={[
          [40, 50],
          [57, 60],
        ]}
        r={2.4}
        fill={INK.tan}
        ring={INK.brown}
      />
    </>
  ),
  'fruit-sprouting-seeds': () => (
    <>
      <circle cx="48" cy="52" r="37" fill={INK.red} {...LINE} />
      <circle cx="48" cy="52" r="30" fill={INK.orange} {...LINE} strokeWidth="1" />
      {[
        [34, 42],
        [60, 40],
        [38, 64],
        [62, 62],
      ].map(([x = 0, y = 0], i) => (
        <g key={x}>
          <ellipse cx={x} cy={y} rx="5" ry="3.6" fill={INK.tan} {...LINE} strokeWidth="1" />
          {L(`M${x} ${y}c${i % 2 ? 4 : -4} -6 ${i % 2 ? -2 : 2} -9 ${i % 2 ? 5 : -5} -13`, INK.white, 3)}
          {L(`M${x + (i % 2 ? 5 : -5)} ${y - 13}l-4 -3m4 3l4 -3`, INK.leaf, 2.4)}
        </g>
      ))}
    </>
  ),
  'fruit-gold-flecks': (c) => (
    <Fruit crop={c}>
      <Dots at={spread(34, 48, 46, 30, 20)} r={1.7} fill={INK.sky} />
    </Fruit>
  ),
  // flowers
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
  // leaves
  'leaf-blotch-mines': (c) => (
    <Leaf crop={c}>
      {P('M52 30C64 26 74 38 68 50C60 54 50 44 52 30Z', INK.tan)}
      {P('M26 54C34 46 46 56 42 70C36 78 26 66 26 54Z', INK.tan)}
      {L('M58 36C62 38 62 42 60 46M32 58C36 60 36 64 34 68', INK.dark, 2.6)}
    </Leaf>
  ),
  'leaf-frogeye-spots': (c) => (
    <Leaf crop={c}>
      {[
        [38, 36, 8],
        [60, 46, 9.5],
        [40, 62, 8.5],
        [58, 72, 7],
      ].map(([x, y, r]) => (
        <g key={x}>
          <circle cx={x} cy={y} r={r} fill={INK.brown} stroke={INK.dark} strokeWidth="2.6" />
          <circle cx={x} cy={y} r={r! * 0.5} fill={INK.white} />
        </g>
      ))}
    </Leaf>
  ),
  'leaf-powder-below': (c) => (
    <>
      <g transform="translate(-10 2) scale(0.66)">
        <Leaf crop={c}>
          <circle cx="38" cy="44" r="10" fill={INK.yellow} />
          <circle cx="60" cy="60" r="11" fill={INK.yellow} />
        </Leaf>
      </g>
      <g transform="translate(42 30) scale(0.66)">
        <Leaf crop={c} fill={INK.leafPale}>
          <Dots at={spread(30, 38, 44, 12)} r={2.4} fill={INK.white} />
          <Dots at={spread(34, 60, 60, 13)} r={2.4} fill={INK.white} />
        </Leaf>
      </g>
    </>
  ),
  'plant-grey-fur': (c) => (
    <Leaf crop={c} fill={INK.leafPale}>
      {P('M30 40C42 28 64 34 68 50C70 66 54 76 42 70C30 64 24 52 30 40Z', INK.brown)}
      <Dots at={spread(34, 48, 52, 20, 20)} r={2.6} fill={INK.grey} ring="#6f6b60" />
    </Leaf>
  ),
  'leaf-scorch-one-side': (c) => (
    <>
      <g transform="translate(-4 0) scale(0.9)">{halfLeaf(c, INK.brown)}</g>
      {L('M84 8V92', INK.leaf, 13)}
      {P('M80 30C86 36 86 46 82 54C78 48 76 38 80 30Z', INK.dark)}
    </>
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
  'leaf-sugar-grains': (c) => (
    <Leaf crop={c} fill={INK.leafPale}>
      {spread(16, 48, 54, 20, 26).map(([x, y], i) => (
        <rect
          key={x}
          x={x - 2}
          y={y - 2}
          width="4.4"
          height="4.4"
          fill={INK.white}
          {...LINE}
          strokeWidth="0.9"
          transform={`rotate(${i * 31} ${x} ${y})`}
        />
      ))}
      {[
        [38, 36],
        [58, 70],
      ].map(([x, y]) => (
        <ellipse key={x} cx={x} cy={y} rx="6" ry="4.4" fill={INK.orange} {...LINE} strokeWidth="1.1" />
      ))}
    </Leaf>
  ),
  'pest-potato-beetle': (c) => (
    <Leaf crop={c}>
      <g transform="translate(40 40)">
        {L('M-18 -8L-10 -4M-19 2H-11M-16 12L-9 7M18 -8L10 -4M19 2H11M16 12L9 7', INK.outline, 1.8)}
        <ellipse rx="13" ry="17" fill={INK.sky} {...LINE} />
        {L('M-8 -11C-10 0 -9 8 -6 13M-3 -15V16M3 -15V16M8 -11C10 0 9 8 6 13', INK.dark, 2.2)}
        <circle cy="-18" r="6" fill={INK.orange} {...LINE} />
      </g>
      <ellipse cx="66" cy="68" rx="11" ry="8" fill={INK.red} {...LINE} />
      <Dots
        at={[
          [60, 68],
          [66, 68],
          [72, 68],
        ]}
        r={1.6}
        fill={INK.dark}
      />
    </Leaf>
  ),
  // stem, collar, whole plant
  'stem-dark-band': () => (
    <>
      <path d="M4 74Q48 68 92 74V94H4Z" fill={INK.wetEarth} {...LINE} />
      <path d="M40 4C41 30 40 54 39 76H57C56 54 55 30 56 4Z" fill={INK.leaf} {...LINE} />
      <path d="M40 46C46 42 52 50 56 45L57 76H39Z" fill={INK.dark} {...LINE} />
    </>
  ),
  'stem-collar-threads': () => (
    <>
      <path d="M4 66Q48 60 92 66V94H4Z" fill={INK.soil} {...LINE} />
      <path d="M40 4C41 30 40 50 38 68H58C56 50 55 30 56 4Z" fill={INK.leaf} {...LINE} />
      {L(
        'M38 66C34 58 42 52 40 44M48 68C46 58 52 54 48 46M58 66C62 58 54 52 56 42M36 68C24 66 16 72 8 70M60 68C70 66 80 72 88 70M46 70C40 76 30 74 22 80M52 70C60 76 68 74 76 80',
        INK.white,
        2.6,
      )}
      <Dots
        at={[
          [24, 70],
          [32, 76],
          [44, 74],
          [56, 76],
          [68, 70],
          [78, 76],
          [14, 78],
        ]}
        r={3.4}
        fill={INK.orange}
        ring={INK.brown}
      />
    </>
  ),
  'stem-white-fur': () => (
    <Stem fill={INK.tan}>
      <Dots at={spread(40, 48, 50, 9, 26)} r={3} fill={INK.white} />
      {[
        [44, 36],
        [52, 48],
        [45, 60],
        [51, 70],
      ].map(([x, y]) => (
        <ellipse key={y} cx={x} cy={y} rx="4" ry="5.4" fill={INK.dark} {...LINE} strokeWidth="1" />
      ))}
    </Stem>
  ),
  'stem-bronzed-upward': () => (
    <>
      <WholePlant fill={INK.leaf} />
      {L('M48 86V46', INK.bronze, 6)}
      {[
        [-1, 70],
        [1, 66],
        [-1, 50],
      ].map(([d, y]) => (
        <g key={`${d} ${y}`}>
          {P('M0 0C8 -10 24 -10 32 0C24 8 8 8 0 0Z', INK.bronze, {
            transform: `translate(48 ${y}) scale(${d} 1) rotate(-24)`,
          })}
        </g>
      ))}
      {L('M86 80V30M80 38L86 28L92 38', INK.outline, 2.4)}
    </>
  ),
  'stem-cut-at-soil': () => (
    <Ground>
      {P('M44 30L52 30L52 42H44Z', INK.leaf)}
      {L('M44 30L48 33L52 29', INK.tan, 2.4)}
      <g transform="translate(56 34) rotate(80) scale(0.62)">
        {L('M0 0V-52', INK.leaf, 9)}
        {P('M0 -22C10 -34 28 -32 36 -22C28 -12 10 -10 0 -22Z', INK.leaf)}
        {P('M0 -22C-10 -34 -28 -32 -36 -22C-28 -12 -10 -10 0 -22Z', INK.leaf)}
        {P('M0 -40C8 -52 20 -54 26 -46C20 -36 8 -34 0 -40Z', INK.leafPale)}
      </g>
      {L('M22 66C26 56 40 56 42 66C42 74 30 74 32 66', INK.grey, 7)}
    </Ground>
  ),
  'plant-shoots-bitten': () => (
    <>
      <path d="M8 86Q48 80 88 86V94H8Z" fill={INK.soil} {...LINE} />
      {L('M48 86V34M48 62L28 44M48 56L68 40', INK.leafDark, 5)}
      {P('M48 72C40 62 24 62 16 72C24 80 40 80 48 72Z', INK.leaf)}
      {P('M48 68C56 58 72 58 80 68C72 76 56 76 48 68Z', INK.leaf)}
      {L('M42 34L46 30L50 35L54 30M23 46L26 41L30 46L33 41M63 42L67 37L70 43L73 38', INK.tan, 3.2)}
    </>
  ),
  'plant-walnut-near': () => (
    <>
      <path d="M4 84Q48 78 92 84V94H4Z" fill={INK.soil} {...LINE} />
      {L('M66 84V44', INK.brown, 9)}
      <circle cx="66" cy="28" r="24" fill={INK.leafDark} {...LINE} />
      <Dots
        at={[
          [56, 22],
          [72, 18],
          [66, 36],
          [80, 32],
        ]}
        r={4.4}
        fill={INK.green}
        ring={INK.outline}
      />
      {L('M62 84C50 88 40 86 30 90', INK.brown, 3)}
      <g transform="translate(-14 44) scale(0.46)">
        <WholePlant droop={1} />
      </g>
    </>
  ),
} satisfies Record<string, Drawing>;
