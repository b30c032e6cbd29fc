/** JSON with keys in order, so that layout (a database's, say) does not change it. */
export function canonicalJson(content: unknown): string {
  return JSON.stringify(content, (_key, value: unknown) =>
    value === null || typeof value !== 'object' || Array.isArray(value)
      ? value
      : Object.fromEntries(Object.entries(value).sort(([a], [b]) => (a < b ? -1 : 1))),
  );
}
