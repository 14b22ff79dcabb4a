import { P, L, clock, type Drawing } from './marks';
import { Dots, Drop, Fruit, HAIR, INK, LINE, spread, Sun } from './shapes';

export const FRUIT = {
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
} satisfies Record<string, Drawing>;
