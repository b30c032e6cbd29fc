import { useState } from 'react';

/**
 * A form behind the facts that it changes. Opened once it stays there, so that what was typed is there when it is
 * asked for again; `begin` forgets it.
 */
export function useFormBehind() {
  const [stands, setStands] = useState<'unopened' | 'shown' | 'behind'>('unopened');
  return {
    isOpened: stands !== 'unopened',
    isShown: stands === 'shown',
    show: () => setStands('shown'),
    leave: () => setStands('behind'),
    begin: () => setStands('unopened'),
  };
}
