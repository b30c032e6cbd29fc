import type { Session } from '@nodo/api';
import { m } from '../../messages/index.ts';
import { PersonMark } from '../../ui/PersonMark.tsx';

/** How the button looks that shows who stands here. */
export const FACE_BUTTON =
  'flex min-h-11 min-w-11 items-center gap-2 rounded-md px-1 text-left hover:bg-sunk';

/** Who stands here, on the button that opens what they can change. */
export function PersonFace({ person }: Pick<Session, 'person'>) {
  return (
    <>
      <PersonMark person={person} />
      <span className="sr-only">{m.shell.person.menu}</span>
      <span aria-hidden="true" className="hidden text-sm 2xl:inline">
        <bdi>{person.name}</bdi>
        <span className="block text-sm text-quiet">{m.shell.roles[person.role]}</span>
      </span>
    </>
  );
}
