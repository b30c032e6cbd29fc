import type { Actor, Role } from '../src/roles.ts';

let made = 0;

/** A fresh id, the same in every run. */
export function testId(): string {
  made += 1;
  return `00000000-0000-4000-8000-${made.toString(16).padStart(12, '0')}`;
}

export function actor(role: Role = 'technician'): Actor {
  return { person: testId(), role };
}
