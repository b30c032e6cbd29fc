import { act, renderHook } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import { z } from 'zod';
import { useSchemaForm } from '../../src/ui/useSchemaForm.ts';

/** An amount is read in its currency: without one it is none. */
const schema = z.pipe(
  z.transform(({ currency, amount }: { currency: string; amount: string }): unknown => ({
    currency,
    amount: currency === '' || amount === '' ? undefined : Number(amount),
  })),
  z.object({ currency: z.string().min(1, 'Which?'), amount: z.number('How much?') }),
);

function begin() {
  return renderHook(() => useSchemaForm(schema, { currency: '', amount: '12' })).result;
}

describe('a form of a schema', () => {
  it('says nothing before the first try, and goes on only with what the schema read', async () => {
    const form = begin();
    const onReady = vi.fn();
    expect(form.current.errorOf('currency')).toBeUndefined();
    act(() => form.current.set({ currency: 'EUR' }));
    await act(() => form.current.submit(onReady));
    expect(onReady.mock.calls).toEqual([[{ currency: 'EUR', amount: 12 }]]);
  });

  it('keeps what was typed when it does not pass, and tells the field', async () => {
    const form = begin();
    const [onReady, onBad] = [vi.fn(), vi.fn()];
    await act(() => form.current.submit(onReady, onBad));
    expect([onReady.mock.calls.length, onBad.mock.calls.length]).toEqual([0, 1]);
    expect(form.current.errorOf('currency')).toBe('Which?');
    expect(form.current.errorOf('amount')).toBe('How much?');
    expect(form.current.values).toEqual({ currency: '', amount: '12' });
  });

  it('judges every field again when one of them changes', async () => {
    const form = begin();
    await act(() => form.current.submit(vi.fn()));
    await act(async () => form.current.set({ currency: 'EUR' }));
    expect(form.current.errorOf('currency')).toBeUndefined();
    expect(form.current.errorOf('amount')).toBeUndefined();
    await act(async () => form.current.set({ amount: '' }));
    expect(form.current.errorOf('amount')).toBe('How much?');
  });

  it('begins again as if nothing had been sent', async () => {
    const form = begin();
    await act(() => form.current.submit(vi.fn()));
    act(() => form.current.reset({ currency: '', amount: '' }));
    expect(form.current.errorOf('currency')).toBeUndefined();
    expect(form.current.now()).toEqual({ currency: '', amount: '' });
  });
});
