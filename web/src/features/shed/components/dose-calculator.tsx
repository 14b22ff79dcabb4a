import type { GardenView, PlaceOnView } from '@candid-leaf/contract';
import {
  amountFor,
  gramsOf,
  labelDose,
  nutrientsIn,
  type DoseAnswer,
  type Nutrient,
  type Product,
} from '@candid-leaf/core/products';
import { BED_LITRES_EACH, POT_SHARE, SPRAY_LITRES_EACH } from '@candid-leaf/core/care';
import { isPotted } from '@candid-leaf/core/records';
import { LITRES_PER, roundTo, type VolumeUnit } from '@candid-leaf/core/units';
import { useState, type ReactNode } from 'react';
import { useFormat, useGarden, useMay, useUnits } from '../../../lib/garden-context';
import { Button } from '../../../ui/button';
import { Choice } from '../../../ui/choice';
import { SelectField } from '../../../ui/select-field';
import { MeasuredInput } from '../../../ui/measured-input';
import { amountOf, labelInWords } from '../product-words';
import { filledBy } from '../../../frame/acts/filled-by';
import { RecordSheet } from '../../../frame/acts/record-sheet';
import { STRENGTHS } from '../../../frame/acts/strengths';

/** A hand sprayer, or a watering can. */
const usualCan = (product: Product, volume: VolumeUnit): number =>
  volume === 'L' ? (product.kind === 'spray' ? 1.5 : 10) : (product.kind === 'spray' ? 1 : 2) * LITRES_PER[volume];

const NUTRIENT_WORDS: readonly (readonly [Nutrient, string])[] = [
  ['n', 'nitrogen (N)'],
  ['p2o5', 'phosphate (P₂O₅)'],
  ['k2o', 'potassium (K₂O)'],
];

/** Converts a label's dose to amounts for these plants and this can, and a nutrient to an amount of product. */
export function DoseCalculator({ product, view }: { product: Product; view: GardenView }) {
  const [way, setWay] = useState<'label' | 'nutrient'>(product.dose ? 'label' : 'nutrient');
  const hasNutrients = product.n + product.p2o5 + product.k2o > 0;
  return (
    <>
      <p className="text-sm text-soft tabular-nums">{labelInWords(product, useFormat())}</p>
      {product.dose && hasNutrients && (
        <Choice
          className="mt-3"
          label="Calculate from"
          value={way}
          options={[
            ['label', 'the label’s dose'],
            ['nutrient', 'a nutrient amount'],
          ]}
          onChange={setWay}
        />
      )}
      {way === 'label' && product.dose ? (
        <ByLabel product={product} places={view.places} />
      ) : hasNutrients ? (
        <ByNutrient product={product} />
      ) : (
        <p className="mt-3 text-soft">
          The amount depends on the soil: go by a soil test, not a label. Ground is calculated by area and texture.
        </p>
      )}
      {(product.cautions?.length ?? 0) > 0 && (
        <div className="mt-4 border-t border-line pt-3">
          <h3 className="font-semibold">Take care</h3>
          <ul className="list-disc pl-5 text-sm">
            {product.cautions!.map((c) => (
              <li key={c}>{c}</li>
            ))}
            <li>Always follow the product label and local rules.</li>
          </ul>
        </div>
      )}
    </>
  );
}

