/** The lowest tag number that hangs on no machine, as it is typed; empty while that is not known. */
export function firstFreeTag(rack: readonly { readonly tag: number | null }[] | undefined): string {
  if (!rack) return '';
  const hanging = new Set(rack.map(({ tag }) => tag));
  let free = 1;
  while (hanging.has(free)) free += 1;
  return String(free);
}
