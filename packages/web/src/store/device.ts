const KEPT_UNDER = 'nodo.device';
const UNNAMED = 'screen-';

/** This browser's name among the shop's screens: given by somebody, else made once. */
export function deviceId(): string {
  const known = localStorage.getItem(KEPT_UNDER);
  if (known) return known;
  const fresh = `${UNNAMED}${crypto.randomUUID().slice(0, 8)}`;
  localStorage.setItem(KEPT_UNDER, fresh);
  return fresh;
}

/** Its name, if somebody gave it one. */
export function deviceName(): string {
  const known = deviceId();
  return isNamed(known) ? known : '';
}

export function nameDevice(name: string): void {
  localStorage.setItem(KEPT_UNDER, name);
}

export function isNamed(device: string): boolean {
  return device !== '' && !device.startsWith(UNNAMED);
}
