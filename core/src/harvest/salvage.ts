import type { PickState } from '../records/choices.js';
import { must } from '../units/lists.js';

/**
 * What to do with damaged fruit. Sources: common practice; canning follows a tested recipe (USDA Complete Guide to
 * Home Canning).
 */
interface SalvageRow {
  state: PickState;
  label: string;
  /** what to do */
  advice: string;
  /** edible, at least in part */
  edible: boolean;
  /** may be canned: only sound fruit may */
  canning: boolean;
  /** keeps for long, or ripens on the shelf */
  keeps: boolean;
}

/** States of picked fruit, and what each may be used for. */
export const SALVAGE: readonly SalvageRow[] = [
  { state: 'sound', label: 'Sound', advice: 'Eat, store or preserve.', edible: true, canning: true, keeps: true },
  {
    state: 'split',
    label: 'Split',
    advice: 'Fresh and not sour: cut out the crack and eat soon, or ripen indoors. Sour or leaking: bin.',
    edible: true,
    canning: false,
    keeps: false,
  },
  {
    state: 'dark-end',
    label: 'Blossom end rot',
    advice: 'Dry and firm: cut off the dark part and eat the rest soon. Soft: bin.',
    edible: true,
    canning: false,
    keeps: false,
  },
  {
    state: 'sunscald',
    label: 'Sunscald',
    advice: 'Dry patch: cut it out, or roast and peel. Mushy or mouldy: bin.',
    edible: true,
    canning: false,
    keeps: false,
  },
  {
    state: 'gnawed',
    label: 'Pecked or gnawed',
    advice: 'Bin it, and wash your hands: animals leave germs.',
    edible: false,
    canning: false,
    keeps: false,
  },
  { state: 'soft', label: 'Soft, sour or mouldy', advice: 'Bin.', edible: false, canning: false, keeps: false },
  {
    state: 'blighted',
    label: 'From a plant with late blight',
    advice: 'Firm and unspotted: eat soon. Spotted: bin. Do not can or store it.',
    edible: true,
    canning: false,
    keeps: false,
  },
  {
    state: 'frosted',
    label: 'Touched by frost',
    advice: 'Glassy or soft: bin. Firm: eat soon.',
    edible: true,
    canning: false,
    keeps: false,
  },
];

/** Returns the row of a state of picked fruit. */
export function salvageRow(state: PickState): SalvageRow {
  return must(SALVAGE.find((r) => r.state === state));
}

/** Refuses uses that are unsafe for such fruit, and says what to do instead. */
export function useFaults(p: { state: PickState; use: string }, path: string): { path: string; reason: string }[] {
  const row = salvageRow(p.state);
  if (!row.edible && p.use !== 'binned')
    return [{ path: `${path}use`, reason: `${row.label.toLowerCase()}: bin such fruit; record the rest separately` }];
  if (!row.keeps && p.use === 'kept')
    return [
      {
        path: `${path}use`,
        reason: `${row.label.toLowerCase()} fruit does not keep and is not for canning: eat it soon, or cook it now`,
      },
    ];
  return [];
}
