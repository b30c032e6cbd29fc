import { COMPLAINT, CONTEXT, SHIPPED } from '@nodo/knowledge';
import { mayTakeIn } from '@nodo/ticket';
import { useEffect, useMemo, useRef, useState } from 'react';
import { toast } from 'sonner';
import { useRackRead } from '../../api/useRackRead.ts';
import { later } from '../../messages/later.ts';
import { FormError } from '../../session/FormError.tsx';
import { useSession } from '../../session/SessionContext.tsx';
import { useMoney } from '../../session/useMoney.ts';
import { useTables } from '../../session/useTables.ts';
import { ComplaintTicks, ContextAnswers, HowOftenFields } from '../../shop/intake/Asked.tsx';
import { FamilyChoice } from '../../shop/intake/FamilyChoice.tsx';
import { firstFreeTag } from '../../shop/intake/firstFreeTag.ts';
import {
  blankForm,
  type IntakeForm,
  readForm,
  readyIntake,
  storeForm,
  withFamily,
} from '../../shop/intake/intakeForm.ts';
import { SoundsLike } from '../../shop/intake/SoundsLike.tsx';
import { useFirstShelf } from '../../shop/intake/useFirstShelf.ts';
import { CustomerFields, MachineFields } from '../../shop/intake/WhoAndWhat.tsx';
import { Button } from '../../ui/Button.tsx';
import { TextArea } from '../../ui/Field.tsx';
import { Form } from '../../ui/Form.tsx';
import { Blank } from '../../ui/Stitches.tsx';
import { useSchemaForm } from '../../ui/useSchemaForm.ts';
import { Agreed } from './Agreed.tsx';
import { KnownMachine } from './KnownMachine.tsx';
import { Pictures } from './Pictures.tsx';
import { Received } from './Received.tsx';
import { type JustTaken, TakenIn } from './TakenIn.tsx';
import { Tried } from './Tried.tsx';
import { useKnown } from './useKnown.ts';
import { usePictures } from './usePictures.ts';
import { useTakeIn } from './useTakeIn.ts';
import { TheirMachines, WhichMachine } from './WhichMachine.tsx';

/** Takes a machine in: whose, which, what the customer says. */
export default function CounterView() {
  const session = useSession();
  if (!mayTakeIn(session.person.role))
    return <Blank title={later.counter.title} text={later.counter.noRights} />;
  return <IntakeSheet />;
}

