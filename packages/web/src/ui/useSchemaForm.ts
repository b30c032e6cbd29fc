import { zodResolver } from '@hookform/resolvers/zod';
import { useCallback } from 'react';
import {
  type DefaultValues,
  type FieldValues,
  type Path,
  type PathValue,
  type Resolver,
  useForm,
} from 'react-hook-form';
import type { z } from 'zod';

/**
 * A form whose values its schema judges: nothing is submitted that does not pass, and what fails is shown at
 * its field from the first try on.
 * @param schema reads what was filled in; its messages are the texts that are shown
 * @param begun what the fields begin with
 */
export function useSchemaForm<Values extends FieldValues, Ready extends FieldValues>(
  schema: z.ZodType<Ready>,
  begun: Values,
) {
  const { watch, setValue, getValues, trigger, handleSubmit, reset, formState } = useForm<
    Values,
    unknown,
    Ready
  >({
    defaultValues: begun as DefaultValues<Values>,
    // Fields hold text where the schema reads numbers: its input is wider than what the resolver expects.
    resolver: zodResolver(schema as never) as unknown as Resolver<Values, unknown, Ready>,
    // The hand stays where it is: each sheet says itself where it goes.
    shouldFocusError: false,
  });
  const { errors, isSubmitted, isDirty } = formState;
  const set = useCallback(
    (part: Partial<Values>) => {
      for (const [name, value] of Object.entries(part)) {
        setValue(name as Path<Values>, value as PathValue<Values, Path<Values>>, {
          shouldDirty: true,
        });
      }
      // All of it: what is wrong with one field may hang on another.
      if (isSubmitted) void trigger();
    },
    [setValue, trigger, isSubmitted],
  );
  const faults = errors as Readonly<Record<string, { readonly message?: string } | undefined>>;
  return {
    values: watch(),
    set,
    /** Whether something differs from what the form began with. */
    isDirty,
    /** The values of this moment, also within what was begun before the last change. */
    now: getValues,
    /** Begins again with these values, as if nothing had been submitted. */
    reset: (values: Values) => reset(values),
    /** By field, in parts where a field has parts. */
    faults,
    /** What is wrong with a field, as the schema says it. */
    errorOf: (name: keyof Values & string): string | undefined => {
      const fault = faults[name];
      return fault && (fault.message ?? '');
    },
    /** Goes on with what passed the schema. */
    submit: (onReady: (ready: Ready) => unknown, onBad?: () => void): Promise<void> =>
      handleSubmit(
        (ready) => void onReady(ready),
        () => onBad?.(),
      )(),
  };
}
