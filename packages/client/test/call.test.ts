import { afterEach, expect, it, vi } from 'vitest';
import { caller } from '../src/call.ts';

afterEach(() => vi.restoreAllMocks());

const answered = async () => new Response('{}', { status: 200 });
const limitOf = async (name: 'readBackups' | 'makeBackup' | 'setBackupPassphrase') => {
  const timeout = vi.spyOn(AbortSignal, 'timeout');
  await caller(answered, () => undefined)({ name, params: {}, body: undefined } as never);
  return timeout.mock.lastCall?.[0] ?? 0;
};

it('waits for what is slow by its nature longer than for a list', async () => {
  const list = await limitOf('readBackups');
  expect(list).toBeLessThan(15_000);
  expect(await limitOf('makeBackup')).toBeGreaterThan(10 * list);
  expect(await limitOf('setBackupPassphrase')).toBeGreaterThan(10 * list);
});

it('a server that does not answer is told as out of reach, with no refusal', async () => {
  const never = caller(
    () => Promise.reject(new DOMException('too late', 'TimeoutError')),
    () => undefined,
  );
  const answer = await never({ name: 'makeBackup', params: {}, body: undefined } as never);
  expect(answer).toEqual({ error: { kind: 'unreachable' } });
});
