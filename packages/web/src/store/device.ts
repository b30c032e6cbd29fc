const KEPT_UNDER = 'nodo.device';

/** This browser's own name among the shop's screens, made once. */
export function deviceId(): string {
  const known = localStorage.getItem(KEPT_UNDER);
  if (known) return known;
  const fresh = `screen-${crypto.randomUUID().slice(0, 8)}`;
  localStorage.setItem(KEPT_UNDER, fresh);
  return fresh;
}
