import { SwitchField } from '../../../ui/switch-field';

/** Large gardens: shows only plants that need something today. */
export default function NeedsSwitch({
  checked,
  onChange,
  count,
  of,
}: {
  checked: boolean;
  onChange: (only: boolean) => void;
  count: number;
  of: number;
}) {
  return (
    <SwitchField checked={checked} onChange={onChange}>
      Only plants that need something: {count} of {of}
    </SwitchField>
  );
}
