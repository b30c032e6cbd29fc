import { COMPLAINT, SHIPPED } from '@nodo/knowledge';
import { mayTakeIn } from '@nodo/ticket';
import { useEffect } from 'react';
import { useNavigate } from 'react-router';
import { useTakeInMutation } from '../../api/client.ts';
import { later } from '../../messages/later.ts';
import { FormError } from '../../session/FormError.tsx';
import { useSession } from '../../session/SessionContext.tsx';
import { useTables } from '../../session/useTables.ts';
import { ComplaintTicks, HowOftenFields } from '../../shop/intake/Asked.tsx';
import { FamilyChoice } from '../../shop/intake/FamilyChoice.tsx';
import { callOf } from '../../shop/intake/intake.ts';
import {
  blankForm,
  type IntakeForm,
  readForm,
  readyCall,
  storeForm,
  withFamily,
} from '../../shop/intake/intakeForm.ts';
import { SoundsLike } from '../../shop/intake/SoundsLike.tsx';
import { CustomerFields } from '../../shop/intake/WhoAndWhat.tsx';
import { Button } from '../../ui/Button.tsx';
import { TextArea, TextField } from '../../ui/Field.tsx';
import { Form } from '../../ui/Form.tsx';
import { Blank } from '../../ui/Stitches.tsx';
import { useSchemaForm } from '../../ui/useSchemaForm.ts';

/** Somebody rings up: who, which machine, what it does. Then the questions begin. */
export default function PhoneView() {
  const session = useSession();
  if (!mayTakeIn(session.person.role))
    return <Blank title={later.phone.title} text={later.counter.noRights} />;
  return <CallSheet />;
}

function CallSheet() {
  const { values: form, set, reset, errorOf, submit } = useSchemaForm(readyCall, readForm('phone'));
  const [takeIn, { isLoading, error }] = useTakeInMutation();
  const navigate = useNavigate();
  const version = useTables().tables?.version ?? SHIPPED;
  const model = version.modelOf(form.family);
  useEffect(() => storeForm('phone', form), [form]);
  if (!model) return null;

  const label = form.label.trim() || model.family.title;
  const begin = async (filled: IntakeForm) => {
    const result = await takeIn(callOf({ ...filled, label }));
    if (!result.data) return;
    reset(blankForm());
    void navigate(`/phone/${filled.ticket}`);
  };

  return (
    <Form noValidate className="flex flex-1 flex-col lg:flex-row" onSubmit={() => submit(begin)}>
      <div className="min-w-0 flex-1 gutter py-4">
        <h1 className="mb-4 text-2xl font-bold">{later.phone.title}</h1>
        <CustomerFields form={form} error={errorOf('customer')} set={set} />
        <div className="mt-4 grid gap-x-6 gap-y-4 md:grid-cols-2">
          <TextField
            label={later.phone.label}
            value={form.label}
            placeholder={model.family.title}
            maxLength={80}
            onText={(label) => set({ label })}
          />
        </div>
        <FamilyChoice value={form.family} onChoose={(family) => set(withFamily(form, family))} />
        <ComplaintTicks
          findings={model.checks.get(COMPLAINT)?.findings ?? []}
          ticked={form.complaint}
          onChange={(ticked) => set({ complaint: ticked })}
        />
        <HowOftenFields
          findings={model.checks.get(COMPLAINT)?.findings ?? []}
          ticked={form.complaint}
          often={form.often}
          onChange={(often) => set({ often })}
        />
        <TextArea
          className="mt-4"
          label={later.counter.words}
          rows={2}
          value={form.words}
          maxLength={2000}
          onText={(words) => set({ words })}
        />
      </div>
      <aside className="flex flex-col border-rule bg-paper gutter py-4 max-lg:border-t lg:sticky lg:top-0 lg:h-[calc(100dvh-3.5rem)] lg:w-88 lg:border-l">
        <SoundsLike model={model} complaint={form.complaint} context={{}} />
        <div className="mt-auto flex flex-col gap-2 pt-4">
          <FormError text={errorOf('complaint') ?? ''} fault={error} />
          <Button look="main" type="submit" disabled={isLoading} className="min-h-14 text-lg">
            {isLoading ? later.phone.beginning : later.phone.begin}
          </Button>
          <p className="text-sm text-quiet">{later.phone.kept}</p>
        </div>
      </aside>
    </Form>
  );
}
