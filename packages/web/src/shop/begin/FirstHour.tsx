import { pathTo } from '@nodo/api';
import type { RackEntry } from '@nodo/ticket';
import { Check } from 'lucide-react';
import type { ReactNode } from 'react';
import { useShopQuery } from '../../api/client.ts';
import { later } from '../../messages/later.ts';
import { useSession } from '../../session/SessionContext.tsx';
import { PaperLink } from '../../ui/PaperLink.tsx';
import { TextLink } from '../../ui/TextLink.tsx';

/** What a new shop does first, in its order: each leads to where it is done. */
export default function FirstHour({
  first,
}: {
  /** The machine that was taken in first; undefined while there is none. */
  readonly first: RackEntry | undefined;
}) {
  const words = later.begin.firstHour;
  const { role } = useSession().person;
  const paper = useShopQuery().data?.card.tagPaper ?? 'tag-a7';
  return (
    <section aria-label={words.title} className="mb-6 max-w-2xl">
      <h2 className="mb-2 text-lg font-semibold">{words.title}</h2>
      <ol>
        <Step at={1} isDone={first !== undefined} why={words.takeInWhy}>
          <TextLink to="/counter">{words.takeIn}</TextLink>
        </Step>
        <Step at={2} why={first ? undefined : words.tagAfter}>
          {first ? (
            <PaperLink href={pathTo('readPaper', { ticket: first.ticket, paper })}>
              {words.tag}
            </PaperLink>
          ) : (
            <span className="font-semibold">{words.tag}</span>
          )}
        </Step>
        <Step at={3} why={words.diagnoseWhy}>
          {first ? (
            <TextLink to={`/bench/${first.ticket}`}>{words.diagnose}</TextLink>
          ) : (
            <span className="font-semibold">{words.diagnose}</span>
          )}
        </Step>
        {role === 'lead' && (
          <Step at={4} why={words.peopleWhy}>
            <TextLink to="/people">{words.people}</TextLink>
          </Step>
        )}
      </ol>
    </section>
  );
}

function Step({
  at,
  isDone = false,
  why,
  children,
}: {
  readonly at: number;
  readonly isDone?: boolean;
  readonly why: string | undefined;
  readonly children: ReactNode;
}) {
  return (
    <li className="flex gap-4 border-b border-rule py-2 last:border-0">
      <span className="grid size-8 shrink-0 place-items-center self-center rounded-md border-2 border-ink font-semibold">
        {isDone ? <Check aria-label={later.begin.firstHour.done} size={18} /> : at}
      </span>
      <span>
        {children}
        {why && <span className="block text-sm text-quiet">{why}</span>}
      </span>
    </li>
  );
}
