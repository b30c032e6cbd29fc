import {
  type CauseSource,
  type FamilyCheck,
  type FamilyModel,
  type KnowledgeVersion,
  STRENGTHS,
  type StrengthWord,
  strengthIn,
  type TableChange,
  valueInTables,
} from '@nodo/knowledge';
import { type ReactNode, useId, useState } from 'react';
import { later } from '../../../messages/later.ts';
import { readNumber, readPercent, typedPercent } from '../../../messages/typed.ts';
import { Button } from '../../../ui/Button.tsx';
import { NumberField, TextArea } from '../../../ui/Field.tsx';
import { Form } from '../../../ui/Form.tsx';
import { Select } from '../../../ui/Select.tsx';
import { ProposalEnd } from './ProposalEnd.tsx';
import { useProposal } from './useProposal.ts';

export type Subject =
  | { readonly kind: 'cause'; readonly cause: CauseSource }
  | { readonly kind: 'check'; readonly check: FamilyCheck };

const OF_CAUSE = ['how-often', 'shows', 'fix-minutes', 'remedy'] as const;
const OF_CHECK = ['check-minutes', 'by-itself', 'how'] as const;
type Kind = (typeof OF_CAUSE)[number] | (typeof OF_CHECK)[number];

interface ProposeChangeProps {
  readonly subject: Subject;
  readonly model: FamilyModel;
  readonly version: KnowledgeVersion;
}

/** For a lead: something of this cause or check should stand otherwise, and why. */
export function ProposeChange(props: ProposeChangeProps) {
  const [isOpen, setOpen] = useState(false);
  return (
    <section className="mt-6 border-t border-rule pt-4">
      {isOpen ? (
        <ProposalForm {...props} />
      ) : (
        <Button onClick={() => setOpen(true)}>{later.tables.propose}</Button>
      )}
    </section>
  );
}

function ProposalForm({ subject, model, version }: ProposeChangeProps) {
  const words = later.tables;
  const [kind, setKind] = useState<Kind>(subject.kind === 'cause' ? 'how-often' : 'check-minutes');
  const [finding, setFinding] = useState(() => findingsFor(subject, model)[0]?.id ?? '');
  const [typed, setTyped] = useState<string>();
  const { error, setError, propose, end } = useProposal(version);
  const title = useId();

  const place = changeOf(subject, kind, finding, '0');
  const present = place && valueInTables(version.knowledge, place);
  const value = typed ?? shown(kind, present);
  const touched = (set: () => void) => {
    setError(undefined);
    set();
  };
  const submit = async () => {
    const change = changeOf(subject, kind, finding, value);
    if (!change) {
      setError(words.number);
      return;
    }
    await propose(change);
  };

  return (
    <Form
      noValidate
      aria-labelledby={title}
      className="flex max-w-xl flex-col gap-3"
      onSubmit={submit}
    >
      <h3 id={title} className="text-lg font-semibold">
        {words.propose}
      </h3>
      <Select
        label={words.what}
        value={kind}
        autoFocus
        onChoose={(chosen) =>
          touched(() => {
            setKind(chosen);
            setTyped(undefined);
          })
        }
        options={(subject.kind === 'cause' ? OF_CAUSE : OF_CHECK).map(
          (one) => [one, words.kinds[one]] as const,
        )}
      />
      {(kind === 'shows' || kind === 'by-itself') && (
        <Select
          label={words.finding}
          value={finding}
          onChoose={(chosen) =>
            touched(() => {
              setFinding(chosen);
              setTyped(undefined);
            })
          }
          options={findingsFor(subject, model).map(({ id, words: text }) => [id, text] as const)}
        />
      )}
      <ValueField
        kind={kind}
        value={value}
        error={error}
        onChange={(next) => touched(() => setTyped(next))}
      />
      <ProposalEnd {...end} isReady />
    </Form>
  );
}

function ValueField({
  kind,
  value,
  error,
  onChange,
}: {
  readonly kind: Kind;
  readonly value: string;
  readonly error: string | undefined;
  readonly onChange: (value: string) => void;
}): ReactNode {
  const words = later.tables;
  switch (kind) {
    case 'shows':
      return (
        <Select
          label={words.howSurely}
          value={value}
          error={error}
          onChoose={onChange}
          options={[
            ...(Object.keys(STRENGTHS) as StrengthWord[]).map((strength): [string, string] => [
              strength,
              later.knowledge.strengths[strength],
            ]),
            ['never', words.never],
          ]}
        />
      );
    case 'remedy':
    case 'how':
      return (
        <TextArea
          label={words.value}
          rows={4}
          maxLength={600}
          value={value}
          error={error}
          onText={onChange}
        />
      );
    case 'how-often':
    case 'fix-minutes':
    case 'check-minutes':
    case 'by-itself':
      return (
        <NumberField
          label={words.value}
          className="max-w-40"
          value={value}
          error={error}
          onText={onChange}
        />
      );
  }
}

/** What a change may be about: of a cause, first what it shows now. */
function findingsFor(
  subject: Subject,
  model: FamilyModel,
): readonly { readonly id: string; readonly words: string }[] {
  if (subject.kind === 'check') {
    return subject.check.findings.map(({ id, answer }) => ({ id, words: answer }));
  }
  const { shows } = subject.cause;
  const all = [...model.findings.values()]
    .filter(({ id, check }) => !model.sewing.get(check)?.observes.has(id))
    .map(({ id, answer, check }) => {
      const strength = strengthIn(shows, id);
      const text = later.tables.findingOf(answer, model.checks.get(check)?.title ?? check);
      return strength === 'never'
        ? { id, words: text, now: false }
        : {
            id,
            words: `${text}, ${later.tables.isShown(later.knowledge.strengths[strength])}`,
            now: true,
          };
    });
  return [...all.filter(({ now }) => now), ...all.filter(({ now }) => !now)];
}

/** What stands now, as it is typed: a chance in percent, a number with a point. */
function shown(kind: Kind, present: number | string | undefined): string {
  if (kind !== 'by-itself') return String(present ?? '');
  return typedPercent(Number(present));
}

/** The change as it was typed; undefined where a number is none. */
function changeOf(
  subject: Subject,
  kind: Kind,
  finding: string,
  typed: string,
): TableChange | undefined {
  const number = readNumber(typed);
  const chance = readPercent(typed);
  const about =
    subject.kind === 'cause' ? { cause: subject.cause.id } : { check: subject.check.id };
  switch (kind) {
    case 'how-often':
      return number === undefined
        ? undefined
        : ({ kind, ...about, perMille: number } as TableChange);
    case 'fix-minutes':
    case 'check-minutes':
      return number === undefined
        ? undefined
        : ({ kind, ...about, minutes: number } as TableChange);
    case 'by-itself':
      return chance === undefined ? undefined : { kind, finding, chance };
    case 'shows':
      return { kind, ...about, finding, strength: typed } as TableChange;
    case 'remedy':
    case 'how':
      return { kind, ...about, text: typed.trim() } as TableChange;
  }
}
