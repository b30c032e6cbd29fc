import { toDay } from '@nodo/kernel';
import { type DaysOff, USUAL_TIME, type WorkingTime } from '@nodo/shop';
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { ServiceValues, type TypedValue } from '../../src/features/machines/ServiceValues.tsx';
import { DaysOffList } from '../../src/features/shopProfile/DaysOffList.tsx';
import { Hours } from '../../src/features/shopProfile/Hours.tsx';

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

  it('are one day where no end is said, for a reason or none', () => {
    const onChange = show();
    expect(add().disabled).toBe(true);
    type('From', '2026-03-09');
    type('Why', '  Dentist ');
    fireEvent.click(add());
    const day = toDay('2026-03-09');
    expect(onChange).toHaveBeenCalledWith([fair, { from: day, until: day, words: 'Dentist' }]);
    // Ready for the next.
    expect(screen.getByLabelText<HTMLInputElement>('From').value).toBe('');
  });

  it('do not end before they begin', () => {
    const onChange = show();
    type('From', '2026-03-09');
    type('Until', '2026-03-08');
    expect(add().disabled).toBe(true);
    type('Until', '2026-03-10');
    fireEvent.click(add());
    expect(onChange.mock.calls[0]?.[0].at(-1)).toMatchObject({ until: toDay('2026-03-10') });
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
    render(<Hours name="Mirra" time={time} onChange={onChange} />);
    return (): WorkingTime | undefined => onChange.mock.lastCall?.[0];
  };

  it('begins and ends each day when somebody says', () => {
    const last = show();
    expect(screen.getByLabelText<HTMLInputElement>('Mirra, Mon from').value).toBe('09:00');
    type('Mirra, Mon from', '08:30');
    expect(last()?.week[0]).toEqual([510, 1020]);
    type('Mirra, Mon until', '12:15');
    expect(last()?.week[0]).toEqual([540, 735]);
    expect(last()?.week[1]).toEqual([540, 1020]);
  });

  it('has no work on a day whose time was taken out, and nine to five where it is put in', () => {
    const last = show();
    type('Mirra, Mon from', '');
    expect(last()?.week[0]).toBeNull();
    type('Mirra, Sat from', '10:00');
    expect(last()?.week[5]).toEqual([600, 1020]);
  });

  it('shows no share where none was typed', () => {
    const last = show({ ...USUAL_TIME, share: Number.NaN });
    const share = screen.getByLabelText<HTMLInputElement>('Mirra, Per cent of it at repairs');
    expect(share.value).toBe('');
    type('Mirra, Per cent of it at repairs', '50');
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
    const added = screen.getByLabelText<HTMLSelectElement>('Add a value');
    expect([...added.options].map((option) => option.value)).not.toContain('hook-gap');
    fireEvent.change(added, { target: { value: 'bar-height' } });
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
