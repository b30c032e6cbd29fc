import type { Hit } from '@nodo/api';

/** From so many digits on a number is one that somebody can have, from so many letters a name. */
const LEAST_DIGITS = 4;
const LEAST_LETTERS = 3;

const digitsOf = (text: string) => text.replaceAll(/\D/g, '');
const plain = (text: string) => text.trim().toLocaleLowerCase();

/** What to look for while a name or a number is typed; empty while it is too short to mean anybody. */
export function lookedFor({
  customer,
  phone,
}: {
  readonly customer: string;
  readonly phone: string;
}): { readonly byName: string; readonly byNumber: string } {
  return {
    byName: customer.trim().length >= LEAST_LETTERS ? customer.trim() : '',
    byNumber: digitsOf(phone).length >= LEAST_DIGITS ? phone.trim() : '',
  };
}

/** Of what was found, the customers with this very name or number, each once. */
export function samePersons(
  hits: readonly Hit[],
  { customer, phone }: { readonly customer: string; readonly phone: string },
): readonly Hit[] {
  const number = digitsOf(phone);
  const same = hits.filter(
    ({ kind, title, more }) =>
      kind === 'customer' &&
      ((number.length >= LEAST_DIGITS && digitsOf(more) === number) ||
        plain(title) === plain(customer)),
  );
  return [...new Map(same.map((hit) => [hit.id, hit])).values()];
}
