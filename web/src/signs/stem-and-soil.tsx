import { P, L, type Drawing } from './marks';
import { Dots, Drop, Finger, Ground, INK, Leaf, LINE, PotShape, spread, Stem, WholePlant } from './shapes';

export const STEM_AND_SOIL = {
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
  'root-brown-slimy': () => (
    <Ground fill={INK.wetEarth}>
      {L('M48 4V40', INK.leaf, 7)}
      {L('M48 40C44 56 30 60 22 82M48 40V88M48 40C54 56 66 62 74 82M40 54L28 58M58 56L70 60', INK.bronze, 6)}
      <Drop x={24} y={66} size={0.6} />
      <Drop x={72} y={74} size={0.6} />
    </Ground>
  ),
  'root-sour-smell': () => (
    <Ground fill={INK.wetEarth}>
      {L('M48 40C44 56 32 62 26 82M48 40V86M48 40C54 56 64 62 70 82', INK.brown, 5)}
      {L('M24 32C18 24 30 20 24 8M48 32C42 24 54 20 48 6M72 32C66 24 78 20 72 8', '#a8a534', 4)}
    </Ground>
  ),
  'root-white-firm': () => (
    <Ground>
      {L('M48 4V40', INK.leaf, 7)}
      {L(
        'M48 40C44 56 30 60 22 82M48 40V88M48 40C54 56 66 62 74 82M42 52L26 56M54 54L72 58M48 66L38 84M48 66L58 84',
        INK.white,
        4,
      )}
    </Ground>
  ),
  'root-knots': () => (
    <Ground>
      {L('M48 4V40', INK.leaf, 7)}
      {L('M48 40C44 56 30 60 22 82M48 40V88M48 40C54 56 66 62 74 82', INK.tan, 4)}
      <Dots
        at={[
          [40, 54],
          [28, 68],
          [48, 62],
          [48, 78],
          [58, 58],
          [68, 72],
        ]}
        r={6.5}
        fill={INK.tan}
        ring={INK.brown}
      />
    </Ground>
  ),
  'root-circling': () => (
    <>
      <path d="M20 10H76L70 88H26Z" fill={INK.soil} {...LINE} />
      <g fill="none" stroke={INK.white} strokeWidth="3.6" strokeLinecap="round">
        <path d="M24 22C40 32 58 32 72 22M25 36C40 46 58 46 71 36M26 50C40 60 58 60 70 50M27 64C40 74 58 74 69 64M28 78C40 86 58 86 68 78" />
      </g>
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
  'soil-dry-deep': () => (
    <Ground fill={INK.dryEarth}>
      {L('M12 52L24 60L18 72M70 50L64 62L76 70L70 84M28 82L38 76', INK.brown, 2)}
      <Finger />
    </Ground>
  ),
  'soil-damp-deep': () => (
    <Ground fill={INK.soil}>
      <Finger />
      <Dots
        at={[
          [22, 58],
          [72, 56],
          [28, 78],
          [66, 80],
        ]}
        r={2.6}
        fill={INK.water}
      />
    </Ground>
  ),
  'soil-wet-deep': () => (
    <Ground fill={INK.wetEarth}>
      <Finger />
      <Drop x={20} y={58} size={0.8} />
      <Drop x={74} y={56} size={0.8} />
      <Drop x={28} y={80} size={0.8} />
      <Drop x={68} y={82} size={0.8} />
    </Ground>
  ),
  'soil-pooling': () => (
    <Ground fill={INK.wetEarth}>
      {P('M10 38C26 30 70 30 86 38C70 48 26 48 10 38Z', INK.water)}
      {L('M30 38H50M56 36H68', INK.white, 2)}
    </Ground>
  ),
  'soil-pulls-from-pot': () => (
    <PotShape>
      {P('M28 26C38 21 58 21 68 26C60 32 36 32 28 26Z', INK.dryEarth)}
      {L('M16 25H26M70 25H80', INK.dark, 5)}
    </PotShape>
  ),
  'soil-white-crust': () => (
    <Ground>
      <path d="M4 40Q26 35 48 39T92 39V48Q70 44 48 50T4 48Z" fill={INK.white} {...LINE} />
      <Dots
        at={[
          [20, 56],
          [44, 58],
          [70, 54],
          [84, 58],
          [32, 64],
        ]}
        r={2.6}
        fill={INK.white}
      />
    </Ground>
  ),
  'soil-bare': () => (
    <Ground>
      {L('M48 4V40', INK.leaf, 7)}
      {L('M16 54L24 58M60 56L70 52M34 70L44 74M72 74L80 78', INK.dark, 2)}
    </Ground>
  ),
  'pot-light': () => (
    <PotShape y={-14}>
      {P('M22 26H74L73 30H23Z', INK.dryEarth)}
      {L('M30 96L36 88M66 96L60 88M48 98V90', INK.outline, 2.4)}
    </PotShape>
  ),
  'pot-heavy': () => (
    <PotShape>
      {P('M22 26H74L73 34H23Z', INK.wetEarth)}
      <Drop x={40} y={62} />
      <Drop x={58} y={66} />
      {L('M8 93H88', INK.outline, 4)}
      {L('M48 4V16M42 10L48 17L54 10', INK.outline, 3)}
    </PotShape>
  ),
} satisfies Record<string, Drawing>;
