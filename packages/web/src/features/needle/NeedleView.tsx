import {
  type MachineCard,
  mayRecord,
  mayTakeIn,
  mayWorkAtBench,
  type Session,
} from '@nodo/contract';
import { KNOWLEDGE, SHIPPED } from '@nodo/knowledge';
import { ArrowLeft } from 'lucide-react';
import { type ComponentType, useState } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import { useMachineQuery } from '../../api/client.ts';
import { m, write } from '../../messages/index.ts';
import { Select } from '../../ui/Field.tsx';
import { TicketGate } from '../bench/TicketGate.tsx';
import { useAtWork } from '../bench/useAtWork.ts';
import type { ShownTicket } from '../bench/useShownTicket.ts';
import { useTables } from '../tables/useTables.ts';
import { BrokenPart } from './BrokenPart.tsx';
import { ConditionPart } from './ConditionPart.tsx';
import { FitPart } from './fit/FitPart.tsx';
import { mayKeep, type NeedleBench } from './needleBench.ts';
import { RegisterPart } from './RegisterPart.tsx';
import { SeatPart } from './seat/SeatPart.tsx';
import { WearPart } from './WearPart.tsx';

const PARTS = {
  seat: SeatPart,
  condition: ConditionPart,
  fit: FitPart,
  wear: WearPart,
  broken: BrokenPart,
  register: RegisterPart,
} as const satisfies Readonly<Record<string, ComponentType<{ readonly bench: NeedleBench }>>>;
type Part = keyof typeof PARTS;
const PART_NAMES = Object.keys(PARTS) as Part[];

function isPart(name: string): name is Part {
  return name in PARTS;
}

/** The needle instrument: beside a ticket, or alone. */
export default function NeedleView({ session }: { readonly session: Session }) {
  const { ticket: id } = useParams();
  if (id === undefined) return <Alone session={session} />;
  return (
    <TicketGate id={id} session={session}>
      {(shown) => <Beside key={id} shown={shown} session={session} />}
    </TicketGate>
  );
}

function Beside({ shown, session }: { readonly shown: ShownTicket; readonly session: Session }) {
  const { ticket } = shown;
  const { model, assessment, record } = useAtWork(shown, session);
  const { machine } = ticket.life;
  const card = useCard(machine, session);
  if (!model) return null;
  const { role } = session.person;
  const bench: NeedleBench = {
    session,
    model,
    machine,
    card,
    onTicket: {
      ticket,
      record,
      mayFind: mayRecord(role, 'findings-recorded'),
      mayWork: mayWorkAtBench(role),
    },
  };
  const [first, second] = assessment?.beliefs ?? [];
  return (
    <Instrument bench={bench} root={`/bench/${ticket.id}/needle`}>
      <span className="rounded-md bg-ink px-2.5 py-0.5 font-mono text-xl font-bold text-ground">
        {ticket.intake?.tag}
      </span>
      <p className="min-w-0 font-bold break-words">
        <bdi>{ticket.intake?.label}</bdi>
      </p>
      <p className="text-sm text-quiet" aria-live="polite">
        {m.needle.likely}:{' '}
        {[first, second]
          .flatMap((belief) =>
            belief
              ? [`${model.causes.get(belief.cause)?.name ?? ''} ${write.percent(belief.is)}`]
              : [],
          )
          .join(', ')}
      </p>
      {!mayKeep(bench) && (
        <p className="font-semibold">
          {ticket.status === 'open' ? m.bench.step.noRights : m.needle.closed}
        </p>
      )}
      <Link
        to={`/bench/${ticket.id}`}
        className="ml-auto inline-flex min-h-11 items-center gap-2 underline underline-offset-4"
      >
        <ArrowLeft aria-hidden size={20} />
        {m.needle.back}
      </Link>
    </Instrument>
  );
}

function Alone({ session }: { readonly session: Session }) {
  const [query] = useSearchParams();
  const machine = query.get('machine') ?? undefined;
  const card = useCard(machine, session);
  const { tables } = useTables();
  const [chosen, setChosen] = useState('drop-in');
  const family = card?.family ?? chosen;
  const edition = tables?.edition ?? SHIPPED;
  const model = edition.modelOf(family);
  if (!model) return null;
  const bench: NeedleBench = { session, model, machine, card, onTicket: undefined };
  return (
    <Instrument bench={bench} root="/needle" query={machine ? `?machine=${machine}` : ''}>
      {card ? (
        <p className="font-bold">
          <Link to={`/machines/${machine ?? ''}`} className="underline underline-offset-4">
            <bdi>{card.label}</bdi>
          </Link>
        </p>
      ) : (
        <Select
          label={m.needle.machineKind}
          value={chosen}
          className="flex-row items-center gap-3 [&>select]:w-72"
          onChange={({ target }) => setChosen(target.value)}
        >
          {[...KNOWLEDGE.families.values()].map(({ id, title }) => (
            <option key={id} value={id}>
              {title}
            </option>
          ))}
        </Select>
      )}
      <p className="text-sm text-quiet">{m.needle.alone}</p>
    </Instrument>
  );
}

/** The machine's card, for whoever may read it: it names its owner. */
function useCard(machine: string | undefined, session: Session): MachineCard | undefined {
  const skip = machine === undefined || !mayTakeIn(session.person.role);
  const { data } = useMachineQuery(machine ?? '', { skip });
  return data?.machine.card;
}

function Instrument({
  bench,
  root,
  query = '',
  children,
}: {
  readonly bench: NeedleBench;
  readonly root: string;
  readonly query?: string;
  readonly children: React.ReactNode;
}) {
  const { part: asked = 'seat' } = useParams();
  const part = isPart(asked) ? asked : 'seat';
  const Shown = PARTS[part];
  return (
    <div className="flex flex-1 flex-col">
      <div className="flex flex-wrap items-center gap-x-5 gap-y-1 border-b border-rule px-5 py-1.5">
        {children}
      </div>
      <nav aria-label={m.needle.partsNav} className="flex flex-wrap gap-x-1 px-4 pt-2">
        {PART_NAMES.map((name) => (
          <Link
            key={name}
            to={`${root}/${name}${query}`}
            aria-current={name === part ? 'page' : undefined}
            className="inline-flex min-h-11 items-center border-b-3 border-transparent px-3 text-quiet hover:text-ink aria-[current=page]:border-own aria-[current=page]:font-semibold aria-[current=page]:text-ink"
          >
            {m.needle.parts[name]}
          </Link>
        ))}
      </nav>
      <div className="flex-1 bg-paper px-5 pt-3 pb-6">
        <Shown key={`${bench.model.family.id} ${bench.machine ?? ''}`} bench={bench} />
      </div>
    </div>
  );
}
