import { toDay } from '@nodo/kernel';
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { CheckBoxes } from '../../src/ui/CheckBox.tsx';
import { DayField } from '../../src/ui/DayField.tsx';
import { TextField } from '../../src/ui/Field.tsx';
import { Form } from '../../src/ui/Form.tsx';
import { ReasonForm } from '../../src/ui/ReasonForm.tsx';
import { Select } from '../../src/ui/Select.tsx';

import { choose, chooseDay } from './choose.ts';

afterEach(cleanup);

/** Types into the box of this name. */
function type(name: string, text: string): void {
  fireEvent.change(screen.getByLabelText(name), { target: { value: text } });
}

describe('a field', () => {
  it('is tied to its label, its hint and what is wrong with it', () => {
    render(<TextField label="Tag" hint="As it hangs." error="Another machine has it." />);
    const box = screen.getByLabelText('Tag');
    const told = (box.getAttribute('aria-describedby') ?? '')
      .split(' ')
      .map((id) => document.getElementById(id)?.textContent);
    expect(told).toEqual(['As it hangs.', 'Another machine has it.']);
    expect(box.getAttribute('aria-invalid')).toBe('true');
  });

  it('tells what is typed into it', () => {
    const onText = vi.fn();
    render(<TextField label="Tag" value="" onText={onText} />);
    type('Tag', '27');
    expect(onText.mock.calls).toEqual([['27']]);
  });

  it('tells which of its options was chosen, as what it is', () => {
    const onChoose = vi.fn();
    const options = [
      [null, 'Not known'],
      [80, '80/12'],
      [90, '90/14'],
    ] as const;
    const { rerender } = render(
      <Select label="Size" value={80} onChoose={onChoose} options={options} />,
    );
    const box = () => screen.getByRole('combobox', { name: 'Size' });
    expect(box().textContent).toBe('80/12');
    choose('Size', '90/14');
    choose('Size', 'Not known');
    expect(onChoose.mock.calls).toEqual([[90], [null]]);
    rerender(<Select label="Size" value={null} onChoose={onChoose} options={options} />);
    expect(box().textContent).toBe('Not known');
  });

  it('of a day tells the day that is chosen, and none when it is cleared', () => {
    const onChange = vi.fn();
    render(<DayField label="Ready" value={toDay('2026-03-02')} onChange={onChange} />);
    chooseDay('Ready', '2026-03-04');
    fireEvent.click(screen.getByRole('button', { name: 'No day: Ready' }));
    expect(onChange.mock.calls).toEqual([[toDay('2026-03-04')], [undefined]]);
  });
});

describe('boxes to tick', () => {
  const options = [
    ['lead', 'Lead'],
    ['foot', 'Foot'],
  ] as const;

  it('add to what is ticked, and take from it', () => {
    const onTick = vi.fn();
    render(<CheckBoxes options={options} ticked={['lead', 'of another list']} onTick={onTick} />);
    fireEvent.click(screen.getByLabelText('Foot'));
    fireEvent.click(screen.getByLabelText('Lead'));
    expect(onTick.mock.calls).toEqual([
      [['lead', 'of another list', 'foot']],
      [['of another list']],
    ]);
  });
});

describe('a form', () => {
  it('is answered by the page, with itself', () => {
    const onSubmit = vi.fn((form: HTMLFormElement) => new FormData(form).get('name'));
    render(
      <Form aria-label="form" onSubmit={onSubmit}>
        <TextField label="Name" name="name" defaultValue="Teal zigzag" />
      </Form>,
    );
    // False: nothing is left for the browser to do.
    expect(fireEvent.submit(screen.getByLabelText('form'))).toBe(false);
    expect(onSubmit.mock.results.map(({ value }) => value as unknown)).toEqual(['Teal zigzag']);
  });

  it('for a reason wants three letters, and leaves out the spaces around them', () => {
    const onSubmit = vi.fn();
    render(<ReasonForm label="Why?" submit="Waive it" onSubmit={onSubmit} />);
    const button = screen.getByText<HTMLButtonElement>('Waive it');
    type('Why?', ' no ');
    expect(button.disabled).toBe(true);
    type('Why?', ' not here ');
    expect(button.disabled).toBe(false);
    fireEvent.click(button);
    expect(onSubmit.mock.calls).toEqual([['not here']]);
  });
});
