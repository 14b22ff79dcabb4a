import { Copy } from 'lucide-react';
import { Button } from './button';
import { Field, inputLook } from './field';
import { useSay } from './toast';

interface Props {
  label: string;
  hint: string;
  value: string;
  /** text after copying */
  copied: string;
}

/** A secret shown once, to copy. */
export function ShownOnce({ label, hint, value, copied }: Props) {
  const say = useSay();
  return (
    <div className="mt-3 rounded-xl border border-leaf bg-leafwash p-3">
      <Field label={label} hint={hint}>
        {(f) => (
          <input
            id={f.id}
            aria-describedby={f.describedBy}
            className={inputLook}
            readOnly
            value={value}
            onFocus={(e) => e.target.select()}
          />
        )}
      </Field>
      <Button className="mt-2" onClick={() => void navigator.clipboard.writeText(value).then(() => say(copied))}>
        <Copy aria-hidden size={17} /> Copy
      </Button>
    </div>
  );
}
