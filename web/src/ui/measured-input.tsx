import { measureOf, parseDecimal, type Quantity } from '@candid-leaf/core/units';
import { useState } from 'react';
import { useUnits } from '../lib/garden-context';
import { Field, inputLook } from './field';

export interface MeasuredInputProps {
  label: string;
  quantity: Quantity;
  /** metric; null if unknown, NaN while it is not a number */
  value: number | null | undefined;
  onChange: (metric: number | null) => void;
  /** metric; values beyond are shown as errors and refused by the caller */
  min?: number;
  max?: number;
  /** announced to screen readers */
  required?: boolean;
  error?: string | undefined;
  hint?: string | undefined;
  className?: string | undefined;
  disabled?: boolean;
  onBlur?: () => void;
  onEnter?: () => void;
  name?: string;
}

/**
 * The one number field: shown in the gardener's unit, stored metric, with decimal comma or point. Typed text stays as
 * typed; errors are shown underneath.
 */
export function MeasuredInput(props: MeasuredInputProps) {
  const { label, quantity, value, onChange, required, error, hint, className, disabled, name, onBlur, onEnter } = props;
  const measure = measureOf(quantity, useUnits());
  const shown = (metric: number | null | undefined): string =>
    metric == null || Number.isNaN(metric) ? '' : String(Number(measure.fromMetric(metric).toFixed(measure.digits)));
  const [text, setText] = useState(() => shown(value));
  const [reported, setReported] = useState(value);
  // a value from elsewhere replaces the text
  if (!Object.is(reported, value)) {
    setReported(value);
    setText(shown(value));
  }
  const change = (typed: string): void => {
    setText(typed);
    const number = parseDecimal(typed);
    const metric = number === null ? null : measure.toMetric(number);
    setReported(metric);
    onChange(metric);
  };
  const own = ownFault(text, measure.toMetric, props, shown);
  return (
    <Field
      label={measure.symbol ? `${label} (${measure.symbol})` : label}
      error={error ?? own}
      hint={hint}
      className={className}
    >
      {(f) => (
        <input
          id={f.id}
          name={name}
          aria-describedby={f.describedBy}
          aria-invalid={f.invalid}
          aria-required={required}
          className={inputLook}
          type="text"
          inputMode="decimal"
          autoComplete="off"
          disabled={disabled}
          value={text}
          onChange={(e) => change(e.target.value)}
          onBlur={onBlur}
          onKeyDown={(e) => {
            if (e.key === 'Enter') onEnter?.();
          }}
        />
      )}
    </Field>
  );
}

/** Returns what is wrong with the text, in words that follow the label. */
function ownFault(
  text: string,
  toMetric: (shown: number) => number,
  { min, max }: Pick<MeasuredInputProps, 'min' | 'max'>,
  shown: (metric: number) => string,
): string | undefined {
  const number = parseDecimal(text);
  if (number === null) return undefined;
  if (Number.isNaN(number)) return 'must be a number, such as 2.5 or 2,5';
  const metric = toMetric(number);
  if (min !== undefined && metric < min) return `must be ${shown(min)} or more`;
  if (max !== undefined && metric > max) return `must be ${shown(max)} or less`;
  return undefined;
}