function IntakeSheet() {
  const money = useMoney();
  const ready = useMemo(() => readyIntake(money.read), [money.read]);
  const {
    values: form,
    set,
    reset,
    now,
    errorOf,
    submit,
  } = useSchemaForm(ready, readForm('counter'));
  const { rack, whenRead } = useRackRead();
  const firstShelf = useFirstShelf();
  const { busy, fault, takeIn } = useTakeIn();
  const pictures = usePictures(form.ticket);
  const [taken, setTaken] = useState<JustTaken>();
  const [faulty, setFaulty] = useState(0);
  const sheet = useRef<HTMLDivElement>(null);
  // To the first field that is not as it must be.
  useEffect(() => {
    if (faulty === 0) return;
    const field = sheet.current?.querySelector<HTMLElement>('[aria-invalid="true"]');
    field?.scrollIntoView({ block: 'center' });
    field?.focus({ preventScroll: true });
  }, [faulty]);
  const version = useTables().tables?.version ?? SHIPPED;
  const model = version.modelOf(form.family, form.traits ?? undefined);
  const known = useKnown(form, set);
  useEffect(() => storeForm('counter', form), [form]);

  const save = async (filled: IntakeForm) => {
    const agreed = {
      limit: filled.limit === 'up-to' ? money.read(filled.limitAmount) : undefined,
      fee: money.read(filled.feeAmount),
    };
    const ticket = await takeIn(filled, agreed, pictures.pictures);
    if (ticket === undefined) return;
    pictures.set([]);
    reset(blankForm());
    setTaken({ ticket, tag: Number(filled.tag), label: filled.label });
    window.scrollTo({ top: 0 });
  };
  const send = async () => {
    // Left open, it is the next number that is free.
    if (now().tag === '') set({ tag: firstFreeTag(await whenRead()) });
    if (now().shelf === '') set({ shelf: firstShelf });
    await submit(save, () => setFaulty((times) => times + 1));
  };

  /** The hand goes on with what is not known yet. */
  const takeAsNew = (part: { customer: string } | { phone: string }) => {
    set(part);
    const next = 'customer' in part ? 'phone' : 'customer';
    sheet.current?.querySelector<HTMLElement>(`input[name="${next}"]`)?.focus();
  };

  const beginAnew = () => {
    const before = form;
    reset(blankForm());
    toast(later.counter.cleared, {
      action: { label: later.counter.undo, onClick: () => reset(before) },
    });
  };

  if (taken) return <TakenIn taken={taken} onNext={() => setTaken(undefined)} />;
  if (!model) return null;
  const complaint = model.checks.get(COMPLAINT)?.findings ?? [];
  const context = model.checks.get(CONTEXT)?.findings ?? [];
  return (
    <Form onSubmit={send} noValidate className="flex flex-1 flex-col lg:flex-row">
      <div ref={sheet} className="min-w-0 flex-1 gutter py-4">
        <h1 className="mb-4 text-2xl font-bold">{later.counter.title}</h1>
        {form.call === null ? (
          <WhichMachine
            onMachine={known.chooseMachine}
            onCustomer={known.chooseCustomer}
            onTicket={known.chooseTicket}
            onNew={takeAsNew}
          />
        ) : (
          <p className="mb-4 border-l-4 border-own pl-3">{later.counter.known.announced}</p>
        )}
        {known.machine && (
          <KnownMachine
            file={known.machine}
            comebackOf={form.comebackOf}
            onComeback={(comebackOf) => set({ comebackOf })}
            onForget={() => set({ machineId: null, comebackOf: null, traits: null })}
          />
        )}
        <CustomerFields form={form} error={errorOf('customer')} set={set} />
        {form.customerId !== null && (
          <TheirMachines
            customer={form.customerId}
            chosen={form.machineId}
            onMachine={known.chooseMachine}
          />
        )}
        {form.machineId === null && form.call === null && (
          <FamilyChoice value={form.family} onChoose={(family) => set(withFamily(form, family))} />
        )}
        <MachineFields
          form={form}
          errorOf={errorOf}
          freeTag={firstFreeTag(rack)}
          firstShelf={firstShelf}
          set={set}
        />
        <TextArea
          className="mt-4"
          label={later.counter.words}
          rows={2}
          value={form.words}
          maxLength={2000}
          disabled={form.call !== null}
          onText={(words) => set({ words })}
        />
        <ComplaintTicks
          findings={complaint}
          ticked={form.complaint}
          onChange={(ticked) => set({ complaint: ticked })}
        />
        <HowOftenFields
          findings={complaint}
          ticked={form.complaint}
          often={form.often}
          onChange={(often) => set({ often })}
        />
        <ContextAnswers
          findings={context}
          answers={form.context}
          onChange={(answers) => set({ context: answers })}
        />
        <Tried
          tried={form.tried}
          words={form.triedWords}
          onTried={(tried) => set({ tried })}
          onWords={(triedWords) => set({ triedWords })}
        />
        <Received
          accessories={form.accessories}
          condition={form.condition}
          onAccessories={(accessories) => set({ accessories })}
          onCondition={(condition) => set({ condition })}
        />
        <Agreed
          form={form}
          version={version}
          model={model}
          limitFault={errorOf('limitAmount')}
          feeFault={errorOf('feeAmount')}
          set={set}
        />
        <Pictures pictures={pictures.pictures} onChange={pictures.set} />
      </div>
      <aside className="flex flex-col border-rule bg-paper gutter py-4 max-lg:border-t lg:sticky lg:top-0 lg:h-[calc(100dvh-3.5rem)] lg:w-88 lg:border-l">
        <SoundsLike model={model} complaint={form.complaint} context={form.context} />
        <div className="mt-auto flex flex-col gap-2 pt-4">
          <FormError fault={!busy && fault} />
          <Button look="main" type="submit" disabled={busy} className="min-h-14 text-lg">
            {busy ? later.counter.submitting : later.counter.submit}
          </Button>
          <p className="text-sm text-quiet">{later.counter.kept}</p>
          <Button look="quiet" onClick={beginAnew}>
            {later.counter.clear}
          </Button>
        </div>
      </aside>
    </Form>
  );
}
