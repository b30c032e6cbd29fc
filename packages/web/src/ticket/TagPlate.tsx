/** The look of the tag on the machine, as a plate. */
export const PLATE =
  'flex shrink-0 items-center gap-2 rounded-md bg-ink px-2.5 py-0.5 font-mono text-lg font-semibold text-ground';

/** The number on the tag, with the hole it hangs by. */
export function TagPlate({ tag }: { readonly tag: number }) {
  return (
    <>
      <span aria-hidden="true" className="size-2 rounded-full bg-ground" />
      {tag}
    </>
  );
}
