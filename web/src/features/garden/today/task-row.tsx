import { Check } from 'lucide-react';
import type { ComponentType, ReactNode } from 'react';
import { Unfold } from '../../../ui/unfold';

interface Props {
  icon: ComponentType<{ size?: number; className?: string }>;
  /** it was due before today */
  late?: boolean;
  title: string;
  amount?: string | null;
  /** the next task: opened, with its act as the one filled button */
  next: boolean;
  /** one touch at the end of the line */
  beside: ReactNode;
  /** a choice of a few answers, below the line without opening it */
  below?: ReactNode;
  children: () => ReactNode;
}

/** A line of Today: what and how much, one touch to answer; reason and steps open below. */
export function TaskRow({ icon: Icon, late = false, title, amount, next, beside, below, children }: Props) {
  return (
    <li>
      <Unfold
        look="task"
        open={next}
        beside={next ? null : beside}
        title={
          <>
            <Icon aria-hidden size={20} className={`mr-1 shrink-0 ${late ? 'text-ripe' : 'text-leaf'}`} />
            <span className="min-w-0">
              <span className="font-semibold">{title}</span>
              {amount && <span className="tabular-nums">: {amount}</span>}
            </span>
          </>
        }
      >
        {() => <div className="pb-3 pl-8">{children()}</div>}
      </Unfold>
      {!next && below && <div className="-mt-1 pb-2 pl-8">{below}</div>}
    </li>
  );
}

interface TickProps {
  label: string;
  onTick: () => void;
  disabled: boolean;
}

/** A round tick of a thumb's size at the end of a line. */
export const Tick = ({ label, onTick, disabled }: TickProps) => (
  <button
    type="button"
    aria-label={label}
    onClick={onTick}
    disabled={disabled}
    className="group grid size-11 shrink-0 place-items-center text-leaf disabled:opacity-60"
  >
    <span className="grid size-8 place-items-center rounded-full border border-leaf group-hover:bg-leafwash">
      <Check aria-hidden size={17} />
    </span>
  </button>
);
