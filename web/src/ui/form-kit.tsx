import clsx from 'clsx';
import { useEffect, useRef, type ComponentProps, type ReactNode } from 'react';
import { useFormContext, type FieldPath, type FieldValues, get } from 'react-hook-form';
import { Link } from 'react-router';
import { Button, buttonLook } from './button';
import { FormDayField } from './day-field';
import { RootFault } from './form-card';
import { TextField } from './field';
import { emptyIsUnknown } from './form-faults';
import { MeasuredField } from './measured-field';
import { FormSelect } from './select-field';
import { showFirstFault } from './show-first-fault';
import { asFlag, YES_NO } from './yes-no';

type Own<C extends (...props: never[]) => unknown, T extends FieldValues> = Omit<
  Parameters<C>[0],
  'control' | 'name'
> & { name: FieldPath<T> };

/**
 * Fields of a form over one input class, inside `FormProvider`. Each knows its value, its error and what empty means,
 * so a form only says label and name.
 */
export function fieldsOf<T extends FieldValues>() {
  const useControl = () => useFormContext<T>().control;
  return {
    /** a text; empty means not known, if `optional` */
    Text: ({ name, optional, ...rest }: ComponentProps<typeof TextField> & { name: FieldPath<T>; optional?: true }) => {
      const { register, formState } = useFormContext<T>();
      const error: unknown = get(formState.errors, `${name}.message`);
      return (
        <TextField
          {...rest}
          error={typeof error === 'string' ? error : undefined}
          {...register(name, optional ? emptyIsUnknown : {})}
        />
      );
    },
    /** one of several */
    Choice: (props: Own<typeof FormSelect<T>, T>) => <FormSelect<T> {...props} control={useControl()} />,
    /** one of several; the empty choice means not known */
    Maybe: (props: Own<typeof FormSelect<T>, T>) => (
      <FormSelect<T> {...emptyIsUnknown} {...props} control={useControl()} />
    ),
    /** yes, no or not known */
    YesNo: (props: Omit<Own<typeof FormSelect<T>, T>, 'options'>) => (
      <FormSelect<T> options={YES_NO} {...asFlag} {...props} control={useControl()} />
    ),
    /** a number with its unit; empty means not known */
    Amount: (props: Own<typeof MeasuredField<T>, T>) => <MeasuredField<T> {...props} control={useControl()} />,
    /** a date */
    Date: (props: Own<typeof FormDayField<T>, T>) => <FormDayField<T> {...props} control={useControl()} />,
  };
}

interface EndProps {
  /** where Cancel leads, or what it does */
  back: string | (() => void);
  /** the form is long: Save stays in sight */
  long?: boolean;
  /** deletes what is edited */
  onDelete?: (() => void) | undefined;
  children?: ReactNode;
}

/** The end of a form: what is wrong with it as a whole, Save, Cancel and Delete. */
export function FormEnd({ back, long = false, onDelete, children }: EndProps) {
  const { formState } = useFormContext();
  const end = useRef<HTMLDivElement>(null);
  const { submitCount, isSubmitting, isSubmitSuccessful } = formState;
  useEffect(() => {
    if (submitCount > 0 && !isSubmitting && !isSubmitSuccessful) showFirstFault(end.current?.closest('form'));
  }, [submitCount, isSubmitting, isSubmitSuccessful]);
  return (
    <>
      <RootFault errors={formState.errors} />
      <div
        ref={end}
        className={clsx(
          'flex flex-wrap gap-2',
          long && 'sticky bottom-14 z-10 -mx-1 border-t border-line bg-paper px-1 py-2 sm:bottom-0',
        )}
      >
        <Button type="submit" look="main" disabled={formState.isSubmitting}>
          Save
        </Button>
        {typeof back === 'string' ? (
          <Link to={back} className={buttonLook('quiet')}>
            Cancel
          </Link>
        ) : (
          <Button look="quiet" onClick={back}>
            Cancel
          </Button>
        )}
        {onDelete && (
          <Button look="quiet" onClick={onDelete}>
            Delete
          </Button>
        )}
        {children}
      </div>
    </>
  );
}
