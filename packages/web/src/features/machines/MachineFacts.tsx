import { BOBBIN_CLASSES, SHIPPED } from '@nodo/knowledge';
import { MACHINE_FACTS, type MachineProfile } from '@nodo/shop';
import { QUANTITY_IDS } from '@nodo/ticket';
import { m, write } from '../../messages/index.ts';
import { instruments } from '../../messages/instruments.ts';
import { later } from '../../messages/later.ts';
import { Fact, Facts } from '../../ui/Facts.tsx';

/** What is known of a machine: what differs from its kind, and what its own manual says. */
export function MachineFacts({ card }: { readonly card: MachineProfile }) {
  const words = later.cards.machine;
  const family = SHIPPED.modelOf(card.family)?.family;
  const bobbin = BOBBIN_CLASSES.find(({ id }) => id === card.bobbin);
  return (
    <Facts>
      <Fact name={words.kind}>{family?.title}</Fact>
      <Fact name={later.counter.colour}>{card.colour && m.life.colour(card.colour)}</Fact>
      <Fact name={words.model}>{card.model && <bdi>{card.model}</bdi>}</Fact>
      <Fact name={words.serial}>{card.serial && <bdi>{card.serial}</bdi>}</Fact>
      <Fact name={words.traits}>{card.traits?.map((trait) => m.life.trait(trait)).join(', ')}</Fact>
      {MACHINE_FACTS.map((fact) => (
        <Fact key={fact} name={m.life.fact(fact)}>
          {card.facts[fact] ?? (
            <span className="text-quiet">{words.factHint(family?.[fact] ?? '')}</span>
          )}
        </Fact>
      ))}
      <Fact name={words.needleCount}>{card.needles > 1 && String(card.needles)}</Fact>
      <Fact name={words.bobbin}>{bobbin?.title}</Fact>
      <Fact name={words.bobbinTurns}>{card.bobbinTurns && words.turns[card.bobbinTurns]}</Fact>
      <Fact name={words.scarf}>{card.scarf && instruments.needle.drawing.sides[card.scarf]}</Fact>
      {QUANTITY_IDS.map((quantity) => {
        const value = card.service[quantity];
        return (
          <Fact key={quantity} name={m.life.quantity(quantity)}>
            {value && (
              <>
                {words.range(
                  write.figure(value.least),
                  write.figure(value.most),
                  m.life.unit(quantity),
                )}
                <span className="block text-sm text-quiet">{value.from}</span>
              </>
            )}
          </Fact>
        );
      })}
      <Fact name={words.oil}>{card.oilPoints && <bdi>{card.oilPoints}</bdi>}</Fact>
      <Fact name={words.notes}>{card.notes && <bdi>{card.notes}</bdi>}</Fact>
    </Facts>
  );
}