function ByLabel({ product, places }: { product: Product; places: readonly PlaceOnView[] }) {
  const units = useUnits();
  const may = useMay();
  const standing = places.filter((p) => p.plants.length > 0);
  const [placeId, setPlaceId] = useState(standing[0]?.place.id ?? '');
  const at = standing.find((p) => p.place.id === placeId);
  const start = (p: PlaceOnView | undefined) => ({
    plants: p?.plants.length ?? 1,
    areaM2: p?.place.lengthM && p.place.widthM ? p.place.lengthM * p.place.widthM : null,
    potLitres: p?.place.volumeL ?? null,
    litresEach:
      product.kind === 'spray'
        ? SPRAY_LITRES_EACH
        : p && isPotted(p.place)
          ? (p.place.volumeL ?? 10) * POT_SHARE
          : BED_LITRES_EACH,
  });
  const [q, setQ] = useState<{
    plants: number | null;
    areaM2: number | null;
    potLitres: number | null;
    litresEach: number | null;
  }>(() => start(at));
  const [canLitres, setCan] = useState<number | null>(() => usualCan(product, units.volume));
  const [strength, setStrength] = useState('1');
  const { per } = product.dose!;
  const bad = [q.plants, canLitres, q.litresEach].some((x) => x !== null && (Number.isNaN(x) || x <= 0));
  const answer =
    bad || !q.plants
      ? null
      : labelDose(product, { ...q, plants: q.plants, canLitres, strength: Number(strength), tools: units });
  return (
    <>
      <div className="mt-3 grid grid-cols-2 gap-3">
        {standing.length > 0 && (
          <SelectField
            label="Bed or pot"
            className="col-span-2"
            value={placeId}
            options={standing.map((p) => [p.place.id, p.place.name])}
            onChange={(chosen) => {
              setPlaceId(chosen);
              setQ(start(standing.find((p) => p.place.id === chosen)));
            }}
          />
        )}
        <MeasuredInput
          label="Plants"
          quantity="count"
          min={1}
          value={q.plants}
          onChange={(plants) => setQ((before) => ({ ...before, plants }))}
        />
        {per === 'm2' && (
          <MeasuredInput
            label="Ground"
            quantity="squareMetres"
            value={q.areaM2}
            onChange={(areaM2) => setQ((before) => ({ ...before, areaM2 }))}
          />
        )}
        {per === 'pot-litre' && (
          <MeasuredInput
            label="Soil per pot"
            quantity="litres"
            value={q.potLitres}
            onChange={(potLitres) => setQ((before) => ({ ...before, potLitres }))}
          />
        )}
        {per === 'litre' && (
          <>
            <MeasuredInput
              label="Per plant"
              quantity="litres"
              min={0.01}
              value={q.litresEach}
              onChange={(litresEach) => setQ((before) => ({ ...before, litresEach }))}
            />
            <MeasuredInput
              label={product.kind === 'spray' ? 'Sprayer size' : 'Can size'}
              quantity="litres"
              min={0.1}
              value={canLitres}
              onChange={setCan}
            />
          </>
        )}
        <SelectField label="Strength" value={strength} options={STRENGTHS} onChange={setStrength} />
      </div>
      {answer &&
        (Array.isArray(answer) ? (
          <Faults faults={answer} />
        ) : (
          <Answer product={product} answer={answer} plants={q.plants!}>
            {at?.plants.length === q.plants && may('record') && (
              <RecordDose product={product} answer={answer} at={at} strength={Number(strength)} />
            )}
          </Answer>
        ))}
    </>
  );
}

const Faults = ({ faults }: { faults: readonly { path: string; reason: string }[] }) => (
  <div role="status" className="mt-3 text-soft">
    {faults.map((f) => (
      <p key={f.path}>
        {WHAT[f.path] ?? 'It'} {f.reason}.
      </p>
    ))}
  </div>
);
const WHAT: Record<string, string> = {
  areaM2: 'Ground',
  potLitres: 'Pot size',
  litresEach: 'Water per plant',
  strength: '',
};

interface AnswerProps {
  product: Product;
  answer: DoseAnswer;
  plants: number;
  children: ReactNode;
}

