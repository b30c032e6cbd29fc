import type { Session } from '@nodo/api';
import { Moon, Sun } from 'lucide-react';
import { DropdownMenu } from 'radix-ui';
import { type ReactNode, useState } from 'react';
import { useNavigate } from 'react-router';
import { useLockScreenMutation, useSignOutMutation } from '../../api/client.ts';
import { SignInForm } from '../../features/signIn/SignInForm.tsx';
import { m } from '../../messages/index.ts';
import { useSession } from '../../session/SessionContext.tsx';
import { Modal } from '../../ui/Modal.tsx';
import { PersonMark } from '../../ui/PersonMark.tsx';
import { NameMyself } from './NameMyself.tsx';
import { NameScreen } from './NameScreen.tsx';
import { FACE_BUTTON, PersonFace } from './PersonFace.tsx';
import { PinForm } from './PinForm.tsx';
import { ChangePassword, SetPin } from './SecretForms.tsx';
import { LOCK_AFTER_MINUTES, useLockAfter } from './useIdleLock.ts';
import { useTheme } from './useTheme.ts';

type Sheet =
  | { readonly kind: 'take-over'; readonly person: Session['person'] }
  | { readonly kind: 'another' | 'name' | 'pin' | 'password' | 'screen' };

/** Who stands at this screen, opened: the change to another, one's own secrets, the way out. */
export default function PersonMenu() {
  const session = useSession();
  const navigate = useNavigate();
  const { person, screen } = session;
  const [sheet, setSheet] = useState<Sheet>();
  const [lock] = useLockScreenMutation();
  const [signOut] = useSignOutMutation();
  const { theme, toggle } = useTheme();
  const [lockAfter, setLockAfter] = useLockAfter();
  const words = m.shell.person;
  const others = screen.people.filter(({ id, hasPin }) => id !== person.id && hasPin);
  const leave = async () => {
    await signOut();
    window.location.assign('/');
  };
  const done = () => setSheet(undefined);

  return (
    <>
      <DropdownMenu.Root modal={false} defaultOpen>
        <DropdownMenu.Trigger className={FACE_BUTTON}>
          <PersonFace person={person} />
        </DropdownMenu.Trigger>
        <DropdownMenu.Content
          align="end"
          sideOffset={4}
          className="z-40 max-h-[80vh] w-72 overflow-y-auto rounded-lg border-2 border-ink bg-paper p-1 text-ink"
        >
          {others.map((other) => (
            <Item key={other.id} onSelect={() => setSheet({ kind: 'take-over', person: other })}>
              <PersonMark person={other} silent />
              {words.takeOver(other.name)}
            </Item>
          ))}
          <Item onSelect={() => setSheet({ kind: 'another' })}>{words.another}</Item>
          <Line />
          <DropdownMenu.Item
            onSelect={(event) => {
              event.preventDefault();
              toggle();
            }}
            className={ITEM}
          >
            {theme === 'day' ? <Moon aria-hidden size={20} /> : <Sun aria-hidden size={20} />}
            {theme === 'day' ? m.shell.nightBench : m.shell.dayBench}
          </DropdownMenu.Item>
          <Item onSelect={() => setSheet({ kind: 'name' })}>{words.nameMyself}</Item>
          <Item onSelect={() => setSheet({ kind: 'pin' })}>{words.setPin}</Item>
          <Item onSelect={() => setSheet({ kind: 'password' })}>{words.changePassword}</Item>
          <Item onSelect={() => void navigate('/programs')}>{words.programs}</Item>
          <Line />
          <DropdownMenu.Label className="px-3 pt-2 text-sm text-quiet">
            {words.locksAfter}
          </DropdownMenu.Label>
          <DropdownMenu.RadioGroup
            value={String(lockAfter)}
            onValueChange={(minutes) => setLockAfter(Number(minutes))}
            className="flex"
          >
            {LOCK_AFTER_MINUTES.map((minutes) => (
              <DropdownMenu.RadioItem
                key={minutes}
                value={String(minutes)}
                aria-label={words.minutes(minutes)}
                onSelect={(event) => event.preventDefault()}
                className="grid min-h-11 flex-1 cursor-default place-items-center rounded-md border-b-3 border-transparent data-[highlighted]:bg-sunk data-[state=checked]:border-own data-[state=checked]:font-semibold"
              >
                {minutes}
              </DropdownMenu.RadioItem>
            ))}
          </DropdownMenu.RadioGroup>
          <Item onSelect={() => setSheet({ kind: 'screen' })}>{words.nameScreen}</Item>
          <Item onSelect={() => void lock()}>{words.lock}</Item>
          <Item onSelect={() => void leave()}>
            {screen.people.length > 1 ? words.signOutAll : words.signOut}
          </Item>
        </DropdownMenu.Content>
      </DropdownMenu.Root>
      <Modal
        open={sheet !== undefined}
        onOpenChange={(open) => !open && done()}
        title={sheet ? titleOf(sheet) : ''}
        closeLabel={words.close}
      >
        {sheet?.kind === 'take-over' && (
          <PinForm person={sheet.person} submit={words.go} onDone={done} />
        )}
        {sheet?.kind === 'another' && <SignInForm onDone={done} />}
        {sheet?.kind === 'name' && <NameMyself onDone={done} />}
        {sheet?.kind === 'pin' && <SetPin onDone={done} />}
        {sheet?.kind === 'password' && <ChangePassword onDone={done} />}
        {sheet?.kind === 'screen' && <NameScreen onDone={done} />}
      </Modal>
    </>
  );
}

function titleOf(sheet: Sheet): string {
  const words = m.shell.person;
  switch (sheet.kind) {
    case 'take-over':
      return words.takeOver(sheet.person.name);
    case 'another':
      return words.another;
    case 'name':
      return words.nameMyself;
    case 'pin':
      return words.setPin;
    case 'password':
      return words.changePassword;
    case 'screen':
      return words.nameScreen;
  }
}

const ITEM =
  'flex min-h-11 cursor-default items-center gap-3 rounded-md px-3 py-1 data-[highlighted]:bg-sunk';

function Item({
  onSelect,
  children,
}: {
  readonly onSelect: () => void;
  readonly children: ReactNode;
}) {
  return (
    <DropdownMenu.Item onSelect={onSelect} className={ITEM}>
      {children}
    </DropdownMenu.Item>
  );
}

function Line() {
  return <DropdownMenu.Separator className="my-1 h-px bg-rule" />;
}
