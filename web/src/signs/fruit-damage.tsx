import { type Drawing, L, P } from './marks';
import { Dots, Drop, Fruit, INK, LINE, spread } from './shapes';

/** Fruit: rots, spots and bites. */
export const FRUIT_DAMAGE = {
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
  'fruit-patch-mould': (c) => (
    <Fruit crop={c}>
      {P('M32 52C38 42 60 42 66 54C68 68 58 76 48 74C36 74 30 64 32 52Z', INK.tan)}
      <Dots at={spread(26, 49, 59, 14, 13)} r={2.3} fill={INK.dark} />
      {L('M40 50V43M48 48V40M57 51V44', INK.grey)}
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
} satisfies Record<string, Drawing>;
