import type { HandedCode } from '@nodo/api';
import { write } from '../../messages/index.ts';
import { people } from '../../messages/people.ts';
import { Button } from '../../ui/Button.tsx';

/** A code to be handed over, for as long as it can be seen. */
export function HandedSecret({
  handed: { account, code, until },
  onDone,
}: {
  readonly handed: HandedCode;
  readonly onDone: () => void;
}) {
  const words = people.code;
  return (
    <section
      aria-label={words.title(account.name)}
      className="mb-6 max-w-2xl border-l-6 border-ink bg-paper px-6 py-4"
    >
      <h2 className="text-lg font-semibold">{words.title(account.name)}</h2>
      <p className="text-quiet">{words.lead}</p>
      <p className="my-3 font-mono text-2xl font-bold tracking-wide break-all" data-code>
        {code}
      </p>
      <p>
        {words.login(account.login)}, {words.until(write.day(until))}
      </p>
      <Button className="mt-3" onClick={onDone}>
        {words.done}
      </Button>
    </section>
  );
}
