/** Returns by how much an amount of water goes up and down: steps one can pour. Litres, with the gardener's unit in litres. */
export const pourStep = (litres: number, unit: number): number =>
  litres >= 10 * unit ? 5 * unit : litres >= 3 * unit ? unit : litres >= unit / 2 ? unit / 2 : unit / 20;
