import type { LucideIcon } from 'lucide-react';
import { Button } from './button';
import { Tip } from './tip';

interface Props {
  icon: LucideIcon;
  /** what it does: its name, and told where a mouse or the keyboard is on it */
  label: string;
  onClick: () => void;
  disabled?: boolean;
}

/** An act that has only a picture. */
export function IconButton({ icon: Icon, label, ...rest }: Props) {
  return (
    <Tip says={label}>
      <Button look="quiet" className="px-3" aria-label={label} {...rest}>
        <Icon aria-hidden size={18} />
      </Button>
    </Tip>
  );
}
