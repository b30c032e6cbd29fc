import type { Account, Screen } from '@nodo/api';
import { toast } from 'sonner';
import { useEndScreenMutation, useScreensQuery } from '../../api/client.ts';
import { faultWords } from '../../messages/errors.ts';
import { write } from '../../messages/index.ts';
import { people } from '../../messages/people.ts';
import { isNamed } from '../../store/device.ts';
import { Button } from '../../ui/Button.tsx';

/** Where somebody is signed in; any of them can be ended. */
export function Screens({
  accounts,
  here,
}: {
  readonly accounts: readonly Account[];
  readonly here: string;
}) {
  const { data: screens, error } = useScreensQuery();
  const [end] = useEndScreenMutation();
  const words = people.screens;
  const names = new Map(accounts.map(({ id, name }) => [id, name]));
  const stop = async (screen: string) => {
    const { error: refused } = await end({ screen });
    if (refused) toast.error(faultWords(refused));
  };
  return (
    <section className="mt-6 max-w-3xl">
      <h2 className="text-lg font-semibold">{words.title}</h2>
      <p className="text-quiet">
        {error ? faultWords(error) : screens?.length === 0 ? words.none : words.lead}
      </p>
      <ul>
        {screens?.map((screen) => (
          <li
            key={screen.id}
            className="flex flex-wrap items-center gap-x-4 border-b border-rule py-2 last:border-0"
          >
            <span className="min-w-40 flex-1 break-words">
              {screen.people.map((id) => names.get(id) ?? '').join(', ')}
              <span className="block text-sm text-quiet">{screenWords(screen)}</span>
            </span>
            {screen.id === here ? (
              <strong className="px-2 text-sm">{words.here}</strong>
            ) : (
              <Button look="quiet" onClick={() => void stop(screen.id)}>
                {words.end}
              </Button>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}

function screenWords({ device, agent, seenAt, locked }: Screen): string {
  const words = people.screens;
  const system = /\(([^;)]+)/.exec(agent)?.[1];
  return [
    isNamed(device) ? device : words.unnamed,
    system,
    words.seen(write.moment(seenAt)),
    locked && words.locked,
  ]
    .filter(Boolean)
    .join(', ');
}
