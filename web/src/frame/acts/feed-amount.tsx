import type { PlaceOnView } from '@candid-leaf/contract';
import { BED_LITRES_EACH, POT_SHARE } from '@candid-leaf/core/care';
import { gramsOf, type Product } from '@candid-leaf/core/products';
import { isPotted } from '@candid-leaf/core/records';
import { roundTo } from '@candid-leaf/core/units';
import { CAN_L } from './can';
import { useEffect, useState } from 'react';
import { useProducts } from '../../data/use-products';
import { useFormat, useGarden, useUnits } from '../../lib/garden-context';
import { MeasuredInput } from '../../ui/measured-input';
import { SelectField } from '../../ui/select-field';
import { STRENGTHS } from './strengths';

/** How someone says what they fed. */
type Way = 'each' | 'all' | 'mixed' | Loose | 'unknown';
/** Loose measures: per plant, or in the can for all. */
type Loose = keyof typeof LOOSE;

export interface FeedSaid {
  product?: string;
  n?: number | null;
  grams?: number | null;
  unknown?: boolean | undefined;
}

interface Props {
  value: FeedSaid;
  /** the whole bed or pot, not one plant */
  ofPlace: boolean;
  at: PlaceOnView | undefined;
  error: string | undefined;
  onChange: (said: Pick<FeedSaid, 'grams' | 'unknown'> & { labelGrams?: number | undefined }) => void;
}

/** A level tablespoon is 15 mL; a glug from a bottle is about two (judgement). */
const LOOSE = {
  spoons: { way: 'Tablespoons per plant', label: 'Level tablespoons', ml: 15, shared: false },
  'spoons-in-can': { way: 'Tablespoons in the can', label: 'Level tablespoons', ml: 15, shared: true },
  glugs: { way: 'Glugs in the can', label: 'Glugs', ml: 30, shared: true },
} as const;
const LOOSE_CODES = Object.keys(LOOSE) as Loose[];
const isLoose = (way: Way): way is Loose => way in LOOSE;
/** Nitrogen of a usual feed of one plant, g (judgement); without nitrogen, this much product. */
const USUAL_NITROGEN_G = 1;
const USUAL_GRAMS = 20;

/**
 * Returns the grams of one plant by the label; undefined if it counts by something else.
 * @param litres of solution for one plant; what it usually gets if not known
 */
function labelGrams(
  product: Product | undefined,
  at: PlaceOnView | undefined,
  litres = at && isPotted(at.place) ? (at.place.volumeL ?? 10) * POT_SHARE : BED_LITRES_EACH,
): number | undefined {
  if (product?.dose?.per === 'plant') return gramsOf(product, product.dose.amount);
  if (product?.dose?.per === 'litre') return roundTo(gramsOf(product, product.dose.amount * litres), 2);
  return undefined;
}

/** Returns the grams one plant usually gets: by the label, or by its nitrogen. */
function usualGrams(product: Product | undefined, n: number | null | undefined, at: PlaceOnView | undefined): number {
  const byLabel = labelGrams(product, at);
  if (byLabel !== undefined) return byLabel;
  return n ? roundTo(Math.min(200, (100 * USUAL_NITROGEN_G) / n), 1) : USUAL_GRAMS;
}

