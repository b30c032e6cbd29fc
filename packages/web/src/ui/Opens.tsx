import { ChevronRight } from 'lucide-react';

/** At the end of a row that opens as a whole; a word that leads on is underlined instead. */
export function Opens() {
  return <ChevronRight aria-hidden size={20} className="ml-auto shrink-0 self-center text-quiet" />;
}
