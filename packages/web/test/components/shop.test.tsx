import { toDay } from '@nodo/kernel';
import { type DaysOff, USUAL_TIME, type WorkingTime } from '@nodo/shop';
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { ServiceValues, type TypedValue } from '../../src/features/machines/ServiceValues.tsx';
import { DaysOffList } from '../../src/shop/profile/DaysOffList.tsx';
import { HoursRow } from '../../src/shop/profile/Hours.tsx';

import { chooseDay, optionsOf } from './choose.ts';

afterEach(cleanup);

const type = (name: string, text: string) =>
  fireEvent.change(screen.getByLabelText(name), { target: { value: text } });

describe('days off', () => {
  const fair: DaysOff = { from: toDay('2026-03-05'), until: toDay('2026-03-06'), words: 'Fair' };
  const show = () => {
    const onChange = vi.fn<(days: DaysOff[]) => void>();
    render(<DaysOffList add="Add days off" days={[fair]} onChange={onChange} />);
    return onChange;
  };
  const add = () => screen.getByText<HTMLButtonElement>('Add days off');

  const today = toDay('2026-03-10');
  const later = toDay('2026-03-12');
  // The calendar opens with the month of now.
  beforeEach(() => {
    vi.useFakeTimers({ toFake: ['Date'], now: new Date('2026-03-15T12:00:00Z') });
  });
  afterEach(() => {
    vi.useRealTimers();
  });

  it('are one day where no end is said, for a reason or none', () => {
    const onChange = show();
    expect(add().disabled).toBe(true);
    chooseDay('From', today);
    type('Why', '  Dentist ');
    fireEvent.click(add());
    expect(onChange).toHaveBeenCalledWith([fair, { from: today, until: today, words: 'Dentist' }]);
    // Ready for the next.
    expect(screen.getByRole('button', { name: 'From: choose a day' })).toBeTruthy();
  });

  it('do not end before they begin', () => {
    const onChange = show();
    chooseDay('From', later);
    chooseDay('Until', today);
    expect(add().disabled).toBe(true);
    chooseDay('From', today);
    chooseDay('Until', later);
    fireEvent.click(add());
    expect(onChange.mock.calls[0]?.[0].at(-1)).toMatchObject({ from: today, until: later });
  });

  it('are taken away one by one', () => {
    const onChange = show();
    fireEvent.click(screen.getByLabelText(/^Remove /));
    expect(onChange).toHaveBeenCalledWith([]);
  });
});

describe('a week of work', () => {
  const show = (time: WorkingTime = USUAL_TIME) => {
    const onChange = vi.fn<(time: WorkingTime) => void>();
    render(
      <table>
        <tbody>
          <HoursRow name="Mirra" time={time} onChange={onChange} />
        </tbody>
      </table>,
    );
    return (): WorkingTime | undefined => onChange.mock.lastCall?.[0];
  };

  it('stands in one row, each day as it is typed', () => {
    const last = show();
    expect(screen.getByLabelText<HTMLInputElement>('Mirra, Mon, hours').value).toBe('9:00–17:00');
    type('Mirra, Mon, hours', '8:30-12:15');
    expect(last()?.week[0]).toEqual([510, 735]);
    expect(last()?.week[1]).toEqual([540, 1020]);
    type('Mirra, Sat, hours', '10-14');
    expect(last()?.week[5]).toEqual([600, 840]);
  });

  it('has no work on an empty day, and cannot be saved while a day is not readable', () => {
    const last = show();
    type('Mirra, Mon, hours', '');
    expect(last()?.week[0]).toBeNull();
    type('Mirra, Tue, hours', '9 to');
    expect(last()?.week[1]).toEqual([Number.NaN, Number.NaN]);
    expect(screen.getByLabelText('Mirra, Tue, hours').getAttribute('aria-invalid')).toBe('true');
  });

  it('shows days off when they are asked for', () => {
    show();
    expect(screen.queryByText('Add days off')).toBeNull();
    fireEvent.click(screen.getByRole('button', { name: 'Days off, Mirra: none' }));
    expect(screen.getByText('Add days off')).toBeTruthy();
  });

  it('shows no share where none was typed', () => {
    const last = show({ ...USUAL_TIME, share: Number.NaN });
    const share = screen.getByLabelText<HTMLInputElement>('Mirra, Of it at repairs, per cent');
    expect(share.value).toBe('');
    type('Mirra, Of it at repairs, per cent', '50');
    expect(last()?.share).toBe(50);
  });
});

describe('the values of a manual', () => {
  const value: TypedValue = { quantity: 'hook-gap', least: '0.05', most: '0.1', from: 'page 3' };
  const show = (values: readonly TypedValue[]) => {
    const onChange = vi.fn<(values: readonly TypedValue[]) => void>();
    render(<ServiceValues values={values} onChange={onChange} />);
    return (): readonly TypedValue[] | undefined => onChange.mock.lastCall?.[0];
  };
  const name = 'Hook to scarf gap';

  it('are added one of a kind, blank', () => {
    const last = show([value]);
    expect(optionsOf('Add a value')).not.toContain('Hook to scarf gap');
    fireEvent.keyDown(screen.getByRole('option', { name: 'Needle bar height' }), { key: 'Enter' });
    expect(last()).toEqual([value, { quantity: 'bar-height', least: '', most: '', from: '' }]);
  });

  it('are changed each for itself', () => {
    const other: TypedValue = { ...value, quantity: 'bar-height' };
    const last = show([other, value]);
    type(`${name}, least`, '0,04');
    expect(last()).toEqual([other, { ...value, least: '0,04' }]);
    type(`${name}, most`, '0.2');
    expect(last()).toEqual([other, { ...value, most: '0.2' }]);
    type(`${name}, Manual, page`, 'page 4');
    expect(last()).toEqual([other, { ...value, from: 'page 4' }]);
    fireEvent.click(screen.getByText(`Remove ${name}`));
    expect(last()).toEqual([other]);
  });
});