/** How much feed: by weight, mixed in water, in spoons, or not sure. Stored as grams of product per plant. */
export function FeedAmount({ value, ofPlace, at, error, onChange }: Props) {
  const product = useProducts(useGarden().id).find((p) => p.name === value.product);
  const plants = ofPlace ? Math.max(1, at?.plants.length ?? 1) : 1;
  const mixes = product?.dose?.per === 'litre';
  const canL = CAN_L[useUnits().volume];
  const [way, setWay] = useState<Way>(value.unknown ? 'unknown' : 'each');
  const [litres, setLitres] = useState<number | null>(null);
  const [strength, setStrength] = useState('1');
  const [spoons, setSpoons] = useState<number | null>(null);
  const shown = way === 'mixed' && !mixes ? 'each' : way;
  /** `inAll`: litres mixed, if that is how it was said */
  const give = (grams: number | null, inAll?: number) =>
    onChange({
      grams: grams === null ? NaN : roundTo(grams, 2),
      labelGrams: labelGrams(product, at, inAll === undefined ? undefined : inAll / plants),
      unknown: undefined,
    });
  const mix = (all: number | null, share: string) =>
    all === null || !product?.dose
      ? give(null)
      : give(gramsOf(product, product.dose.amount * Number(share) * all) / plants, all);
  // a feed that is mixed in water: one can of it, unless something else is said
  const mixedId = mixes ? product.id : null;
  useEffect(() => {
    if (mixedId === null || (value.grams != null && !Number.isNaN(value.grams))) return;
    setWay('mixed');
    // a second product in the same can
    const all = litres ?? canL;
    setLitres(all);
    mix(all, strength);
    // oxlint-disable-next-line react-hooks/exhaustive-deps -- once for each product
  }, [mixedId]);
  const choose = (next: Way) => {
    setWay(next);
    if (next === 'unknown') onChange({ grams: usualGrams(product, value.n, at), labelGrams: undefined, unknown: true });
    else if (next === 'mixed') mix(litres, strength);
    else if (isLoose(next)) {
      setSpoons(null);
      give(null);
    } else give(value.unknown ? null : (value.grams ?? null));
  };
  const options: (readonly [Way, string])[] = [
    ['each', 'Weight per plant'],
    ...(plants > 1 ? [['all', 'Weight for all plants'] as const] : []),
    ...(mixes ? [['mixed', 'Mixed in water'] as const] : []),
    ...LOOSE_CODES.map((code): [Way, string] => [code, LOOSE[code].way]),
    ['unknown', 'Not sure'],
  ];
  return (
    <>
      <SelectField
        label="How much"
        className="col-span-2"
        value={shown}
        options={options}
        onChange={(v) => choose(v as Way)}
      />
      {shown === 'each' && (
        <MeasuredInput
          label="Per plant"
          quantity="grams"
          min={0}
          value={value.grams}
          error={error}
          onChange={(grams) => give(grams)}
        />
      )}
      {shown === 'all' && (
        <MeasuredInput
          label={`All ${plants} plants`}
          quantity="grams"
          min={0}
          value={value.grams == null ? value.grams : value.grams * plants}
          error={error}
          onChange={(all) => give(all === null ? null : all / plants)}
        />
      )}
      {isLoose(shown) && (
        <MeasuredInput
          key={shown}
          label={LOOSE[shown].label}
          quantity="count"
          min={0}
          value={spoons}
          error={error}
          onChange={(count) => {
            setSpoons(count);
            const { ml, shared } = LOOSE[shown];
            give(count === null ? null : (count * ml * (product?.gPerMl ?? 1)) / (shared ? plants : 1));
          }}
        />
      )}
      {shown === 'mixed' && (
        <>
          <MeasuredInput
            label={plants > 1 ? 'Mixed in all' : 'Mixed feed'}
            quantity="litres"
            min={0}
            value={litres}
            error={error}
            onChange={(all) => {
              setLitres(all);
              mix(all, strength);
            }}
          />
          <SelectField
            label="Strength"
            value={strength}
            options={STRENGTHS}
            onChange={(share) => {
              setStrength(share);
              mix(litres, share);
            }}
          />
        </>
      )}
      {(shown === 'mixed' || isLoose(shown)) && value.grams != null && !Number.isNaN(value.grams) && (
        <Each grams={value.grams} />
      )}
    </>
  );
}

const Each = ({ grams }: { grams: number }) => (
  <p className="col-span-2 -mt-1 text-sm text-soft tabular-nums">{useFormat().grams(grams)} of product per plant</p>
);
