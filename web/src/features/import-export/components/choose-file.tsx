import { FileUp } from 'lucide-react';
import { useId } from 'react';
import { buttonLook } from '../../../ui/button';

interface Props {
  label: string;
  accept: string;
  onFile: (file: File) => void;
}

/** A button that opens the device's file picker. */
export function ChooseFile({ label, accept, onFile }: Props) {
  const id = useId();
  return (
    <span className="mt-3 inline-block">
      <input
        id={id}
        type="file"
        accept={accept}
        className="peer sr-only"
        aria-label={label}
        onChange={(e) => {
          const [file] = e.currentTarget.files ?? [];
          e.currentTarget.value = '';
          if (file) onFile(file);
        }}
      />
      <label
        htmlFor={id}
        aria-hidden
        className={`${buttonLook()} cursor-pointer peer-focus-visible:outline-2 peer-focus-visible:outline-offset-2 peer-focus-visible:outline-leaf`}
      >
        <FileUp aria-hidden size={18} /> {label}
      </label>
    </span>
  );
}
