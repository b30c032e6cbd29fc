import type { FamilyModel } from '@nodo/knowledge';
import { gatesUnmet } from '@nodo/ticket';
import { Camera } from 'lucide-react';
import { useMemo, useState } from 'react';
import { later } from '../../messages/later.ts';
import { PhotoForm } from '../../ticket/photo/PhotoForm.tsx';
import { useTicket } from '../../ticket/TicketContext.tsx';
import { Button } from '../../ui/Button.tsx';
import { CheckBox } from '../../ui/CheckBox.tsx';
import { TextField } from '../../ui/Field.tsx';
import { Modal } from '../../ui/Modal.tsx';
import { OwnCauseForm } from './OwnCauseForm.tsx';
import type { Choice } from './step/choice.ts';

const MOST_HITS = 7;

interface SomethingElseProps {
  readonly open: boolean;
  readonly onOpenChange: (open: boolean) => void;
  readonly onChoose: (choice: Choice) => void;
  /** The check that stands in the middle: what is noted is about it unless somebody says otherwise. */
  readonly check: string | undefined;
}

/** Any check, cause or action by a few letters; or a note in one's own words. */
export function SomethingElse(props: SomethingElseProps) {
  const words = later.bench.palette;
  return (
    <Modal
      open={props.open}
      onOpenChange={props.onOpenChange}
      title={words.title}
      closeLabel={words.close}
    >
      <Search {...props} />
    </Modal>
  );
}

function Search(props: SomethingElseProps) {
  const { ticket, model, record, mayWork } = useTicket();
  const canBeDone = (action: string): boolean =>
    model.actions.get(action)?.needsReason !== true &&
    gatesUnmet(ticket, model, `action:${action}`).length === 0;
  const { onChoose, onOpenChange } = props;
  const [wanted, setWanted] = useState('');
  const [further, setFurther] = useState<'cause' | 'photo'>();
  const [isAboutCheck, setIsAboutCheck] = useState(true);
  const about = props.check !== undefined && isAboutCheck ? { check: props.check } : {};
  const checkTitle = model.checks.get(props.check ?? '')?.title;
  const words = later.bench.palette;
  const hits = useMemo(() => find(model, wanted), [model, wanted]);
  const note = wanted.trim();
  const done = (worked: boolean) => worked && onOpenChange(false);

  const leave = () => onOpenChange(false);
  if (further === 'cause') return <OwnCauseForm name={note} onDone={leave} />;
  if (further === 'photo') return <PhotoForm about={about} words={note} onDone={leave} />;
  return (
    <>
      <TextField label={words.find} value={wanted} autoFocus maxLength={500} onText={setWanted} />
      <div className="mt-2 overflow-y-auto">
        <Hits
          title={words.checks}
          hits={hits.checks}
          onPick={(check) => {
            onChoose({ kind: 'check', check });
            onOpenChange(false);
          }}
        />
        {mayWork && (
          <Hits
            title={words.actions}
            hits={hits.actions}
            onPick={(action) => {
              if (canBeDone(action)) done(record('action-done', { action }));
              else {
                onChoose({ kind: 'action', action });
                onOpenChange(false);
              }
            }}
          />
        )}
        <Hits
          title={words.causes}
          hits={hits.causes}
          onPick={(cause) => {
            onChoose({ kind: 'cause', cause });
            onOpenChange(false);
          }}
        />
        {note.length > 0 && (
          <>
            {hits.checks.length + hits.actions.length + hits.causes.length === 0 && (
              <p className="mt-3 text-quiet">{words.nothing}</p>
            )}
            <button
              type="button"
              onClick={() => done(record('observation-noted', { words: note, ...about }))}
              className="mt-3 w-full rounded-md border-2 border-dashed border-edge px-4 py-3 text-left hover:border-ink"
            >
              {words.note(note)}
            </button>
            {mayWork && (
              <button
                type="button"
                onClick={() => setFurther('cause')}
                className="mt-2 w-full rounded-md border-2 border-dashed border-edge px-4 py-3 text-left hover:border-ink"
              >
                {later.bench.ownCause.offer(note)}
              </button>
            )}
          </>
        )}
        {checkTitle !== undefined && (
          <CheckBox className="mt-3" checked={isAboutCheck} onCheck={setIsAboutCheck}>
            {words.about(checkTitle)}
          </CheckBox>
        )}
        <Button className="mt-3" onClick={() => setFurther('photo')}>
          <Camera aria-hidden size={20} /> {later.bench.photo.offer}
        </Button>
      </div>
    </>
  );
}

interface Hit {
  readonly id: string;
  readonly text: string;
  readonly detail?: string;
}

function Hits({
  title,
  hits,
  onPick,
}: {
  readonly title: string;
  readonly hits: readonly Hit[];
  readonly onPick: (id: string) => void;
}) {
  if (hits.length === 0) return null;
  return (
    <section className="mt-3">
      <h3 className="text-sm font-semibold text-quiet">{title}</h3>
      <ul>
        {hits.map(({ id, text, detail }) => (
          <li key={id}>
            <button
              type="button"
              onClick={() => onPick(id)}
              className="min-h-11 w-full rounded px-2 py-2 text-left hover:bg-sunk"
            >
              {text}
              {detail && <span className="block text-sm text-quiet">{detail}</span>}
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}

function find(model: FamilyModel, wanted: string) {
  const letters = wanted.trim().toLocaleLowerCase().split(/\s+/);
  const fits = (text: string): boolean => {
    const low = text.toLocaleLowerCase();
    return letters.every((part) => low.includes(part));
  };
  const none = letters.join('') === '';
  const take = <Item,>(items: Iterable<Item>, keep: (item: Item) => boolean): Item[] =>
    none ? [] : [...items].filter(keep).slice(0, MOST_HITS);
  return {
    checks: take(model.checks.values(), ({ title, findings }) =>
      fits(`${title} ${findings.map(({ answer }) => answer).join(' ')}`),
    ).map(
      ({ id, title, findings }): Hit => ({
        id,
        text: title,
        detail: findings.map(({ answer }) => answer).join(' · '),
      }),
    ),
    actions: take(model.actions.values(), ({ title }) => fits(title)).map(
      ({ id, title }): Hit => ({ id, text: title }),
    ),
    causes: take(model.causes.values(), ({ name }) => fits(name)).map(
      ({ id, name }): Hit => ({ id, text: name }),
    ),
  };
}
