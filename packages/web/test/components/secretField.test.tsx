import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, expect, it, vi } from 'vitest';
import { SecretField } from '../../src/ui/SecretField.tsx';

afterEach(cleanup);

it('hides a password, shows it for as long as is wished, and sends no form by it', () => {
  const onSubmit = vi.fn();
  const onText = vi.fn();
  render(
    <form onSubmit={onSubmit}>
      <SecretField label="Password" name="password" onText={onText} />
    </form>,
  );
  const box = screen.getByLabelText('Password');
  const show = screen.getByRole('button', { name: 'Show what is typed' });
  expect(box.getAttribute('type')).toBe('password');
  expect(show.getAttribute('aria-pressed')).toBe('false');
  fireEvent.change(box, { target: { value: 'blue scissors' } });
  expect(onText.mock.calls).toEqual([['blue scissors']]);
  fireEvent.click(show);
  expect(box.getAttribute('type')).toBe('text');
  expect(show.getAttribute('aria-pressed')).toBe('true');
  fireEvent.click(show);
  expect(box.getAttribute('type')).toBe('password');
  expect(onSubmit).not.toHaveBeenCalled();
});
