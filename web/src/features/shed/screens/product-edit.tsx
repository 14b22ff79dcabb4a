import { starterOf } from '@candid-leaf/core/products';
import { useQuery } from '@tanstack/react-query';
import { Navigate, useParams, useSearchParams } from 'react-router';
import { useGarden, useLink } from '../../../lib/garden-context';
import { Failed, Waiting } from '../../../ui/states';
import { GardenPage } from '../../../frame/garden-page';
import { ProductForm } from '../components/product-form';
import { productsQuery } from '../../../data/products';

/** Adds a product from its label or a starter, or edits it. */
export function ProductEdit() {
  const { productId } = useParams();
  return (
    <GardenPage narrow needs="keep" title={() => (productId ? 'Edit product' : 'New product')}>
      {() => (productId ? <Change productId={productId} /> : <New />)}
    </GardenPage>
  );
}

function New() {
  const [params] = useSearchParams();
  return <ProductForm product={starterOf(params.get('from') ?? '') ?? null} own={false} />;
}

function Change({ productId }: { productId: string }) {
  const garden = useGarden();
  const link = useLink();
  const query = useQuery(productsQuery(garden.id));
  if (query.isPending) return <Waiting what="Loading products" />;
  if (query.error) return <Failed error={query.error} again={() => void query.refetch()} />;
  const product = query.data.find((p) => p.id === productId);
  return product ? <ProductForm product={product} own /> : <Navigate to={link('shed', {})} replace />;
}
