/**
 * Returns the value; a missing one is an error of ours.
 * @throws RangeError if it is undefined
 * @example must(new Map([['a', 1]]).get('a')) // 1
 */
export function must<T>(value: T | undefined, what = 'a value'): T {
  if (value === undefined) throw new RangeError(`${what} is missing`);
  return value;
}

/**
 * Returns an element of a list.
 * @throws RangeError if the list has none at that index
 * @example at([5, 7], 1) // 7
 */
export function at<T>(list: { readonly length: number; readonly [i: number]: T }, i: number): T {
  const value = list[i];
  if (value === undefined) throw new RangeError(`no element ${i} of ${list.length}`);
  return value;
}

/**
 * Returns the first element.
 * @throws RangeError if the list is empty
 * @example first([5, 7]) // 5
 */
export const first = <T>(list: readonly T[]): T => at(list, 0);

/**
 * Returns the last element.
 * @throws RangeError if the list is empty
 * @example last([5, 7]) // 7
 */
export const last = <T>(list: readonly T[]): T => at(list, list.length - 1);

/**
 * Returns the items by a key, each group in the order of the list.
 * @example grouped([1, 2, 3], (n) => n % 2).get(1) // [1, 3]
 */
export function grouped<T, K>(list: readonly T[], keyOf: (item: T) => K): Map<K, T[]> {
  const groups = new Map<K, T[]>();
  for (const item of list) {
    const group = groups.get(keyOf(item));
    if (group) group.push(item);
    else groups.set(keyOf(item), [item]);
  }
  return groups;
}

/**
 * Returns the median; of an even number of values, the mean of the middle two.
 * @throws RangeError if there is none
 * @example median([3, 1, 10, 2]) // 2.5
 */
export function median(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b);
  const half = sorted.length >> 1;
  return sorted.length % 2 === 1 ? at(sorted, half) : (at(sorted, half - 1) + at(sorted, half)) / 2;
}
