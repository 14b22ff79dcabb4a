import 'reflect-metadata';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsDefined,
  IsObject,
  IsOptional,
  ValidateNested,
  type ValidationOptions,
} from 'class-validator';

type Class = new () => object;

/**
 * A field that holds one thing of a class. A list in its place is refused: the checker of nested things would otherwise look into the
 * list and find nothing wrong with it.
 */
export function IsPart(cls: () => Class, { optional = false } = {}): PropertyDecorator {
  return all([
    optional ? IsOptional() : IsDefined(),
    IsObject({ message: 'must be an object with fields' }),
    ValidateNested(),
    Type(cls),
  ]);
}

/** A field that holds a list of things of a class: no longer than `most`, and no lists within the list. */
export function IsListOf(
  cls: () => Class,
  { most, least, optional = false }: { most: Bound; least?: Bound; optional?: boolean },
): PropertyDecorator {
  const [n, words] = bound(most);
  return all([
    ...(optional ? [IsOptional()] : []),
    IsArray(),
    ArrayMaxSize(n, words),
    ...(least ? [ArrayMinSize(...bound(least))] : []),
    IsObject({ each: true, message: 'each entry must be an object with fields' }),
    ValidateNested({ each: true }),
    Type(cls),
  ]);
}

/** How many, and how it is said where that says more than the number. */
type Bound = number | { count: number; message: string };
const bound = (b: Bound): [number, ValidationOptions | undefined] =>
  typeof b === 'number' ? [b, undefined] : [b.count, { message: b.message }];

const all =
  (decorators: readonly PropertyDecorator[]): PropertyDecorator =>
  (target, property) => {
    for (const decorate of decorators) decorate(target, property);
  };
