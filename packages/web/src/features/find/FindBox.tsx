import type { Hit } from '@nodo/api';
import type { CallError } from '@nodo/client';
import { mayTakeIn } from '@nodo/ticket';
import { Command } from 'cmdk';
import { ScanLine, Search } from 'lucide-react';
import { lazy, Suspense, useEffect, useEffectEvent, useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import { useSearchQuery } from '../../api/client.ts';
import { faultWords } from '../../messages/errors.ts';
import { m } from '../../messages/index.ts';
import { useSession } from '../../session/SessionContext.tsx';
import { HitLine } from '../../shop/HitLine.tsx';
import { ticketOnTag } from '../../shop/tagAddress.ts';
import { Button } from '../../ui/Button.tsx';
import { useKeys } from '../../ui/useKeys.ts';
import { useSettled } from '../../ui/useSettled.ts';

const ScanDialog = lazy(() => import('./ScanDialog.tsx'));

/** Finds tickets, machines and customers by a few letters, from every view; takes scanned tags. */
export default function FindBox(props: FindBoxProps) {
  const session = useSession();
  return mayTakeIn(session.person.role) ? <Find {...props} /> : null;
}

interface FindBoxProps {
  /** What was typed before it was here, whether Enter followed, and whether a tag is to be scanned at once. */
  readonly begun: {
    readonly text: string;
    readonly isEntered: boolean;
    readonly scan: boolean;
  };
  /** Where it was opened for one search: called once that is over. */
  readonly onLeave?: () => void;
}

function Find({ begun, onLeave }: FindBoxProps) {
  const [typed, setTyped] = useState(begun.text);
  const [open, setOpen] = useState(true);
  // The one that Enter takes: the first, unless another was gone to.
  const [chosen, setChosen] = useState('');
  const [scanning, setScanning] = useState(begun.scan);
  // Enter came before the answer to what was typed: it counts when the answer is there.
  const [isAwaited, setAwaited] = useState(begun.isEntered);
  const box = useRef<HTMLInputElement>(null);
  const navigate = useNavigate();
  const words = m.life.find;
  const letters = useSettled(typed.trim());
  const isAsking = letters !== '' && ticketOnTag(letters) === undefined;
  const answer = useSearchQuery(letters, { skip: !isAsking });
  const isSettled = letters === typed.trim();
  const hits = isAsking ? (answer.currentData ?? []) : [];
  useKeys({ '/': () => box.current?.focus() });

  const goTo = (path: string) => {
    setTyped('');
    setOpen(false);
    setAwaited(false);
    box.current?.blur();
    onLeave?.();
    void navigate(path);
  };
  const isAnswered = isSettled && !answer.isFetching;
  const goToFirst = useEffectEvent(() => {
    const ticket = ticketOnTag(typed);
    if (ticket !== undefined) goTo(`/t/${ticket}`);
    else if (hits[0]) goTo(pathOf(hits[0]));
    else setAwaited(false);
  });
  useEffect(() => {
    if (isAwaited && isAnswered) goToFirst();
  }, [isAwaited, isAnswered]);
  const isOpen = open && typed.trim() !== '' && ticketOnTag(typed) === undefined;
  return (
    <div className="flex min-w-48 flex-1 items-center md:max-w-sm">
      <Command
        shouldFilter={false}
        value={(hits.find(({ id }) => id === chosen) ?? hits[0])?.id ?? ''}
        onValueChange={setChosen}
        label={words.label}
        className="relative min-w-0 flex-1"
        onBlur={({ currentTarget, relatedTarget }) => {
          if (currentTarget.contains(relatedTarget)) return;
          setOpen(false);
          if (typed === '') onLeave?.();
        }}
        onKeyDown={(event) => {
          const ticket = ticketOnTag(typed);
          if (event.key === 'Escape') {
            setTyped('');
            onLeave?.();
          } else if (event.key === 'Enter' && ticket !== undefined) {
            // A scanner that types: the address and then Enter.
            event.preventDefault();
            goTo(`/t/${ticket}`);
          } else if (event.key === 'Enter' && !isAnswered) {
            event.preventDefault();
            setAwaited(true);
          }
        }}
      >
        <Search aria-hidden size={18} className="absolute top-3.5 left-3 text-quiet" />
        <Command.Input
          ref={box}
          autoFocus
          value={typed}
          maxLength={200}
          dir="auto"
          placeholder={words.label}
          onValueChange={(letters) => {
            setTyped(letters);
            setChosen('');
            setOpen(true);
            setAwaited(false);
          }}
          onFocus={() => setOpen(true)}
          className="min-h-11 w-full rounded-md border-2 border-edge bg-paper pr-3 pl-9"
        />
        <div
          className={`absolute top-full left-0 z-30 mt-1 w-[min(34rem,92vw)] min-w-full rounded-md border-2 border-ink bg-paper shadow-lg ${isOpen ? '' : 'hidden'}`}
        >
          <p role="status" className="px-3 py-2 text-sm text-quiet empty:hidden">
            {isOpen && statusWords(answer.error as CallError | undefined, !isSettled, answer)}
          </p>
          <Command.List label={words.label} className="max-h-[60vh] overflow-y-auto">
            {hits.map((hit) => (
              <Command.Item
                key={hit.id}
                value={hit.id}
                onPointerDown={(event) => event.preventDefault()}
                onSelect={() => goTo(pathOf(hit))}
                className="flex min-h-11 cursor-pointer items-baseline gap-3 px-3 py-2 data-[selected=true]:bg-sunk"
              >
                <HitLine hit={hit} />
              </Command.Item>
            ))}
          </Command.List>
        </div>
      </Command>
      <Button
        look="quiet"
        aria-label={words.scan}
        title={words.scan}
        onClick={() => setScanning(true)}
      >
        <ScanLine aria-hidden size={20} />
      </Button>
      {scanning && (
        <Suspense>
          <ScanDialog
            onClose={() => setScanning(false)}
            onTicket={(ticket) => {
              setScanning(false);
              goTo(`/t/${ticket}`);
            }}
          />
        </Suspense>
      )}
    </div>
  );
}

function statusWords(
  fault: CallError | undefined,
  isTyping: boolean,
  {
    currentData,
    isFetching,
  }: { readonly currentData?: readonly Hit[] | undefined; readonly isFetching: boolean },
): string {
  const words = m.life.find;
  if (fault) return faultWords(fault, words.offLine);
  if (currentData && currentData.length > 0) return '';
  return isFetching || isTyping ? words.searching : words.none;
}

function pathOf({ kind, id }: Hit): string {
  switch (kind) {
    case 'ticket':
      return `/t/${id}`;
    case 'machine':
      return `/machines/${id}`;
    case 'customer':
      return `/customers/${id}`;
  }
}
