import { SHIPPED } from '@nodo/knowledge';
import { POWER_OFF } from '@nodo/ticket';
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { useState } from 'react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { Story } from '../../../ticket/test/story.ts';
import { Choices, Toggles } from '../../src/instruments/frame/bits.tsx';
import { InstrumentContext } from '../../src/instruments/frame/InstrumentContext.tsx';
import type { InstrumentBench } from '../../src/instruments/frame/instrumentBench.ts';
import { Looks } from '../../src/instruments/frame/Looks.tsx';
import { OpenFirst } from '../../src/instruments/frame/OpenFirst.tsx';

afterEach(cleanup);

/** A bench with a ticket of its own, and what is recorded on it. */
function bench({ mayFind = true, mayWork = true, story = new Story('front-loading') } = {}) {
  const record = vi.fn(() => true);
  const model = SHIPPED.modelOf('front-loading');
  if (!model) throw new Error('no such family');
  const value: InstrumentBench = {
    model,
    machine: undefined,
    card: undefined,
    visits: 'no-such-card',
    onTicket: { ticket: story.ticket, record, mayFind, mayWork },
  };
  return { value, record };
}

describe('answers of an instrument', () => {
  const options = [
    ['nick', 'Nick'],
    ['lint', 'Lint'],
  ] as const;

  it('of which any are true are taken and given back, until nothing of it is said', () => {
    const onChange = vi.fn<(values: ReadonlySet<string>) => void>();
    const show = (values: ReadonlySet<string> | undefined) => (
      <Toggles
        legend="What is there?"
        values={values}
        options={options}
        none="Nothing"
        onChange={onChange}
      />
    );
    const { rerender } = render(show(undefined));
    const isTicked = (name: string) => screen.getByLabelText<HTMLInputElement>(name).checked;
    // Nobody looked: that is not nothing.
    expect(isTicked('Nothing')).toBe(false);
    fireEvent.click(screen.getByLabelText('Lint'));
    rerender(show(new Set(['lint'])));
    fireEvent.click(screen.getByLabelText('Nick'));
    fireEvent.click(screen.getByLabelText('Lint'));
    fireEvent.click(screen.getByLabelText('Nothing'));
    expect(onChange.mock.calls.map(([values]) => [...values])).toEqual([
      ['lint'],
      ['lint', 'nick'],
      [],
      [],
    ]);
    rerender(show(new Set()));
    expect(isTicked('Nothing')).toBe(true);
  });

  it('of which one is true are chosen with one tap', () => {
    const onChoose = vi.fn();
    render(<Choices legend="How?" value="nick" options={options} onChoose={onChoose} />);
    fireEvent.click(screen.getByLabelText('Lint'));
    expect(onChoose.mock.calls).toEqual([['lint']]);
  });
});

/** A look as a part of an instrument holds it. */
function Held() {
  const [said, setSaid] = useState<'up' | 'lifts' | 'lies'>();
  return (
    <Looks
      said={said}
      onSay={setSaid}
      words={{
        how: 'Let it stand.',
        question: 'What does it do?',
        answers: { up: 'It stands', lifts: 'It lifts', lies: 'It lies down' },
      }}
      check="case-stand"
      findings={{ up: undefined, lifts: 'stand-lifts', lies: 'stand-lies' }}
    />
  );
}

describe('a look that shows no number', () => {
  const show = (value: InstrumentBench) =>
    render(
      <InstrumentContext value={value}>
        <Held />
      </InstrumentContext>,
    );
  const keep = () => screen.queryByRole<HTMLButtonElement>('button');

  it('is kept once something was said: what was seen, and that the others were not', () => {
    const { value, record } = bench();
    show(value);
    expect(keep()?.disabled).toBe(true);
    fireEvent.click(screen.getByLabelText('It lifts'));
    fireEvent.click(keep() as HTMLButtonElement);
    fireEvent.click(screen.getByLabelText('It stands'));
    fireEvent.click(keep() as HTMLButtonElement);
    expect(record.mock.calls).toEqual([
      [
        'findings-recorded',
        { check: 'case-stand', answers: { 'stand-lifts': 'yes', 'stand-lies': 'no' } },
      ],
      [
        'findings-recorded',
        { check: 'case-stand', answers: { 'stand-lifts': 'no', 'stand-lies': 'no' } },
      ],
    ]);
  });

  it('is kept by nobody who may not find, and nowhere without a ticket', () => {
    show(bench({ mayFind: false }).value);
    expect(keep()).toBeNull();
    cleanup();
    show({ ...bench().value, onTicket: undefined });
    expect(keep()).toBeNull();
  });
});

describe('what must be off the machine', () => {
  const show = (value: InstrumentBench) =>
    render(
      <InstrumentContext value={value}>
        <OpenFirst check="case-stand" />
      </InstrumentContext>,
    );

  it('is said step by step: the power first, then what is taken off', () => {
    const plugged = bench();
    show(plugged.value);
    fireEvent.click(screen.getByRole('button'));
    expect(plugged.record.mock.calls).toEqual([['action-done', { action: POWER_OFF }]]);
    cleanup();
    const unplugged = bench({
      story: new Story('front-loading').must('action-done', { action: POWER_OFF }),
    });
    show(unplugged.value);
    fireEvent.click(screen.getByRole('button'));
    expect(unplugged.record.mock.calls).toMatchObject([['machine-opened', {}]]);
  });

  it('is no matter where nothing can be done', () => {
    show(bench({ mayWork: false }).value);
    expect(screen.queryByRole('button')).toBeNull();
  });
});
