/** Combines several checks of one field. */
export const applyDecorators =
  (...checks: readonly PropertyDecorator[]): PropertyDecorator =>
  (target, property) =>
    checks.forEach((check) => check(target, property));
