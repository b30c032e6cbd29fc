import { type KnowledgeVersion, RISK_LIMITS } from '@nodo/knowledge';
import { useId, useState } from 'react';
import { write } from '../../../messages/index.ts';
import { later } from '../../../messages/later.ts';
import { readPercent, typedPercent } from '../../../messages/typed.ts';
import { Button } from '../../../ui/Button.tsx';
import { NumberField } from '../../../ui/Field.tsx';
import { Form } from '../../../ui/Form.tsx';
import { ProposalEnd } from './ProposalEnd.tsx';
import { useProposal } from './useProposal.ts';

interface RiskLimitProps {
  readonly version: KnowledgeVersion;
  readonly isLead: boolean;
}

/** The comeback risk with which this shop gives a machine back; a lead proposes another. */
export function RiskLimit({ version, isLead }: RiskLimitProps) {
  const [isOpen, setOpen] = useState(false);
  const words = later.tables;
  return (
    <section className="mt-6">
      <h3 className="font-semibold">{words.limitTitle}</h3>
      <p>{words.limitNote(write.fine(version.knowledge.riskLimit))}</p>
      {isLead && !isOpen && (
        <Button className="mt-2" onClick={() => setOpen(true)}>
          {words.limitChange}
        </Button>
      )}
      {isLead && isOpen && <LimitForm version={version} />}
    </section>
  );
}

function LimitForm({ version }: Pick<RiskLimitProps, 'version'>) {
  const words = later.tables;
  const [typed, setTyped] = useState(() => typedPercent(version.knowledge.riskLimit));
  const { error, setError, propose, end } = useProposal(version);
  const title = useId();
  const submit = async () => {
    const limit = readPercent(typed);
    if (limit === undefined) {
      setError(words.number);
      return;
    }
    const [least, most] = RISK_LIMITS;
    if (limit < least || limit > most) {
      setError(words.limitRange(write.fine(least), write.fine(most)));
      return;
    }
    await propose({ kind: 'risk-limit', limit });
  };
  return (
    <Form
      noValidate
      aria-labelledby={title}
      className="mt-2 flex max-w-xl flex-col gap-3"
      onSubmit={submit}
    >
      <h4 id={title} className="font-semibold">
        {words.limitChange}
      </h4>
      <NumberField
        label={words.kinds['risk-limit']}
        className="max-w-60"
        autoFocus
        value={typed}
        error={error}
        onText={(text) => {
          setTyped(text);
          setError(undefined);
        }}
      />
      <ProposalEnd {...end} isReady />
    </Form>
  );
}
