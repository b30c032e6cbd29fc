/** The letters on a mark and the name to sign in with that a name suggests. */
export function suggestFor(name: string): { readonly initials: string; readonly login: string } {
  const parts = name.trim().split(/\s+/).filter(Boolean);
  const initials = parts
    .slice(0, 2)
    .map((part) => String.fromCodePoint(part.codePointAt(0) ?? 0))
    .join('')
    .toLocaleUpperCase();
  const login = (parts[0] ?? '')
    .normalize('NFKD')
    .toLowerCase()
    .replaceAll(/[^a-z0-9]/g, '');
  return { initials, login };
}
