import { Ellipsis, type LucideIcon } from 'lucide-react';
import { DropdownMenu } from 'radix-ui';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { buttonLook } from './button';

/** A menu of actions. */
export function Menu({ label, children }: { label: string; children: ReactNode }) {
  return (
    <DropdownMenu.Root modal={false}>
      <DropdownMenu.Trigger className={buttonLook('quiet')} aria-label={label}>
        <Ellipsis aria-hidden size={20} />
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content
          align="end"
          sideOffset={4}
          collisionPadding={12}
          className="z-30 min-w-56 rounded-xl border border-line bg-card p-1 shadow-lg"
        >
          {children}
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}

const itemLook =
  'flex min-h-11 cursor-pointer items-center gap-2.5 rounded-lg px-3 text-ink outline-none data-highlighted:bg-leafwash';

export function MenuItem({
  icon: Icon,
  onSelect,
  children,
}: {
  icon: LucideIcon;
  onSelect: () => void;
  children: ReactNode;
}) {
  return (
    <DropdownMenu.Item className={itemLook} onSelect={onSelect}>
      <Icon aria-hidden size={18} className="text-leaf" /> {children}
    </DropdownMenu.Item>
  );
}

export function MenuLink({ icon: Icon, to, children }: { icon: LucideIcon; to: string; children: ReactNode }) {
  return (
    <DropdownMenu.Item asChild className={itemLook}>
      <Link to={to}>
        <Icon aria-hidden size={18} className="text-leaf" /> {children}
      </Link>
    </DropdownMenu.Item>
  );
}
