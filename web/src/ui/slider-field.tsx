import { Slider } from 'radix-ui';
import { useId } from 'react';

interface Props {
  label: string;
  value: number;
  min: number;
  max: number;
  step: number;
  /** the value in words, beside the label and for screen readers */
  says: string;
  onChange: (value: number) => void;
}

/** A slider. */
export function SliderField({ label, value, min, max, step, says, onChange }: Props) {
  const id = useId();
  return (
    <div>
      <p className="flex justify-between gap-3">
        <span id={id} className="font-semibold">
          {label}
        </span>
        <span className="tabular-nums">{says}</span>
      </p>
      <Slider.Root
        value={[value]}
        min={min}
        max={max}
        step={step}
        onValueChange={([v]) => v !== undefined && onChange(v)}
        className="relative flex h-11 touch-none items-center select-none"
      >
        <Slider.Track className="relative h-2 grow rounded-full border border-soft/60 bg-paper">
          <Slider.Range className="absolute h-full rounded-full bg-leaf" />
        </Slider.Track>
        <Slider.Thumb
          aria-labelledby={id}
          aria-valuetext={says}
          className="block size-6 rounded-full border-2 border-leaf bg-card shadow-sm"
        />
      </Slider.Root>
    </div>
  );
}
