import type { GardenInput } from '@candid-leaf/contract';
import { STARTER_METHODS, type StarterMethod } from '@candid-leaf/core/nutrition';
import type { Control } from 'react-hook-form';
import { FormSelect } from '../../../ui/select-field';
import { FormCard } from '../../../ui/form-card';
import { emptyIsUnknown } from '../../../ui/form-faults';
import { asFlag } from '../../../ui/yes-no';

const STARTER_WORDS: Record<StarterMethod, string> = {
  'compost-balanced': 'compost and a balanced feed (suggested)',
  'nitrogen-led': 'high nitrogen: blood or fish meal, worked in lightly',
  'phosphorus-led': 'high phosphorus',
  'by-test': 'only what a soil test shows is low',
};

/** The gardener's rules; they filter suggestions. */
export function OwnRules({ control }: { control: Control<GardenInput> }) {
  return (
    <FormCard title="Your growing rules">
      <FormSelect
        control={control}
        label="Products suggested"
        options={[
          ['', 'any, by its label'],
          ['true', 'only those allowed in organic growing'],
        ]}
        name="organicOnly"
        {...asFlag}
      />
      <FormSelect
        control={control}
        label="Feed at planting"
        className="sm:col-span-2"
        options={[
          ['', STARTER_WORDS['compost-balanced']],
          ...STARTER_METHODS.slice(1).map((s): [string, string] => [s, STARTER_WORDS[s]]),
        ]}
        name="starter"
        {...emptyIsUnknown}
      />
      <FormSelect
        control={control}
        label="Peppers in flower"
        className="sm:col-span-2"
        hint="Lean plants keep their flowers. In poor soil potassium gives more fruit."
        options={[
          ['', 'no feed (suggested)'],
          ['bloom', 'a feed with more potassium than nitrogen'],
        ]}
        name="pepperFeed"
        {...emptyIsUnknown}
      />
      <FormSelect
        control={control}
        label="Compare with gardens nearby"
        className="sm:col-span-2"
        hint="Only counts of five or more gardens in a region of about 50 km (30 miles). No names, no places."
        options={[
          ['', 'no'],
          ['true', 'yes: count this garden, and show me the counts'],
        ]}
        name="shareCounts"
        {...asFlag}
      />
    </FormCard>
  );
}
