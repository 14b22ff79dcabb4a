import { PRODUCT_KINDS, type Product } from '@candid-leaf/core/products';
import type { GardenView } from '@candid-leaf/contract';
import clsx from 'clsx';
import { CopyPlus, Pencil, Plus } from 'lucide-react';
import { Link, useSearchParams } from 'react-router';
import { useFormat, useGarden, useLink } from '../../../lib/garden-context';
import { buttonLook } from '../../../ui/button';
import { Unfold } from '../../../ui/unfold';
import { Panel } from '../../../ui/panel';
import { DoseCalculator } from '../components/dose-calculator';
import { ShedPage } from '../../../frame/shed-page';
import { KIND_OF_PRODUCT, labelInWords } from '../product-words';
import { useProducts } from '../../../data/use-products';
import { Sheet } from '../../../ui/sheet';
import { useWide } from '../../../ui/use-wide';

/** Feeds, amendments and sprays, and the dose for these plants and this can. */
export function ShedScreen() {
  return <ShedPage>{(view) => <Products view={view} />}</ShedPage>;
}

function Products({ view }: { view: GardenView }) {
  const garden = useGarden();
  const link = useLink();
  const products = useProducts(garden.id);
  const wide = useWide();
  const [params, setParams] = useSearchParams();
  const asked = products.find((p) => p.id === params.get('product'));
  // at the desk one is always open; on a phone the list comes first, and a dose in its sheet
  const chosen = asked ?? (wide ? products.find((p) => p.dose) : undefined);
  const dose = chosen && <DoseCalculator key={chosen.id} product={chosen} view={view} />;
  const title = chosen && `${chosen.name}: how much?`;
  return (
    <div className="grid items-start gap-5 lg:grid-cols-[1fr_26rem]">
      <div className="flex flex-col gap-4">
        {PRODUCT_KINDS.map((kind) => (
          <Panel key={kind} title={KIND_OF_PRODUCT[kind]}>
            <ul className="mt-1 divide-y divide-line">
              {products
                .filter((p) => p.kind === kind)
                .map((p) => (
                  <Row
                    key={p.id}
                    product={p}
                    chosen={p === chosen}
                    onChoose={() => setParams({ product: p.id }, { replace: true, preventScrollReset: true })}
                  />
                ))}
            </ul>
          </Panel>
        ))}
        <div>
          <Link className={buttonLook('plain')} to={link('newProduct', {})}>
            <Plus aria-hidden size={18} /> Add a product
          </Link>
        </div>
      </div>
      {wide ? (
        <div className="sticky top-16">
          <Panel title={title} main>
            {dose}
          </Panel>
        </div>
      ) : (
        <Sheet
          open={dose !== undefined}
          onClose={() => setParams({}, { replace: true, preventScrollReset: true })}
          title={title ?? ''}
        >
          {dose}
        </Sheet>
      )}
    </div>
  );
}

function Row({ product, chosen, onChoose }: { product: Product; chosen: boolean; onChoose: () => void }) {
  const format = useFormat();
  const link = useLink();
  const own = 'version' in product;
  return (
    <li>
      <Unfold
        look="line"
        title={
          <span>
            {product.name}
            {own && <span className="ml-2 text-sm font-normal text-soft">your own</span>}
          </span>
        }
        beside={
          <button
            type="button"
            aria-pressed={chosen}
            aria-label={`Dose of ${product.name}`}
            className={clsx(buttonLook(chosen ? 'main' : 'plain'), 'shrink-0')}
            onClick={onChoose}
          >
            Dose
          </button>
        }
      >
        {() => (
          <div className="flex flex-wrap items-center justify-between gap-x-3 pb-1 pl-6">
            <p className="text-sm text-soft tabular-nums">{labelInWords(product, format)}</p>
            <Link
              className={buttonLook('quiet')}
              to={own ? link('product', { productId: product.id }) : link('newProduct', {}, { from: product.id })}
              aria-label={own ? `Edit ${product.name}` : `Copy the label of ${product.name}`}
            >
              {own ? <Pencil aria-hidden size={18} /> : <CopyPlus aria-hidden size={18} />}
              {own ? 'Edit' : 'Copy label'}
            </Link>
          </div>
        )}
      </Unfold>
    </li>
  );
}
