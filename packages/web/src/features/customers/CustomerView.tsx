import type { CustomerFile } from '@nodo/api';
import { type CustomerProfile, customerProfile } from '@nodo/shop';
import { mayTakeIn } from '@nodo/ticket';
import { Link, useParams } from 'react-router';
import { toast } from 'sonner';
import {
  useChangeCustomerMutation,
  useCustomerQuery,
  useMergeCustomerMutation,
} from '../../api/client.ts';
import { Silhouette } from '../../drawing/Silhouette.tsx';
import { m, write } from '../../messages/index.ts';
import { later } from '../../messages/later.ts';
import { FormError } from '../../session/FormError.tsx';
import { NotRead } from '../../session/NotRead.tsx';
import { useSession } from '../../session/SessionContext.tsx';
import { SpokenSelect } from '../../shop/SpokenSelect.tsx';
import { Button } from '../../ui/Button.tsx';
import { Fact, Facts } from '../../ui/Facts.tsx';
import { TextArea, TextField } from '../../ui/Field.tsx';
import { Form } from '../../ui/Form.tsx';
import { Opens } from '../../ui/Opens.tsx';
import { PhoneLink } from '../../ui/PhoneLink.tsx';
import { SaveBar } from '../../ui/SaveBar.tsx';
import { Blank } from '../../ui/Stitches.tsx';
import { useFormBehind } from '../../ui/useFormBehind.ts';
import { useSchemaForm } from '../../ui/useSchemaForm.ts';
import { EraseForm } from './EraseForm.tsx';
import { MergeForm } from './MergeForm.tsx';
import { TicketLines } from './TicketLines.tsx';

/** One customer: how to reach them, their machines and tickets. */
export default function CustomerView() {
  const session = useSession();
  const { customer: id = '' } = useParams();
  const mayRead = mayTakeIn(session.person.role);
  const { currentData: file, error, refetch } = useCustomerQuery(id, { skip: !mayRead });
  const words = later.cards.customer;
  if (!mayRead) return <Blank title={words.title} text={words.noRights} />;
  if (!file) return <NotRead title={words.failed} fault={error} again={refetch} />;
  return (
    <div className="flex flex-1 flex-col lg:flex-row">
      <div className="min-w-0 flex-1 gutter py-4">
        <h1 className="mb-3 text-2xl font-bold break-words">
          <bdi>{file.card?.name ?? words.erased}</bdi>
        </h1>
        {file.erasedAt !== null && <p>{words.erasedAt(write.day(file.erasedAt))}</p>}
        {file.mergedInto !== null && <MergedAway file={file} into={file.mergedInto} />}
        {file.card && <Card key={file.revision} file={file} card={file.card} />}
        <Doubles file={file} />
        {file.card && file.mergedInto === null && <MergeForm file={file} />}
        {file.card && session.person.role === 'lead' && <EraseForm customer={file.id} />}
      </div>
      <aside className="border-rule bg-paper gutter py-4 max-lg:border-t lg:w-96 lg:border-l">
        <h2 className="mb-1 font-semibold">{words.machines}</h2>
        {file.machines.length === 0 && <p className="text-quiet">{words.noMachines}</p>}
        <ul>
          {file.machines.map(({ id: machine, card }) => (
            <li key={machine} className="border-b border-rule last:border-0">
              <Link
                to={`/machines/${machine}`}
                className="flex min-h-11 items-center gap-4 py-2 hover:bg-sunk"
              >
                <span className="w-28 shrink-0">
                  <Silhouette family={card.family} colour={card.colour} />
                </span>
                <span className="min-w-0 break-words">
                  <bdi className="block font-semibold">{card.label}</bdi>
                  <span className="text-quiet">
                    {[card.model, card.serial].filter(Boolean).join(', ')}
                  </span>
                </span>
                <Opens />
              </Link>
            </li>
          ))}
        </ul>
        <h2 className="mt-6 mb-1 font-semibold">{words.tickets}</h2>
        {file.tickets.length === 0 && <p className="text-quiet">{words.noTickets}</p>}
        <TicketLines lines={file.tickets} />
      </aside>
    </div>
  );
}

