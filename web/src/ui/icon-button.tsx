import type { LucideIcon } from 'lucide-react';
import { Button } from './button';
import { Tip } from './tip';

interface Props {
  icon: LucideIcon;
  /** its name, also shown as a tooltip */
  label: string;
  onClick: () => void;
  disabled?: boolean;
}

/** An icon button. */
export function IconButton({ icon: Icon, label, ...rest }: Props) {
  return (
    <Tip says={label}>
      <Button look="quiet" className="px-3" aria-label={label} {...rest}>
        <Icon aria-hidden size={18} />
      </Button>
    </Tip>
  );
}
