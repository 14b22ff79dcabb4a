import { type Drawing, L, P, twoLeaves } from './marks';
import { Dots, Drop, HAIR, INK, LINE, Leaf, spread } from './shapes';

/** Leaves: spots and coatings. */
export const LEAF_SPOTS = {
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
  'leaf-sticky': (c) => (
    <Leaf crop={c}>
      <g opacity="0.9">
        {P('M30 40C40 34 58 36 64 46C60 54 66 64 58 68C50 64 44 72 36 66C32 58 26 48 30 40Z', '#c9a13c')}
      </g>
      {L('M38 44C44 40 50 42 54 46', INK.white, 3)}
      <Drop x={48} y={84} size={0.9} />
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
} satisfies Record<string, Drawing>;
