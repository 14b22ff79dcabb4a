/** Several checks of one field, as one. */
export const applyDecorators =
  (...checks: readonly PropertyDecorator[]): PropertyDecorator =>
  (target, property) =>
    checks.forEach((check) => check(target, property));