function Answer({ product, answer, plants, children }: AnswerProps) {
  const f = useFormat();
  const { batches, solutionL, leftOverL, nutrientsEach: n, roundedByPct } = answer;
  const fed = n.n + n.p2o5 + n.k2o > 0;
  return (
    <div role="status" aria-label="The dose" className="mt-4 rounded-xl bg-leafwash p-4">
      {batches.length > 0 ? (
        <ul className="text-xl leading-7">
          {batches.map((b) => (
            <li key={b.waterL}>
              <strong>{amountOf(product, b.amount, f)}</strong> in {f.litres(b.waterL)}
              {b.cans > 1 && `, ${b.cans} times`}
            </li>
          ))}
        </ul>
      ) : (
        <p className="text-xl">
          <strong>{amountOf(product, answer.each, f)}</strong> per plant
        </p>
      )}
      <p className="mt-1 text-sm">
        {amountOf(product, answer.total, f)} in total for {plants} {plants === 1 ? 'plant' : 'plants'}
        {solutionL !== null && `, ${f.litres(solutionL)} mixed`}.{' '}
        {leftOverL > 0 &&
          ` ${f.litres(leftOverL)} will be left over: pour it on bare soil, never into a drain or pond.`}
      </p>
      {fed && (
        <p className="mt-1 text-sm">
          Each plant gets {roundTo(n.n, 2)} g of N, {roundTo(n.p2o5, 2)} g of P₂O₅, {roundTo(n.k2o, 2)} g of K₂O.
        </p>
      )}
      {Math.abs(roundedByPct) >= 1 && (
        <p className="mt-1 text-sm">
          Rounded to what you can measure: {Math.abs(roundedByPct)} % {roundedByPct > 0 ? 'more' : 'less'} than exact.
        </p>
      )}
      {children}
    </div>
  );
}

interface RecordDoseProps {
  product: Product;
  answer: DoseAnswer;
  at: PlaceOnView;
  strength: number;
}

/** Opens the record of this dose, filled in. */
function RecordDose({ product, answer, at: { place, plants }, strength }: RecordDoseProps) {
  const garden = useGarden();
  const [open, setOpen] = useState(false);
  const spray = product.kind === 'spray';
  const filled = spray
    ? {
        ...filledBy(product),
        ...(product.dose?.per === 'litre' ? { perLitre: roundTo(product.dose.amount * strength, 3) } : {}),
        ...(answer.solutionL === null ? {} : { batchL: answer.solutionL }),
      }
    : { ...filledBy(product), grams: roundTo(gramsOf(product, answer.total) / plants.length, 2) };
  return (
    <>
      <Button className="mt-3" onClick={() => setOpen(true)}>
        Record this for {place.name}
      </Button>
      {open && (
        <RecordSheet
          open
          onClose={() => setOpen(false)}
          target={{ plantId: null, placeId: place.id, name: place.name }}
          day={garden.today}
          kinds={[spray ? 'spray' : 'feeding']}
          filled={filled}
        />
      )}
    </>
  );
}

function ByNutrient({ product }: { product: Product }) {
  const f = useFormat();
  const has = NUTRIENT_WORDS.filter(([n]) => product[n] > 0);
  const [nutrient, setNutrient] = useState<Nutrient>(has[0]![0]);
  const [grams, setGrams] = useState<number | null>(1);
  const amount = grams && grams > 0 ? amountFor(product, nutrient, grams, f.units) : null;
  const also = amount === null ? null : nutrientsIn(product, amount);
  return (
    <>
      <div className="mt-3 grid grid-cols-2 gap-3">
        <SelectField
          label="Nutrient"
          value={nutrient}
          options={has}
          onChange={(chosen) => setNutrient(chosen as Nutrient)}
        />
        <MeasuredInput label="Per plant" quantity="grams" min={0} max={50} value={grams} onChange={setGrams} />
      </div>
      {amount !== null && also && (
        <div role="status" aria-label="The dose" className="mt-4 rounded-xl bg-leafwash p-4">
          <p className="text-xl">
            <strong>{amountOf(product, amount, f)}</strong> per plant
          </p>
          <p className="mt-1 text-sm">
            It gives {roundTo(also.n, 2)} g of N, {roundTo(also.p2o5, 2)} g of P₂O₅ and {roundTo(also.k2o, 2)} g of K₂O
            {product.slow ? ', released over weeks' : ''}.
          </p>
        </div>
      )}
    </>
  );
}
