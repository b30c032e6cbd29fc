import { KNOWLEDGE, SHIPPED } from '@nodo/knowledge';
import { mayTakeIn, POWER_OFF, type RecordedEvent } from '@nodo/ticket';
import { ArrowLeft, ArrowRight } from 'lucide-react';
import { type ComponentType, type ReactNode, useState } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import { twJoin } from 'tailwind-merge';
import { useMachineQuery } from '../../api/client.ts';
import { write } from '../../messages/index.ts';
import { later } from '../../messages/later.ts';
import { useSession } from '../../session/SessionContext.tsx';
import { useTables } from '../../session/useTables.ts';
import { ProvenanceLegend } from '../../ticket/ProvenanceMark.tsx';
import { TicketBar } from '../../ticket/TicketBar.tsx';
import { useTicket } from '../../ticket/TicketContext.tsx';
import { TicketGate } from '../../ticket/TicketGate.tsx';
import { causeName } from '../../ticket/words.ts';
import { Select } from '../../ui/Select.tsx';
import { InstrumentContext } from './InstrumentContext.tsx';
import { type InstrumentBench, type InstrumentName, mayDo, mayKeep } from './instrumentBench.ts';
import { PlugGate } from './PlugGate.tsx';

/** One part of an instrument: its name in the address, what it is called, what it shows. */
export interface InstrumentPart {
  readonly id: string;
  readonly title: string;
  readonly Shown: ComponentType;
  /** Hands go where the needle moves: only unplugged. */
  readonly unplugged?: true;
}

interface InstrumentProps {
  /** Its name in addresses. */
  readonly name: InstrumentName;
  /** The first is shown where none is asked for. */
  readonly parts: readonly InstrumentPart[];
}

/** An instrument, beside a ticket or alone. */
export function InstrumentView(props: InstrumentProps) {
  const { ticket: id } = useParams();
  if (id === undefined) return <Alone {...props} />;
  return (
    <TicketGate id={id}>
      <Beside {...props} />
    </TicketGate>
  );
}

function Beside({ name, parts }: InstrumentProps) {
  const { ticket, model, assessment, record, mayFind, mayWork } = useTicket();
  const { machine } = ticket.life;
  const known = useMachine(machine);
  const bench: InstrumentBench = {
    model,
    machine,
    ...known,
    onTicket: { ticket, record, mayFind, mayWork },
  };
  // An instrument shows what is there, to blame or not.
  const [first, second] = assessment.beliefs.toSorted((a, b) => b.is - a.is);
  return (
    <Instrument bench={bench} parts={parts} root={`/bench/${ticket.id}/${name}`}>
      <TicketBar />
      <p className="min-w-0 truncate text-sm text-quiet max-lg:basis-full" aria-live="polite">
        {later.instrument.likely}:{' '}
        {[first, second]
          .flatMap((belief) =>
            belief ? [`${causeName(model, belief.cause)} ${write.percent(belief.is)}`] : [],
          )
          .join(', ')}
      </p>
      {!mayKeep(bench) && (
        <p className="font-semibold">
          {ticket.status === 'open' ? later.bench.step.noRights : later.instrument.closed}
        </p>
      )}
      <WayOn />
    </Instrument>
  );
}

function Alone({ name, parts }: InstrumentProps) {
  const [query] = useSearchParams();
  const machine = query.get('machine') ?? undefined;
  const known = useMachine(machine);
  const { card } = known;
  const { tables } = useTables();
  const [chosen, setChosen] = useState('drop-in');
  const family = card?.family ?? chosen;
  const version = tables?.version ?? SHIPPED;
  const model = version.modelOf(family);
  if (!model) return null;
  const bench: InstrumentBench = { model, machine, ...known, onTicket: undefined };
  return (
    <Instrument
      bench={bench}
      parts={parts}
      root={`/${name}`}
      query={machine ? `?machine=${machine}` : ''}
    >
      {card ? (
        <p className="font-semibold">
          <Link to={`/machines/${machine ?? ''}`} className="underline underline-offset-4">
            <bdi>{card.label}</bdi>
          </Link>
        </p>
      ) : (
        <Select
          label={later.instrument.machineKind}
          value={chosen}
          className="flex-row items-center gap-3 [&>button]:w-72"
          onChoose={setChosen}
          options={[...KNOWLEDGE.families.values()].map(({ id, title }) => [id, title] as const)}
        />
      )}
      <p className="text-sm text-quiet">{later.instrument.alone}</p>
    </Instrument>
  );
}

