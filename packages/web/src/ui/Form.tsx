import type { ComponentProps } from 'react';

/** A form that the page answers itself. */
export function Form({
  onSubmit,
  row = false,
  ...rest
}: Omit<ComponentProps<'form'>, 'onSubmit'> & {
  /** Its fields stand beside each other. */
  readonly row?: boolean;
  readonly onSubmit: (form: HTMLFormElement) => unknown;
}) {
  return (
    <form
      className={row ? 'flex flex-wrap items-end gap-3' : undefined}
      {...rest}
      onSubmit={(event) => {
        event.preventDefault();
        void onSubmit(event.currentTarget);
      }}
    />
  );
}
