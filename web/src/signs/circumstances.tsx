import { P, L, small, plantDot, rows, type Drawing } from './marks';
import { Dots, Drop, INK, LINE, Sun, WholePlant } from './shapes';

export const CIRCUMSTANCES = {
  'where-lower-leaves': () => (
    <WholePlant>
      {plantDot(26, 66)}
      {plantDot(70, 62)}
    </WholePlant>
  ),
  'where-new-growth': () => <WholePlant>{plantDot(48, 18)}</WholePlant>,
  'where-whole-plant': () => (
    <WholePlant>
      <rect x="8" y="6" width="80" height="78" rx="16" fill="none" stroke={INK.red} strokeWidth="4" />
    </WholePlant>
  ),
  'where-exposed-side': () => (
    <WholePlant>
      <Sun x={84} y={12} r={7} />
      <rect x="54" y="12" width="34" height="68" rx="12" fill="none" stroke={INK.red} strokeWidth="4" />
    </WholePlant>
  ),
  'where-first-fruits': (c) => (
    <WholePlant>
      <circle cx="36" cy="72" r="7" fill={c === 'tomato' ? INK.red : INK.green} {...LINE} />
      <circle cx="60" cy="40" r="4" fill={INK.green} {...LINE} />
      {plantDot(36, 72)}
    </WholePlant>
  ),
  'spread-one-plant': () => rows([1]),
  'spread-some-plants': () => rows([0, 1, 4]),
  'spread-whole-bed': () => rows([0, 1, 2, 3, 4, 5]),
  'spread-also-other-crops': () => rows([0, 2, 3, 4], true),
  'pace-overnight': () => (
    <>
      <circle cx="48" cy="48" r="38" fill="#27354a" {...LINE} />
      <path d="M56 22A28 28 0 1 0 74 62A24 24 0 0 1 56 22Z" fill={INK.sky} {...LINE} />
    </>
  ),
  'pace-days': () => (
    <>
      {[0, 1, 2].map((i) => (
        <rect
          key={i}
          x={10 + i * 27}
          y="32"
          width="23"
          height="32"
          rx="4"
          fill={i < 2 ? INK.white : INK.yellow}
          {...LINE}
        />
      ))}
      {L('M12 78H82M76 72L84 78L76 84', INK.outline, 2.6)}
    </>
  ),
  'pace-weeks': () => (
    <>
      {Array.from({ length: 12 }, (_, i) => (
        <rect
          key={i}
          x={9 + (i % 4) * 20}
          y={14 + Math.floor(i / 4) * 20}
          width="16"
          height="16"
          rx="3"
          fill={i < 8 ? INK.white : INK.yellow}
          {...LINE}
        />
      ))}
      {L('M12 84H82M76 78L84 84L76 90', INK.outline, 2.6)}
    </>
  ),
  'pace-spreading-upward': () => (
    <WholePlant>
      {L('M82 80V20M74 30L82 18L90 30', INK.red, 4)}
      <Dots
        at={[
          [30, 64],
          [66, 60],
          [28, 46],
          [64, 42],
        ]}
        r={3.6}
        fill={INK.brown}
      />
    </WholePlant>
  ),
  'after-transplanting': () => (
    <>
      {small(<WholePlant />)}
      {P('M60 92L84 40L92 44L70 95Z', INK.tan)}
      {P('M78 46L82 20Q94 20 96 34L90 50Z', INK.grey)}
    </>
  ),
  'after-rain': () => (
    <>
      {P('M22 46C8 44 8 26 24 26C28 10 54 8 60 24C78 20 86 42 72 46Z', INK.silver)}
      <Drop x={28} y={66} />
      <Drop x={50} y={74} />
      <Drop x={70} y={64} />
    </>
  ),
  'after-heat': () => (
    <>
      <Sun x={42} y={46} r={20} />
      {P('M78 20V62A10 10 0 1 0 90 62V20A6 6 0 0 0 78 20Z', INK.white)}
      {P('M81 40H87V64H81Z', INK.red)}
    </>
  ),
  'after-cold-night': () => (
    <>
      <circle cx="42" cy="44" r="32" fill="#27354a" {...LINE} />
      {L('M42 22V66M23 33L61 55M61 33L23 55', INK.white, 3)}
      {P('M78 20V62A10 10 0 1 0 90 62V20A6 6 0 0 0 78 20Z', INK.white)}
      {P('M81 60H87V70H81Z', INK.water)}
    </>
  ),
  'after-spraying': () => (
    <>
      {P('M30 40H58L62 90H26Z', INK.water)}
      {P('M34 28H54V40H34Z', INK.grey)}
      {P('M30 16H66V28H40L30 24Z', INK.grey)}
      <Dots
        at={[
          [76, 12],
          [84, 20],
          [76, 24],
          [88, 30],
          [90, 10],
        ]}
        r={2.4}
        fill={INK.water}
      />
    </>
  ),
  'after-pruning': () => (
    <>
      {L('M20 14L60 66M76 14L36 66', INK.grey, 6)}
      <circle cx="30" cy="76" r="11" fill="none" stroke={INK.red} strokeWidth="6" />
      <circle cx="66" cy="76" r="11" fill="none" stroke={INK.red} strokeWidth="6" />
    </>
  ),
} satisfies Record<string, Drawing>;
