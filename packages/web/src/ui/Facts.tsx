import type { ReactNode } from 'react';

/** What is known of something, name by name. */
export function Facts({ children }: { readonly children: ReactNode }) {
  return <dl className="grid gap-x-6 sm:grid-cols-[10rem_1fr]">{children}</dl>;
}

/** One of them; nothing where nothing is known. */
export function Fact({ name, children }: { readonly name: string; readonly children: ReactNode }) {
  if (children === undefined || children === null || children === '' || children === false) {
    return null;
  }
  return (
    <>
      <dt className="pt-2 text-sm font-semibold text-quiet sm:border-t sm:border-rule">{name}</dt>
      <dd className="min-h-11 border-rule py-2 break-words max-sm:border-b sm:border-t">
        {children}
      </dd>
    </>
  );
}
