import type { CustomerView } from '@nodo/ticket';
import { useSharedQuery } from '../../api/client.ts';
import { Silhouette } from '../../drawing/Silhouette.tsx';
import { faultWords } from '../../messages/errors.ts';
import { m, write } from '../../messages/index.ts';
import { later } from '../../messages/later.ts';
import { setShopZone } from '../../time/shopTime.ts';
import { PhoneLink } from '../../ui/PhoneLink.tsx';
import { Blank, Sewing } from '../../ui/Stitches.tsx';

const READ_AGAIN_MS = 60_000;

/** What a customer sees who follows a link: one machine, read only. */
export default function SharedView({ token }: { readonly token: string }) {
  const { data, error } = useSharedQuery(token, { pollingInterval: READ_AGAIN_MS });
  const words = later.shared;
  if (!data) {
    return (
      <main className="grid min-h-dvh place-items-center p-6">
        {error ? (
          <Blank title={words.failedTitle} text={faultWords(error, words.unreachable)} />
        ) : (
          <Sewing label={m.shell.loading} />
        )}
      </main>
    );
  }
  setShopZone(data.timeZone);
  return (
    <main className="mx-auto flex min-h-dvh max-w-xl flex-col gutter gap-6 py-10">
      <p className="text-quiet">{data.shop}</p>
      <div className="flex items-end gap-6">
        <span className="w-28 shrink-0 border-b-6 border-cloth">
          <Silhouette family={data.family} />
        </span>
        <div className="min-w-0">
          <h1 className="text-3xl font-bold break-words">
            <bdi>{data.label}</bdi>
          </h1>
          <p className="mt-1 text-quiet">{words.takenIn(write.day(data.takenInAt))}</p>
        </div>
      </div>
      <Stages state={data.state} />
      <p className="border-l-6 border-ink bg-paper px-6 py-4 text-lg font-semibold" role="status">
        {words.state(data.state)}
      </p>
      {data.words && (
        <section>
          <h2 className="text-sm font-semibold text-quiet">{words.words}</h2>
          <blockquote className="break-words">
            <bdi>“{data.words}”</bdi>
          </blockquote>
        </section>
      )}
      {data.asked && (
        <p className="text-lg">
          {words.asked(write.money(data.asked.amount, data.currency), data.asked.words)}
        </p>
      )}
      {data.promised && <p>{words.promised(write.plainDay(data.promised))}</p>}
      {data.unrepaired && (
        <p className="font-semibold text-hazard">{words.unrepaired(data.unrepaired)}</p>
      )}
      {data.bill && (
        <p className="text-lg font-semibold">
          {words.bill(write.money(data.bill.total, data.bill.currency))}
        </p>
      )}
      <section>
        <h2 className="text-sm font-semibold text-quiet">{words.done}</h2>
        {data.done.length === 0 && (
          <p>{data.unrepaired ? words.nothingRepaired : words.nothingDone}</p>
        )}
        <ul className="list-disc pl-6">
          {data.done.map((one) => (
            <li key={one} className="py-1">
              {one}
            </li>
          ))}
        </ul>
      </section>
      {(data.phone || data.openingHours) && (
        <section>
          <h2 className="text-sm font-semibold text-quiet">{words.questions}</h2>
          {data.phone && <PhoneLink number={data.phone} />}
          {data.openingHours && <p className="break-words">{data.openingHours}</p>}
        </section>
      )}
      <footer className="mt-auto text-sm text-quiet">
        <p>{words.changed(write.moment(data.changedAt))}</p>
        <p>{words.until(write.day(data.until))}</p>
      </footer>
    </main>
  );
}

/** How far along the four stages of a repair each state is. */
const STAGE_OF: Readonly<Record<CustomerView['state'], number>> = {
  away: 0,
  waiting: 1,
  'at-the-bench': 2,
  'ask-you': 2,
  'part-awaited': 2,
  ready: 3,
  unrepaired: 3,
  collected: 4,
};

/** Taken in, at the bench, to be collected, collected: a seam that is sewn as far as the machine has come. */
function Stages({ state }: { readonly state: CustomerView['state'] }) {
  const reached = STAGE_OF[state];
  return (
    <ol className="grid grid-cols-4 gap-1" aria-label={later.shared.stagesTitle}>
      {later.shared.stages.map((name, index) => {
        const isReached = index < reached;
        return (
          <li key={name} aria-current={index === reached - 1 ? 'step' : undefined}>
            <span
              aria-hidden="true"
              className={`block border-t-4 ${isReached ? 'border-below' : 'border-dashed border-edge'}`}
            />
            <span
              className={`mt-1 block text-sm leading-snug ${index === reached - 1 ? 'font-semibold' : 'text-quiet'}`}
            >
              {name}
              {isReached && <span className="sr-only">, {later.shared.reached}</span>}
            </span>
          </li>
        );
      })}
    </ol>
  );
}
