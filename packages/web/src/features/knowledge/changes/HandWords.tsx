import type { Attribution, Proposal } from '@nodo/tables';
import { m, write } from '../../../messages/index.ts';
import { later } from '../../../messages/later.ts';
import { usePeopleById } from '../../../session/usePeopleById.ts';

/** Who proposed a change, who accepted it, who took it back and why. */
export function HandWords({ proposal }: { readonly proposal: Proposal }) {
  const people = usePeopleById();
  const words = later.tables;
  const { accepted, withdrawn } = proposal;
  const who = ({ by }: Attribution) => people.get(by.person)?.name ?? m.shell.roles[by.role];
  const lines = [
    words.proposedBy(who(proposal), write.moment(proposal.at)),
    accepted && words.acceptedBy(who(accepted), write.moment(accepted.at)),
    withdrawn && words.withdrawnBy(who(withdrawn), write.moment(withdrawn.at), withdrawn.reason),
  ];
  return <p className="text-sm text-quiet">{lines.filter(Boolean).join('; ')}</p>;
}
