import type { Candidate } from '@nodo/api';
import type { OwnCause } from '@nodo/knowledge';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { useCandidatesQuery } from '../../../api/client.ts';
import { later } from '../../../messages/later.ts';
import { readNumber } from '../../../messages/typed.ts';
import type { ShopTables } from '../../../session/useTables.ts';
import { Button } from '../../../ui/Button.tsx';
import { NumberField } from '../../../ui/Field.tsx';
import { Form } from '../../../ui/Form.tsx';
import { TextLink } from '../../../ui/TextLink.tsx';
import { ProposalEnd } from './ProposalEnd.tsx';
import { useChangeTables } from './useChangeTables.ts';

/** The prior that an own cause has on its ticket. */
const PER_MILLE = '5';

/** For the lead: causes that people named on tickets because no table has them. */
export function Candidates({ tables: { requests, version } }: { readonly tables: ShopTables }) {
  const { data: candidates = [] } = useCandidatesQuery();
  const words = later.tables;
  const taken = new Set(
    requests.proposals.flatMap(({ change, state }) =>
      change.kind === 'new-cause' && state !== 'withdrawn' ? change.own.id : [],
    ),
  );
  const groups = byName(candidates).filter(
    ({ all }) => !all.some(({ own }) => taken.has(own.id) || version.knowledge.causes.has(own.id)),
  );
  if (groups.length === 0) return null;
  return (
    <section className="mt-6">
      <h3 className="font-semibold">{words.candidates}</h3>
      <p className="text-quiet">{words.candidatesNote}</p>
      <ul>
        {groups.map(({ own, all }) => (
          <li key={own.id} className="border-b border-rule py-2">
            <p className="font-semibold">{own.name}</p>
            <p>{own.remedy}</p>
            {own.explains.length > 0 && (
              <p className="text-quiet">
                {words.explains}:{' '}
                {own.explains
                  .map((id) => version.knowledge.findings.get(id)?.answer ?? id)
                  .join('; ')}
              </p>
            )}
            <p className="flex flex-wrap gap-x-4 text-quiet">
              {words.candidate(all.length)}
              {all.slice(0, MOST_LINKS).map(({ ticket }, at) => (
                <TextLink key={ticket} to={`/bench/${ticket}`} className="-my-2">
                  {words.ticketNumber(at + 1)}
                </TextLink>
              ))}
            </p>
            <TakeUp own={own} />
          </li>
        ))}
      </ul>
    </section>
  );
}

const MOST_LINKS = 5;

function TakeUp({ own }: { readonly own: OwnCause }) {
  const [isOpen, setOpen] = useState(false);
  const [perMille, setPerMille] = useState(PER_MILLE);
  const [reason, setReason] = useState('');
  const { change, isSending, fault } = useChangeTables();
  const navigate = useNavigate();
  const words = later.tables;
  if (!isOpen) return <Button onClick={() => setOpen(true)}>{words.takeUp}</Button>;
  const number = readNumber(perMille);
  const submit = async () => {
    if (number === undefined) return;
    const id = await change({
      type: 'change-proposed',
      command: {
        change: {
          kind: 'new-cause',
          own: { ...own, explains: [...own.explains] },
          perMille: number,
        },
        reason: reason.trim(),
      },
    });
    if (id !== undefined) void navigate(`/knowledge/changes/${id}`);
  };
  return (
    <Form noValidate className="mt-2 flex max-w-xl flex-col gap-3" onSubmit={submit}>
      <NumberField
        label={words.kinds['how-often']}
        className="max-w-60"
        autoFocus
        value={perMille}
        error={number === undefined ? words.number : undefined}
        onText={setPerMille}
      />
      <ProposalEnd
        reason={reason}
        onReason={setReason}
        isReady={number !== undefined}
        isSending={isSending}
        fault={fault}
      />
    </Form>
  );
}

/** The same words of several people are one candidate; the latest speaks for it. */
function byName(candidates: readonly Candidate[]) {
  const groups = new Map<string, { readonly own: OwnCause; readonly all: Candidate[] }>();
  for (const candidate of candidates) {
    const name = candidate.own.name.toLocaleLowerCase();
    const group = groups.get(name);
    if (group) group.all.push(candidate);
    else groups.set(name, { own: candidate.own, all: [candidate] });
  }
  return [...groups.values()];
}
