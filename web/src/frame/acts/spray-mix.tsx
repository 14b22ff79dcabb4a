import { roundTo, spoonSetOf, spoonsOf } from '@candid-leaf/core/units';
import { useEffect, useState } from 'react';
import { useProducts } from '../../data/use-products';
import { useGarden, useUnits } from '../../lib/garden-context';
import { MeasuredInput } from '../../ui/measured-input';
import { SelectField } from '../../ui/select-field';
import { STRENGTHS } from './strengths';

/** What the form knows of the mix. */
export interface MixSaid {
  name?: string;
  batchL?: number | null;
  perLitre?: number | null;
  labelPerLitre?: number | null;
}

interface Props {
  value: MixSaid;
  error: string | undefined;
  onChange: (mixed: { perLitre: number | undefined }) => void;
}

/** Said as an amount in all that was mixed, or not at all. */
const SPOONS = 'spoons';
const AMOUNT = 'amount';
const UNKNOWN = 'unknown';

/** How strong a spray really was: as the label says, weaker, or so much in all that was mixed. */
export function SprayMix({ value, error, onChange }: Props) {
  const product = useProducts(useGarden().id).find((p) => p.kind === 'spray' && p.name === value.name);
  const spoon = spoonsOf(spoonSetOf(useUnits())).tsp;
  const label = value.labelPerLitre ?? null;
  const [way, setWay] = useState<string | null>(() => wayOf(value));
  const [count, setCount] = useState<number | null>(() => amountOf(value));
  const shown = way ?? (label === null ? UNKNOWN : '1');
  const { batchL } = value;
  const inAll = shown === SPOONS || shown === AMOUNT;
  const amount = count === null ? null : shown === SPOONS ? count * spoon * density(product) : count;
  const perLitre = amount !== null && batchL ? roundTo(amount / batchL, 3) : undefined;
  // what was mixed in all may be entered after it
  useEffect(() => {
    if (inAll && count !== null && !Number.isNaN(perLitre)) onChange({ perLitre });
    // oxlint-disable-next-line react-hooks/exhaustive-deps -- when the amount changes, not the form
  }, [inAll, perLitre]);
  const choose = (next: string) => {
    setWay(next);
    setCount(null);
    onChange({ perLitre: label !== null && Number(next) > 0 ? roundTo(label * Number(next), 3) : undefined });
  };
  return (
    <>
      <SelectField
        label="Strength"
        error={error}
        value={shown}
        options={[
          ...(label === null ? [] : STRENGTHS),
          [SPOONS, 'in teaspoons'],
          [AMOUNT, 'in g or mL'],
          [UNKNOWN, 'not sure'],
        ]}
        onChange={choose}
      />
      {inAll && (
        <MeasuredInput
          key={shown}
          label={shown === SPOONS ? 'Level teaspoons in all' : 'g or mL in all'}
          quantity="count"
          min={0}
          value={count}
          error={batchL ? undefined : 'needs “Total mixed” too'}
          onChange={setCount}
        />
      )}
    </>
  );
}

/** A spoon of a powder weighs by its density. */
const density = (product: { form: string; gPerMl?: number | null } | undefined): number =>
  product?.form === 'dry' ? (product.gPerMl ?? 1) : 1;

/** How the strength of a stored record is said. */
function wayOf({ perLitre, labelPerLitre }: MixSaid): string | null {
  if (perLitre == null) return null;
  const share = labelPerLitre ? perLitre / labelPerLitre : null;
  return STRENGTHS.find(([s]) => share !== null && Math.abs(share - Number(s)) < 0.01)?.[0] ?? AMOUNT;
}

/** What a stored record had in all, g or mL. */
const amountOf = (value: MixSaid): number | null =>
  wayOf(value) === AMOUNT && value.perLitre != null && value.batchL ? roundTo(value.perLitre * value.batchL, 2) : null;
