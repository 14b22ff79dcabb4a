import { type Drawing, L, P, clock } from './marks';
import { Dots, Drop, Fruit, HAIR, INK, LINE, Sun, spread } from './shapes';

/** Fruit: shape, colour and cracks. */
export const FRUIT = {
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
  'fruit-watery-bland': (c) => (
    <>
      <g transform="translate(-8 4) scale(0.86)">
        <Fruit crop={c} fill={INK.orange} />
      </g>
      <Drop x={72} y={66} size={1.4} />
      <Drop x={82} y={38} />
    </>
  ),
  'fruit-sharp-taste': (c) => (
    <>
      <g transform="translate(-8 4) scale(0.86)">
        <Fruit crop={c} fill={INK.orange} />
      </g>
      {L('M70 30L77 22L80 32L87 24', INK.brown, 2.6)}
      {L('M70 50L77 42L80 52L87 44', INK.brown, 2.6)}
    </>
  ),
  'fruit-very-hot': (c) => (
    <>
      <g transform="translate(-8 4) scale(0.86)">
        <Fruit crop={c} fill={INK.red} />
      </g>
      {P('M80 20C88 32 90 38 86 46C84 52 74 52 72 46C69 39 76 34 80 20Z', INK.orange)}
    </>
  ),
  'fruit-slow-to-colour': (c) => (
    <Fruit crop={c} fill={INK.green}>
      {clock('M76 20V11M76 20L83 24')}
    </Fruit>
  ),
} satisfies Record<string, Drawing>;
