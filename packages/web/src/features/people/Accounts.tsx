import type { Account, HandedCode } from '@nodo/api';
import { EVERY_ROLE, type Role } from '@nodo/kernel';
import { toast } from 'sonner';
import { useChangeAccountMutation, useResetAccountMutation } from '../../api/client.ts';
import { faultWords } from '../../messages/errors.ts';
import { m, write } from '../../messages/index.ts';
import { people } from '../../messages/people.ts';
import { Button } from '../../ui/Button.tsx';
import { PersonMark } from '../../ui/PersonMark.tsx';
import { SelectBox } from '../../ui/SelectBox.tsx';

/** Everybody with role and state, to be changed where they stand. */
export function Accounts({
  accounts,
  self,
  onHanded,
}: {
  readonly accounts: readonly Account[];
  readonly self: string;
  readonly onHanded: (handed: HandedCode) => void;
}) {
  return (
    <ul className="max-w-3xl">
      {accounts.map((account) => (
        <AccountLine
          key={account.id}
          account={account}
          isSelf={account.id === self}
          onHanded={onHanded}
        />
      ))}
    </ul>
  );
}

function AccountLine({
  account,
  isSelf,
  onHanded,
}: {
  readonly account: Account;
  readonly isSelf: boolean;
  readonly onHanded: (handed: HandedCode) => void;
}) {
  const [change, { isLoading: changing }] = useChangeAccountMutation();
  const [reset, { isLoading: resetting }] = useResetAccountMutation();
  const words = people;
  const { id: person, name, role, locked } = account;
  const busy = changing || resetting;
  const apply = async (wanted: { role?: Role; locked?: boolean }) => {
    const { error } = await change({ person, ...wanted });
    if (error) toast.error(faultWords(error));
    else if (wanted.locked) {
      toast(words.locked(name), {
        action: { label: words.undo, onClick: () => void apply({ locked: false }) },
      });
    }
  };
  const renew = async () => {
    const { data, error } = await reset(person);
    if (data) onHanded(data);
    else toast.error(faultWords(error));
  };
  return (
    <li className="flex flex-wrap items-center gap-x-4 gap-y-1 border-b border-rule py-2">
      <PersonMark person={account} silent />
      <span className={`min-w-40 flex-1 break-words ${locked ? 'text-quiet' : ''}`}>
        <span className="font-semibold">
          <bdi>{name}</bdi>
        </span>{' '}
        <span className="text-sm text-quiet">{account.login}</span>
        <span className="block text-sm text-quiet">{stateWords(account)}</span>
      </span>
      <SelectBox
        aria-label={words.roleOf(name)}
        className="px-3"
        value={role}
        disabled={busy}
        onChoose={(chosen) => void apply({ role: chosen })}
        options={EVERY_ROLE.map((one) => [one, m.shell.roles[one]] as const)}
      />
      <Button
        look="quiet"
        // It would end the very sign-in that the code is shown on.
        disabled={busy || isSelf}
        title={words.resetNote}
        onClick={() => void renew()}
      >
        {words.reset}
      </Button>
      <Button
        look="quiet"
        disabled={busy || isSelf}
        onClick={() => void apply({ locked: !locked })}
      >
        {locked ? words.unlock : words.lock}
      </Button>
    </li>
  );
}

function stateWords({ locked, hasPassword, hasPin, codeUntil, seenAt }: Account): string {
  const { state } = people;
  const notes = [
    locked && state.locked,
    codeUntil !== null && state.waiting(write.day(codeUntil)),
    !hasPassword && codeUntil === null && state.noPassword,
    hasPin && state.pin,
    seenAt === null ? state.never : state.seen(write.moment(seenAt)),
  ];
  return notes.filter((note) => note !== false).join(', ');
}
