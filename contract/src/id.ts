import { Transform } from 'class-transformer';
import { IsUUID } from 'class-validator';

const small = (value: unknown): unknown => (typeof value === 'string' ? value.toLowerCase() : value);

/** An id, or (`each`) a list of them. Upper case means the same row, so it is lowered on input. */
export function IsId({ each = false } = {}): PropertyDecorator {
  return (target, property) => {
    Transform(({ value }: { value: unknown }) => (each && Array.isArray(value) ? value.map(small) : small(value)))(
      target,
      property,
    );
    IsUUID('all', { each, message: each ? 'each must be an id (a UUID)' : 'must be an id (a UUID)' })(target, property);
  };
}