/** The machine's card and visits, for whoever may read them: they name its owner. */
function useMachine(machine: string | undefined): Pick<InstrumentBench, 'card' | 'visits'> {
  const mayRead = mayTakeIn(useSession().person.role);
  const { data } = useMachineQuery(machine ?? '', { skip: machine === undefined || !mayRead });
  if (data) return { card: data.machine.card, visits: data.visits };
  const why = machine === undefined ? 'no-such-card' : mayRead ? 'not-read' : 'no-rights';
  return { card: undefined, visits: why };
}

function Instrument({
  bench,
  parts,
  root,
  query = '',
  children,
}: {
  readonly bench: InstrumentBench;
  readonly parts: readonly InstrumentPart[];
  readonly root: string;
  readonly query?: string;
  readonly children: ReactNode;
}) {
  const { part: asked } = useParams();
  const part = parts.find(({ id }) => id === asked) ?? parts[0];
  const [isToldAfterwards, setToldAfterwards] = useState(false);
  const isGated =
    part?.unplugged === true &&
    !isToldAfterwards &&
    mayDo(bench) &&
    bench.onTicket?.ticket.power === 'on';
  return (
    <div className="tall:min-h-0 flex flex-1 flex-col overflow-y-auto print:overflow-visible">
      <div className="flex flex-wrap items-center gap-x-4 gap-y-1 px-4 pt-1 lg:flex-nowrap print:hidden">
        <nav
          aria-label={later.instrument.partsNav}
          className="flex flex-wrap gap-x-1 lg:shrink-0 lg:flex-nowrap"
        >
          {parts.map(({ id, title }) => (
            <Link
              key={id}
              to={`${root}/${id}${query}`}
              aria-current={id === part?.id ? 'page' : undefined}
              className="inline-flex min-h-11 items-center border-b-3 border-transparent px-3 text-quiet hover:text-ink aria-[current=page]:border-own aria-[current=page]:font-semibold aria-[current=page]:text-ink"
            >
              {title}
            </Link>
          ))}
        </nav>
        <div className="ml-auto flex min-w-0 flex-wrap items-center gap-x-4 gap-y-1 lg:flex-nowrap">
          {children}
        </div>
      </div>
      {isGated && <PlugGate bench={bench} onAfterwards={() => setToldAfterwards(true)} />}
      <div className="flex-1 bg-paper px-4 pt-3 pb-6">
        {part && (
          <InstrumentContext value={isGated ? locked(bench) : bench}>
            <part.Shown key={`${bench.model.family.id} ${bench.machine ?? ''}`} />
          </InstrumentContext>
        )}
      </div>
      <div className="border-t border-rule bg-paper px-4 py-2 print:hidden">
        <ProvenanceLegend />
      </div>
    </div>
  );
}

/** Whether an entry says more than that the machine was made ready for it. */
function isReading(entry: RecordedEvent): boolean {
  if (entry.type === 'machine-opened') return false;
  const { action } = entry.body as { readonly action?: unknown };
  return action !== POWER_OFF;
}

/** Back to the bench; once something of this screen's person was saved from here, on to its next step. */
function WayOn() {
  const { ticket } = useTicket();
  const { person } = useSession();
  const [openedAt] = useState(ticket.seq);
  const isSaved = ticket.entries
    .slice(openedAt)
    .filter(({ actor, id }) => actor.person === person.id && !ticket.corrected.has(id))
    .some(isReading);
  return (
    <>
      <span role="status" className="font-semibold whitespace-nowrap empty:hidden">
        {isSaved ? later.instrument.saved : ''}
      </span>
      <Link
        to={`/bench/${ticket.id}`}
        className={twJoin(
          'inline-flex min-h-11 items-center gap-2 whitespace-nowrap',
          isSaved
            ? 'rounded-md bg-ink px-4 font-semibold text-ground'
            : 'underline underline-offset-4',
        )}
      >
        {isSaved ? (
          <>
            {later.instrument.next} <ArrowRight aria-hidden size={20} />
          </>
        ) : (
          <>
            <ArrowLeft aria-hidden size={20} /> {later.instrument.back}
          </>
        )}
      </Link>
    </>
  );
}

/** The same bench, on which nothing can be kept for now. */
function locked(bench: InstrumentBench): InstrumentBench {
  return {
    ...bench,
    onTicket: bench.onTicket && { ...bench.onTicket, mayFind: false, mayWork: false },
  };
}
