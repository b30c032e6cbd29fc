import { hourOf } from '@nodo/core';
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { MarkPad } from '../../src/instruments/bobbin/marks/MarkPad.tsx';
import { AnswerButton } from '../../src/ticket/check/AnswerButton.tsx';
import { useKeys } from '../../src/ui/useKeys.ts';

afterEach(cleanup);

describe('an answer', () => {
  const press = (target: Element | Window, key = '2', more = {}) =>
    fireEvent.keyDown(target, { key, ...more });

  it('is given by its digit, once for a key that is held, and by no other key', () => {
    const onPress = vi.fn();
    render(<AnswerButton digit={2} text="Lint" onPress={onPress} />);
    press(window, '3');
    press(window, '2', { ctrlKey: true });
    press(window);
    press(window, '2', { repeat: true });
    expect(onPress).toHaveBeenCalledTimes(1);
  });

  it('is not given by what somebody types, nor under an open sheet', () => {
    const onPress = vi.fn();
    render(
      <>
        <AnswerButton digit={2} text="Lint" onPress={onPress} />
        <input aria-label="Note" />
      </>,
    );
    press(screen.getByLabelText('Note'));
    const { unmount } = render(<div role="dialog" />);
    press(window);
    unmount();
    expect(onPress).not.toHaveBeenCalled();
    press(window);
    expect(onPress).toHaveBeenCalledTimes(1);
  });

  it('has no key from the tenth on', () => {
    const onPress = vi.fn();
    render(<AnswerButton digit={10} text="Lint" onPress={onPress} />);
    press(window, '10');
    press(window, '1');
    fireEvent.click(screen.getByText('Lint'));
    expect(onPress).toHaveBeenCalledTimes(1);
  });
});

function Takes({ keys, onKey }: { readonly keys: readonly string[]; readonly onKey: () => void }) {
  useKeys(Object.fromEntries(keys.map((key) => [key, onKey])));
  return null;
}

describe('a key that two want', () => {
  it('goes to the one that came to it last, and back when that one has gone', () => {
    const below = vi.fn();
    const over = vi.fn();
    const shown = (open: boolean) => (
      <>
        <Takes keys={open ? ['h', 'Escape'] : ['h']} onKey={over} />
        <Takes keys={['Escape']} onKey={below} />
      </>
    );
    const { rerender } = render(shown(false));
    rerender(shown(true));
    fireEvent.keyDown(window, { key: 'Escape' });
    expect([over.mock.calls.length, below.mock.calls.length]).toEqual([1, 0]);
    rerender(shown(false));
    fireEvent.keyDown(window, { key: 'Escape' });
    expect([over.mock.calls.length, below.mock.calls.length]).toEqual([1, 1]);
  });
});

describe('a map for marks', () => {
  const moved = (key: string, hour: number, out: number) => {
    const onPlace = vi.fn();
    render(
      <MarkPad place={{ hour: hourOf(hour), out }} onPlace={onPlace}>
        map
      </MarkPad>,
    );
    fireEvent.keyDown(screen.getByRole('button'), { key });
    cleanup();
    return onPlace.mock.calls[0]?.[0] as unknown;
  };

  it('is gone round by half hours, over twelve in either way', () => {
    expect(moved('ArrowRight', 11.5, 0.8)).toEqual({ hour: 0, out: 0.8 });
    expect(moved('ArrowLeft', 0, 0.8)).toEqual({ hour: 11.5, out: 0.8 });
  });

  it('is gone outwards by tenths, to its rim and its middle', () => {
    expect(moved('ArrowUp', 3, 0.95)).toEqual({ hour: 3, out: 1 });
    expect(moved('ArrowDown', 3, 0.05)).toEqual({ hour: 3, out: 0 });
    expect(moved('ArrowUp', 3, 0.5)).toEqual({ hour: 3, out: 0.6 });
  });

  it('begins at twelve, takes Enter as where it is, and takes nothing where nothing may be put', () => {
    const onPlace = vi.fn();
    const { rerender } = render(
      <MarkPad place={undefined} onPlace={onPlace}>
        map
      </MarkPad>,
    );
    const pad = screen.getByRole('button');
    fireEvent.keyDown(pad, { key: 'ArrowRight' });
    // A press of Enter comes as a click without a place.
    fireEvent.click(pad, { detail: 0 });
    expect(onPlace.mock.calls).toEqual([[{ hour: 0, out: 0.8 }], [{ hour: 0, out: 0.8 }]]);
    rerender(
      <MarkPad place={undefined} onPlace={undefined}>
        map
      </MarkPad>,
    );
    expect(screen.queryByRole('button')).toBeNull();
  });
});
