/** Small things of this device, written at once: what waits to be sent. */
export interface KeyValueStorage {
  keys(): readonly string[];
  get(key: string): string | null;
  set(key: string, value: string): void;
  remove(key: string): void;
}
