import type { Hit } from '@nodo/api';
import { Silhouette } from '../drawing/Silhouette.tsx';
import { m, write } from '../messages/index.ts';
import { Tag } from '../ui/Tag.tsx';

/** One thing that was found: what it is, whose, where it stands. */
export function HitLine({
  hit: { kind, family, title, more, tag, state, unrepaired, at },
}: {
  readonly hit: Hit;
}) {
  const stands = state === null ? '' : m.life.standing(state, unrepaired);
  const when = at === null ? '' : write.day(at);
  return (
    <>
      <span className="w-13 shrink-0 self-center">{tag !== null && <Tag small tag={tag} />}</span>
      <span className="w-11 shrink-0 self-center">
        {family !== null && <Silhouette family={family} />}
      </span>
      <span className="min-w-0 flex-1 break-words">
        <bdi className="font-semibold">{title}</bdi>{' '}
        <span className="text-quiet">
          <bdi>{more}</bdi>
        </span>
        <span className="block text-sm text-quiet">
          {[kind === 'customer' ? m.life.find.customer : stands, when].filter(Boolean).join(' · ')}
        </span>
      </span>
    </>
  );
}
