/** A choice of yes, no and not known for `register`: stored as true, false or null. */
export const YES_NO: [string, string][] = [
  ['', 'not known'],
  ['true', 'yes'],
  ['false', 'no'],
];
export const asFlag = { setValueAs: (v: unknown) => (v === '' || v == null ? null : v === 'true' || v === true) };