function MergedAway({ file, into }: { readonly file: CustomerFile; readonly into: string }) {
  const [merge] = useMergeCustomerMutation();
  const words = later.cards.customer;
  return (
    <p className="flex flex-wrap items-center gap-4 border-l-4 border-own pl-3">
      {words.mergedInto}
      <Link to={`/customers/${into}`} className="inline-flex min-h-11 items-center underline">
        {words.toOther}
      </Link>
      <Button onClick={() => void merge({ customer: file.id, into: null })}>{words.part}</Button>
    </p>
  );
}

function Doubles({ file }: { readonly file: CustomerFile }) {
  const [merge] = useMergeCustomerMutation();
  const words = later.cards.customer;
  if (file.doubles.length === 0) return null;
  return (
    <section className="mt-6" aria-label={words.doubles}>
      <h2 className="font-semibold">{words.doubles}</h2>
      <ul>
        {file.doubles.map(({ id, card }) => (
          <li key={id} className="flex flex-wrap items-center gap-4 border-b border-rule py-1">
            <span className="min-w-0 flex-1 break-words">
              <bdi className="font-semibold">{card?.name ?? words.erased}</bdi>{' '}
              <span className="text-quiet">
                <bdi>{[card?.phone, card?.other, card?.notes].filter(Boolean).join(', ')}</bdi>
              </span>
            </span>
            <Button onClick={() => void merge({ customer: id, into: null })}>{words.part}</Button>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** How to reach them; changed when asked for. */
function Card({ file, card }: { readonly file: CustomerFile; readonly card: CustomerProfile }) {
  const form = useFormBehind();
  const words = later.cards.customer;
  return (
    <div className="max-w-2xl">
      {form.isOpened && (
        <div hidden={!form.isShown}>
          <CardForm file={file} card={card} onLeave={form.leave} />
        </div>
      )}
      {!form.isShown && (
        <>
          <Facts>
            <Fact name={words.phone}>
              {card.phone && <PhoneLink number={card.phone} className="-my-2" />}
            </Fact>
            <Fact name={words.other}>{card.other && <bdi>{card.other}</bdi>}</Fact>
            <Fact name={words.reach}>{m.life.spoken(card.reach)}</Fact>
            <Fact name={words.notes}>{card.notes && <bdi>{card.notes}</bdi>}</Fact>
          </Facts>
          <Button className="mt-4" onClick={form.show}>
            {words.edit}
          </Button>
        </>
      )}
    </div>
  );
}

function CardForm({
  file,
  card: begun,
  onLeave,
}: {
  readonly file: CustomerFile;
  readonly card: CustomerProfile;
  readonly onLeave: () => void;
}) {
  const { values: card, set, errorOf, isDirty, submit } = useSchemaForm(customerProfile, begun);
  const [change, { isLoading, error }] = useChangeCustomerMutation();
  const words = later.cards.customer;
  const save = async (filled: CustomerProfile) => {
    const { id: customer, revision } = file;
    const result = await change({ customer, revision, card: filled });
    if (result.data) toast.success(words.saved);
  };
  return (
    <Form noValidate className="flex max-w-2xl flex-col gap-4" onSubmit={() => submit(save)}>
      <div className="grid gap-4 md:grid-cols-2">
        <TextField
          label={words.name}
          error={errorOf('name') === undefined ? undefined : later.counter.required}
          value={card.name}
          maxLength={120}
          onText={(name) => set({ name })}
        />
        <TextField
          label={words.phone}
          value={card.phone}
          maxLength={40}
          inputMode="tel"
          onText={(phone) => set({ phone })}
        />
        <TextField
          label={words.other}
          value={card.other}
          maxLength={120}
          onText={(other) => set({ other })}
        />
        <SpokenSelect label={words.reach} how={card.reach} onChange={(reach) => set({ reach })} />
      </div>
      <TextArea
        label={words.notes}
        rows={3}
        value={card.notes}
        maxLength={2000}
        onText={(notes) => set({ notes })}
      />
      <SaveBar isDirty={isDirty}>
        <Button look="main" type="submit" disabled={isLoading}>
          {words.save}
        </Button>
        <Button look="quiet" onClick={onLeave}>
          {words.leave}
        </Button>
        <FormError fault={error} />
      </SaveBar>
    </Form>
  );
}
