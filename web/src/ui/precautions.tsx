interface Props<C> {
  inFull: readonly C[];
  /** acts of the same list whose precautions apply here too */
  asFor: readonly string[];
  text: (caution: C) => string;
}

const look = 'mt-1 block border-l-4 border-line pl-2 text-sm';

/** The precautions of one act of a list. */
export function Precautions<C extends string>({ inFull, asFor, text }: Props<C>) {
  return (
    <>
      {inFull.map((c) => (
        <span key={c} className={look}>
          {text(c)}
        </span>
      ))}
      {asFor.length > 0 && <span className={look}>Same precautions as for “{asFor.join('” and “')}”.</span>}
    </>
  );
}
