import { m } from '../../messages/index.ts';
import { Modal } from '../../ui/Modal.tsx';
import { SetPin } from './SecretForms.tsx';

/** The form for one's own PIN, over whatever view stands there. */
export default function PinSheet({ onDone }: { readonly onDone: () => void }) {
  return (
    <Modal
      open
      onOpenChange={(open) => !open && onDone()}
      title={m.shell.person.setPin}
      closeLabel={m.shell.person.close}
    >
      <SetPin onDone={onDone} />
    </Modal>
  );
}
