import type { ComponentProps } from 'react';

/** A form that the page answers itself. */
export function Form({
  onSubmit,
  ...rest
}: Omit<ComponentProps<'form'>, 'onSubmit'> & {
  readonly onSubmit: (form: HTMLFormElement) => unknown;
}) {
  return (
    <form
      {...rest}
      onSubmit={(event) => {
        event.preventDefault();
        void onSubmit(event.currentTarget);
      }}
    />
  );
}
