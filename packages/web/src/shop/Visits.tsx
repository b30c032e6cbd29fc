import type { Visit } from '@nodo/api';
import { SHIPPED } from '@nodo/knowledge';
import type { MachineProfile } from '@nodo/shop';
import { m, write } from '../messages/index.ts';
import { later } from '../messages/later.ts';
import { useSession } from '../session/SessionContext.tsx';
import { worksAtBench } from '../session/UntilAsked.tsx';
import { useTables } from '../session/useTables.ts';
import { TextLink } from '../ui/TextLink.tsx';

/** What was found, done, put in and measured each time a machine was here, and what was left. */
export function Visits({
  visits,
  machine,
}: {
  readonly visits: readonly Visit[];
  readonly machine: Pick<MachineProfile, 'family' | 'traits'>;
}) {
  const { role } = useSession().person;
  const version = useTables().tables?.version ?? SHIPPED;
  const model = version.modelOf(machine.family, machine.traits ?? undefined);
  const words = later.cards.machine;
  const causeOf = (id: string) => model?.causes.get(id)?.name ?? id;
  return (
    <ol className="flex flex-col gap-4">
      {visits.map(({ line, setUp, parts, measures, repairs, waived, leftOpen }) => (
        <li key={line.ticket} className="border-l-3 border-edge pl-3">
          <TextLink to={`/t/${line.ticket}`} className="gap-2 font-semibold">
            {write.day(line.takenInAt)}
          </TextLink>
          <span className="ml-2 text-sm text-quiet">
            {[
              m.life.standing(line.standing, line.unrepaired),
              line.comebackOf === null ? '' : words.comeback,
            ]
              .filter(Boolean)
              .join(' · ')}
          </span>
          {line.words && (
            <blockquote className="break-words text-quiet">
              <bdi>“{line.words}”</bdi>
            </blockquote>
          )}
          <Fact
            name={words.repairs}
            said={repairs.map((id) => model?.actions.get(id)?.title ?? id)}
          />
          <Fact
            name={words.setUp}
            said={setUp ? Object.values(setUp).filter((piece) => piece !== '') : []}
          />
          <Fact
            name={words.parts}
            said={parts.map((part) => m.life.sheet.counted(part.count, part.words))}
          />
          <Fact
            name={words.measures}
            said={measures.map(
              ({ quantity, value, when }) =>
                `${m.life.quantity(quantity)} ${write.figure(value)} ${m.life.unit(quantity)} (${words[when]})`,
            )}
          />
          <Fact
            name={words.leftOpen}
            said={leftOpen.map(({ cause, chance }) =>
              worksAtBench(role) ? `${causeOf(cause)}, ${write.percent(chance)}` : causeOf(cause),
            )}
          />
          <Fact name={words.waived} said={waived.map((id) => model?.duties.get(id)?.title ?? id)} />
        </li>
      ))}
    </ol>
  );
}

function Fact({ name, said }: { readonly name: string; readonly said: readonly string[] }) {
  if (said.length === 0) return null;
  return (
    <p className="py-0.5 break-words">
      <span className="text-sm text-quiet">{name}: </span>
      {said.join('; ')}
    </p>
  );
}
