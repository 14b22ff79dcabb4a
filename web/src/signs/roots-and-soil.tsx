import { type Drawing, L, P } from './marks';
import { Dots, Drop, Finger, Ground, INK, LINE, PotShape } from './shapes';

/** Roots, soil and pot. */
export const ROOTS_AND_SOIL = {
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
