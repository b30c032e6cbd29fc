/** A key of the keyboard, as a small cap. */
export function Key({ children }: { readonly children: string }) {
  return (
    <span
      aria-hidden="true"
      className="hidden min-w-6 place-items-center lg:inline-grid rounded border border-edge bg-ground px-1 font-mono text-sm text-quiet"
    >
      {children}
    </span>
  );
}
