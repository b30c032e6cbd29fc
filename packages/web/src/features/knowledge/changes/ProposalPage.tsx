import { SHIPPED } from '@nodo/knowledge';
import type { Proposal } from '@nodo/tables';
import { useState } from 'react';
import { toast } from 'sonner';
import { later } from '../../../messages/later.ts';
import { useSession } from '../../../session/SessionContext.tsx';
import type { ShopTables } from '../../../session/useTables.ts';
import { Button } from '../../../ui/Button.tsx';
import { ReasonForm } from '../../../ui/ReasonForm.tsx';
import { TextLink } from '../../../ui/TextLink.tsx';
import { FromTo, subjectOf, whichOf } from './ChangeWords.tsx';
import { EffectView } from './EffectView.tsx';
import { HandWords } from './HandWords.tsx';
import { TablesFault } from './ProposalEnd.tsx';
import { useChangeTables } from './useChangeTables.ts';
import { useEffectOf } from './useEffectOf.ts';

/** One change: what, why, by whom; while it is open, what it would do. */
export function ProposalPage({
  proposal,
  tables,
}: {
  readonly proposal: Proposal;
  readonly tables: ShopTables;
}) {
  const session = useSession();
  const { change, reason, state } = proposal;
  const { version } = tables;
  const isLead = session.person.role === 'lead';
  const words = later.tables;
  return (
    <div className="max-w-4xl">
      <p className="text-quiet">{words.states[state]}</p>
      <h2 className="text-3xl font-bold text-balance">{subjectOf(change, version)}</h2>
      <p className="text-lg">{whichOf(change, version)}</p>
      <FromTo
        change={change}
        before={
          state === 'open' ? { version, name: words.from } : { version: SHIPPED, name: words.came }
        }
      />
      {change.kind === 'new-cause' && <p className="mt-1">{change.own.remedy}</p>}
      <p className="mt-3 border-l-3 border-rule pl-3 text-lg">{reason}</p>
      <HandWords proposal={proposal} />
      {state === 'open' && <Weighing proposal={proposal} tables={tables} isLead={isLead} />}
      {state === 'accepted' && isLead && <TakingBack proposal={proposal} label={words.takeBack} />}
      <p className="mt-6">
        <TextLink to="/knowledge/changes">{words.backToList}</TextLink>
      </p>
    </div>
  );
}

function Weighing({
  proposal,
  tables: { version, changes },
  isLead,
}: {
  readonly proposal: Proposal;
  readonly tables: ShopTables;
  readonly isLead: boolean;
}) {
  const { state, again } = useEffectOf(changes, proposal.change);
  const { change: send, isSending, fault } = useChangeTables();
  const words = later.tables;
  const accept = async () => {
    const accepted = await send({
      type: 'change-accepted',
      command: { proposal: proposal.id, against: version.knowledge.hash },
    });
    if (accepted === undefined) return;
    toast.success(words.acceptedToast, {
      action: {
        label: words.undo,
        onClick: () => {
          void send({
            type: 'change-withdrawn',
            command: { proposal: proposal.id, reason: words.undone },
          });
        },
      },
    });
  };
  return (
    <>
      <EffectView state={state} version={version} again={again} />
      <TablesFault fault={fault} />
      {isLead && (
        <div className="mt-6 flex flex-wrap items-start gap-3">
          <Button
            look="main"
            disabled={state.kind !== 'computed' || isSending}
            onClick={() => void accept()}
          >
            {words.accept}
          </Button>
          <TakingBack proposal={proposal} label={words.withdraw} />
        </div>
      )}
    </>
  );
}

function TakingBack({ proposal, label }: { readonly proposal: Proposal; readonly label: string }) {
  const [isOpen, setOpen] = useState(false);
  const { change: send, fault } = useChangeTables();
  if (!isOpen) return <Button onClick={() => setOpen(true)}>{label}</Button>;
  return (
    <div className="w-full">
      <ReasonForm
        label={later.tables.why}
        submit={label}
        onSubmit={(reason) => {
          void send({ type: 'change-withdrawn', command: { proposal: proposal.id, reason } });
        }}
      />
      <TablesFault fault={fault} />
    </div>
  );
}
