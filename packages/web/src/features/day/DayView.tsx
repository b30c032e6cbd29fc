import { type DaySheet, pathTo } from '@nodo/api';
import { type Day, dayAfter, readDay } from '@nodo/kernel';
import type { RackEntry } from '@nodo/ticket';
import { Printer } from 'lucide-react';
import { type ReactNode, useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { useCountTillMutation, useDaySheetQuery, useRackQuery } from '../../api/client.ts';
import { m, write } from '../../messages/index.ts';
import { later } from '../../messages/later.ts';
import { AmountField } from '../../session/AmountField.tsx';
import { FormError } from '../../session/FormError.tsx';
import { NotRead } from '../../session/NotRead.tsx';
import { useMoney } from '../../session/useMoney.ts';
import { usePeopleById } from '../../session/usePeopleById.ts';
import { shopClock } from '../../time/shopTime.ts';
import { Button } from '../../ui/Button.tsx';
import { DayField } from '../../ui/DayField.tsx';
import { TextField } from '../../ui/Field.tsx';
import { Form } from '../../ui/Form.tsx';
import { PaperLink } from '../../ui/PaperLink.tsx';
import { Tag } from '../../ui/Tag.tsx';
import { Sell } from './Sell.tsx';

/** What a day came to: money, what came and went, and in the evening what is left open. */
export default function DayView() {
  const [address, setAddress] = useSearchParams();
  const { day: today } = shopClock();
  const day = readDay(address.get('day') ?? '') ?? today;
  const { currentData, error, refetch } = useDaySheetQuery(day, {
    refetchOnMountOrArgChange: true,
  });
  const money = useMoney();
  const words = later.day;
  if (!currentData) return <NotRead title={words.failed} fault={error} again={refetch} />;
  return (
    <section className="max-w-6xl gutter py-4 print:p-0" aria-labelledby="day-title">
      <div className="mb-4 flex flex-wrap items-end gap-4">
        <h1 id="day-title" className="mr-auto text-2xl font-bold">
          {words.title(write.plainDay(day))}
        </h1>
        <DayField
          className="print:hidden"
          label={words.day}
          mayBeNone={false}
          value={day}
          onChange={(chosen) => chosen !== undefined && setAddress({ day: chosen })}
        />
        <Button className="print:hidden" onClick={() => window.print()}>
          <Printer aria-hidden size={18} /> {words.print}
        </Button>
      </div>
      <div className="grid gap-x-10 lg:grid-cols-[minmax(0,1fr)_minmax(0,26rem)] print:block">
        <div className="lg:order-2">
          <Takings sheet={currentData} />
          <Till sheet={currentData} onCounted={() => void refetch()} />
          <Part title={words.sales} count={currentData.sales.length}>
            <ul>
              {currentData.sales.map((sale) => (
                <li key={sale.id} className="flex flex-wrap items-center gap-x-4 py-1">
                  {words.sold(
                    write.clock(sale.at),
                    money.say(sale.total),
                    later.bench.closing.paidBy[sale.how],
                    sale.lines
                      .map((line) => m.life.sheet.counted(line.count, line.words))
                      .join(', '),
                  )}
                  <PaperLink href={pathTo('readSaleReceipt', { sale: sale.id })}>
                    {words.sell.receipt}
                  </PaperLink>
                </li>
              ))}
            </ul>
            {day === today && <Sell onSold={() => void refetch()} />}
          </Part>
        </div>
        <div>
          <Lines
            title={words.takenIn}
            lines={currentData.takenIn.map(({ at, line }) => [line, write.clock(at)])}
          />
          <HandedOut sheet={currentData} />
          {day === today && <LeftOpen today={today} />}
        </div>
      </div>
    </section>
  );
}

function Takings({ sheet: { takings, payments } }: { readonly sheet: DaySheet }) {
  const money = useMoney();
  const people = usePeopleById();
  const words = later.day;
  const ways = Object.entries(takings) as [keyof typeof takings, number][];
  return (
    <Part title={words.takings}>
      <dl className="grid max-w-80 grid-cols-[1fr_max-content] gap-x-6">
        {ways.map(([way, sum]) => (
          <div key={way} className="contents">
            <dt>{later.bench.closing.paidBy[way]}</dt>
            <dd className="text-right font-mono">{money.say(sum)}</dd>
          </div>
        ))}
        <div className="contents font-semibold">
          <dt className="border-t border-rule">{words.sum}</dt>
          <dd className="border-t border-rule text-right font-mono">
            {money.say(ways.reduce((total, [, sum]) => total + sum, 0))}
          </dd>
        </div>
      </dl>
      <ul className="mt-2 text-sm text-quiet">
        {payments.map(({ at, by, line, how, amount }) => (
          <li key={`${at} ${line.ticket}`}>
            {(amount < 0 ? words.gaveBack : words.payment)(
              write.clock(at),
              money.say(Math.abs(amount)),
              later.bench.closing.paidBy[how],
              line.label,
              people.get(by)?.name ?? '',
            )}
          </li>
        ))}
      </ul>
    </Part>
  );
}

/** The cash as it was counted, beside what was taken; each count stays. */
function Till({
  sheet: { day, takings, counts },
  onCounted,
}: {
  readonly sheet: DaySheet;
  readonly onCounted: () => void;
}) {
  const money = useMoney();
  const people = usePeopleById();
  const [count, { isLoading, error }] = useCountTillMutation();
  const [typed, setTyped] = useState('');
  const [note, setNote] = useState('');
  const words = later.day.till;
  const counted = money.read(typed);
  const save = async () => {
    if (counted === undefined) return;
    const kept = await count({ day, id: crypto.randomUUID(), counted, note: note.trim() });
    if (!kept.data) return;
    setTyped('');
    setNote('');
    onCounted();
  };
  return (
    <Part title={words.title}>
      <p>{words.taken(money.say(takings.cash))}</p>
      <ul>
        {counts.map((one) => (
          <li key={one.id} className="py-1">
            {words.counted(
              write.clock(one.at),
              money.say(one.counted),
              money.say(one.taken),
              people.get(one.by)?.name ?? '',
            )}
            {one.note && <bdi className="ml-2 text-quiet">{one.note}</bdi>}
          </li>
        ))}
      </ul>
      <div className="print:hidden">
        <Form row onSubmit={() => void save()}>
          <AmountField label={words.cash} value={typed} className="w-48" onText={setTyped} />
          <TextField
            label={words.note}
            value={note}
            maxLength={300}
            className="min-w-48 flex-1"
            onText={setNote}
          />
          <Button
            type="submit"
            disabled={isLoading}
            lacks={counted === undefined && m.shell.lacks.amount}
          >
            {words.save}
          </Button>
        </Form>
      </div>
      {error !== undefined && <FormError fault={error} />}
    </Part>
  );
}

function HandedOut({ sheet: { handedOut } }: { readonly sheet: DaySheet }) {
  const money = useMoney();
  const words = later.day;
  return (
    <Lines
      title={words.handedOut}
      lines={handedOut.map(({ at, line, withoutBill }) => [
        line,
        [
          write.clock(at),
          line.instead === null ? '' : m.life.neverCollected(line.instead),
          line.total === null ? words.noPrice : money.say(line.total),
          line.due !== null && line.due > 0 ? words.unpaid(money.say(line.due)) : '',
          withoutBill === null ? '' : words.withoutBill(withoutBill),
        ]
          .filter(Boolean)
          .join(', '),
      ])}
    />
  );
}

/** What the evening finds open: clocks, who does not know yet, what is promised for tomorrow. */
function LeftOpen({ today }: { readonly today: Day }) {
  const { data: rack = [] } = useRackQuery();
  const people = usePeopleById();
  const words = later.day;
  const inShop = rack.filter(({ tag }) => tag !== null);
  const tomorrow = dayAfter(today, 1);
  const clocks = inShop.filter(({ atTheClock }) => atTheClock.length > 0);
  const untold = inShop.filter(({ status, toldAt }) => status === 'closed' && toldAt === null);
  const due = inShop.filter(({ status, promised }) => status === 'open' && promised === tomorrow);
  return (
    <>
      <Lines
        title={words.clocks}
        lines={clocks.map((line) => [
          line,
          line.atTheClock.map((id) => people.get(id)?.name ?? '').join(', '),
        ])}
      />
      <Lines title={words.untold} lines={untold.map((line) => [line, line.customerPhone ?? ''])} />
      <Lines
        title={words.tomorrow}
        lines={due.map((line) => [line, m.life.standing(line.standing, line.unrepaired)])}
      />
    </>
  );
}

function Lines({
  title,
  lines,
}: {
  readonly title: string;
  readonly lines: readonly (readonly [line: RackEntry, fact: string])[];
}) {
  return (
    <Part title={title} count={lines.length}>
      {lines.length === 0 ? (
        <p className="text-quiet">{later.day.none}</p>
      ) : (
        <ul>
          {lines.map(([line, fact]) => (
            <li key={line.ticket} className="border-b border-rule last:border-0">
              <Link
                to={`/ticket/${line.ticket}`}
                className="flex min-h-11 flex-wrap items-baseline gap-x-4 py-2 hover:underline print:min-h-0 print:py-0.5"
              >
                <span className="w-13">{line.tag !== null && <Tag small tag={line.tag} />}</span>
                <bdi className="font-semibold">{line.label}</bdi>
                <bdi className="text-quiet">{line.customerName}</bdi>
                <span className="ml-auto break-words">{fact}</span>
              </Link>
            </li>
          ))}
        </ul>
      )}
    </Part>
  );
}

function Part({
  title,
  count,
  children,
}: {
  readonly title: string;
  readonly count?: number;
  readonly children: ReactNode;
}) {
  return (
    <section className="mb-6" aria-label={title}>
      <h2 className="text-lg font-semibold">
        {title}
        {count !== undefined && <span className="ml-2 font-normal text-quiet">{count}</span>}
      </h2>
      {children}
    </section>
  );
}
