import { type Drawing, L, P, bug, caterpillar } from './marks';
import { Dots, Ground, INK, LINE, Leaf, Lens, Stem, spread } from './shapes';

/** Creatures on the plant. */
export const CREATURES = {
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
  'pest-aphids': (c) => (
    <>
      {L('M48 94C46 60 50 40 48 6', INK.leafDark, 7)}
      {spread(15, 48, 48, 24, 38).map(([x, y]) => bug(x, y, c === 'tomato' ? INK.leafPale : INK.green, 0.8))}
    </>
  ),
  'pest-aphid-mummies': (c) => (
    <Leaf crop={c}>
      {spread(7, 48, 52, 20, 24).map(([x, y]) => (
        <g key={x}>
          <circle cx={x} cy={y} r="6.5" fill={INK.tan} {...LINE} />
          <circle cx={x + 2} cy={y + 2} r="1.6" fill={INK.dark} />
        </g>
      ))}
    </Leaf>
  ),
  'pest-ants': () => (
    <Stem>
      {[
        [48, 20],
        [44, 48],
        [52, 76],
      ].map(([x, y]) => (
        <g key={y} transform={`translate(${x} ${y})`}>
          {L('M-12 -6L-3 -1M-13 2L-3 1M-10 9L-3 3M12 -6L3 -1M13 2L3 1M10 9L3 3', INK.dark, 1.5)}
          <circle cy="-7" r="3.4" fill={INK.dark} />
          <circle r="3" fill={INK.dark} />
          <ellipse cy="8" rx="4" ry="5.4" fill={INK.dark} />
        </g>
      ))}
    </Stem>
  ),
  'pest-whitefly': (c) => (
    <>
      <g transform="translate(20 30) scale(0.7)">
        <Leaf crop={c} />
      </g>
      {[
        [18, 30],
        [40, 14],
        [66, 22],
        [84, 44],
        [26, 58],
        [78, 76],
      ].map(([x, y]) => (
        <path
          key={x}
          d={`M${x} ${y}l-9 -8q-3 8 6 11zM${x} ${y}l9 -8q3 8 -6 11z`}
          fill={INK.white}
          {...LINE}
          strokeWidth="1.2"
        />
      ))}
    </>
  ),
  'pest-mites': () => (
    <Lens>
      {[
        [30, 34],
        [52, 30],
        [42, 52],
        [58, 50],
        [26, 54],
      ].map(([x, y]) => (
        <g key={x} transform={`translate(${x} ${y})`}>
          {L('M-8 -4L8 4M-8 4L8 -4M-8 0H8M-5 -6L5 6', INK.dark, 1.1)}
          <circle r="4.6" fill={INK.orange} {...LINE} strokeWidth="1" />
        </g>
      ))}
    </Lens>
  ),
  'pest-thrips': () => (
    <Lens>
      {[
        [30, 30, 20],
        [50, 38, -30],
        [36, 54, 60],
      ].map(([x, y, a]) => (
        <g key={x} transform={`translate(${x} ${y}) rotate(${a})`}>
          <path d="M-14 0Q0 -5 14 0Q0 5 -14 0Z" fill={INK.bronze} {...LINE} />
          {L('M-6 3L-9 9M0 4V10M6 3L9 9', INK.dark, 1.2)}
          {L('M2 -4L-12 -9', INK.grey, 1.6)}
        </g>
      ))}
    </Lens>
  ),
  'pest-hornworm': () => caterpillar(INK.leaf, true),
  'pest-hornworm-cocoons': () =>
    caterpillar(
      INK.leaf,
      true,
      [22, 32, 42, 52, 62].map((x, i) => (
        <ellipse
          key={x}
          cx={x}
          cy={34 + (i % 2) * 4}
          rx="4"
          ry="8"
          fill={INK.white}
          {...LINE}
          transform={`rotate(${i * 9 - 18} ${x} 36)`}
        />
      )),
    ),
  'pest-caterpillar': () => caterpillar(INK.bronze, false),
  'pest-flea-beetle': () => (
    <>
      {[
        [30, 60],
        [66, 40],
        [58, 76],
      ].map(([x, y]) => (
        <g key={x}>
          <ellipse cx={x} cy={y} rx="9" ry="7" fill={INK.dark} {...LINE} />
          {L(`M${x! + 6} ${y! + 4}l6 6l-5 3M${x! - 6} ${y! + 4}l-6 6l5 3`, INK.dark, 2)}
        </g>
      ))}
      {L('M34 46C40 26 52 22 60 30', INK.outline, 1.4)}
    </>
  ),
  'pest-slug': () => (
    <>
      {L('M4 84H92', INK.silver, 5)}
      {P('M10 80C14 60 34 56 52 62C66 64 76 60 84 52C92 58 90 78 78 80Z', INK.bronze)}
      {P('M30 66C34 56 52 56 58 66Z', INK.brown)}
      {L('M82 54L80 40M87 55L91 42', INK.bronze, 3)}
      <circle cx="80" cy="39" r="2.4" fill={INK.dark} />
      <circle cx="91" cy="41" r="2.4" fill={INK.dark} />
    </>
  ),
  'pest-stink-bug': () => (
    <>
      {L(
        'M26 40L10 30M24 54L8 56M30 70L16 82M70 40L86 30M72 54L88 56M66 70L80 82M42 20L36 6M54 20L60 6',
        INK.outline,
        2.4,
      )}
      {P('M48 18C58 18 62 24 74 32C78 52 66 80 48 86C30 80 18 52 22 32C34 24 38 18 48 18Z', INK.bronze)}
      {P('M32 36H64L48 64Z', INK.tan)}
    </>
  ),
  'pest-fungus-gnats': () => (
    <Ground fill={INK.wetEarth}>
      {[
        [22, 20],
        [46, 12],
        [70, 24],
        [34, 32],
        [84, 14],
      ].map(([x, y]) => (
        <g key={x}>
          {L(`M${x} ${y! - 4}v9`, INK.dark, 3)}
          <path
            d={`M${x} ${y! - 2}l-8 -5q-1 6 8 7l8 -5q1 -6 -8 -2z`}
            fill={INK.silver}
            stroke={INK.dark}
            strokeWidth="0.8"
          />
          {L(`M${x} ${y! + 4}l-4 5M${x} ${y! + 4}l4 5`, INK.dark, 1)}
        </g>
      ))}
    </Ground>
  ),
  'pest-none-found': (c) => (
    <>
      <g transform="translate(2 2) scale(0.74)">
        <Leaf crop={c} />
      </g>
      <circle cx="46" cy="44" r="26" fill="none" stroke={INK.outline} strokeWidth="4" />
      <path d="M65 63L86 86" stroke={INK.outline} strokeWidth="8" strokeLinecap="round" />
      {L('M34 44L43 54L60 34', INK.white, 6)}
    </>
  ),
} satisfies Record<string, Drawing>;
