import { vi } from 'vitest';

/** What the pages ask of a browser when they are loaded, for tests that need no page. */
const kept = new Map<string, string>();
vi.stubGlobal('navigator', { language: 'en-GB', languages: ['en-GB'] });
vi.stubGlobal('localStorage', {
  getItem: (key: string) => kept.get(key) ?? null,
  setItem: (key: string, value: string) => kept.set(key, value),
});
