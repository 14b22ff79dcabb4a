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
 * A field with one object of a class. A list is refused: the nested validator would look inside and find nothing
 * wrong.
 */
export function IsPart(cls: () => Class, { optional = false } = {}): PropertyDecorator {
  return all([
    optional ? IsOptional() : IsDefined(),
    IsObject({ message: 'must be an object with fields' }),
    ValidateNested(),
    Type(cls),
  ]);
}

/** A field with a list of objects of a class: at most `most`, no lists inside the list. */
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

/** The limit, and how to say it if a number is not enough. */
type Bound = number | { count: number; message: string };
const bound = (b: Bound): [number, ValidationOptions | undefined] =>
  typeof b === 'number' ? [b, undefined] : [b.count, { message: b.message }];

const all =
  (decorators: readonly PropertyDecorator[]): PropertyDecorator =>
  (target, property) => {
    for (const decorate of decorators) decorate(target, property);
  };
