import { type Drawing, L, P } from './marks';
import { Dots, Ground, INK, LINE, Leaf, Stem, WholePlant, spread } from './shapes';

/** Stem and whole plant. */
export const STEM_AND_PLANT = {
  'plant-grey-fur': (c) => (
    <Leaf crop={c} fill={INK.leafPale}>
      {P('M30 40C42 28 64 34 68 50C70 66 54 76 42 70C30 64 24 52 30 40Z', INK.brown)}
      <Dots at={spread(34, 48, 52, 20, 20)} r={2.6} fill={INK.grey} ring="#6f6b60" />
    </Leaf>
  ),
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
} satisfies Record<string, Drawing>;
