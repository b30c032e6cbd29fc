/** The lowest tag number that hangs on no machine. */
export function firstFreeTag(rack: readonly { readonly tag: number | null }[]): number {
  const hanging = new Set(rack.map(({ tag }) => tag));
  let free = 1;
  while (hanging.has(free)) free += 1;
  return free;
}
