import { ADDRESSES, fillAddress } from '@nodo/contract/addresses';

/** A photo that is kept with a ticket. */
export function Photo({
  ticket,
  photo,
  account,
}: {
  readonly ticket: string;
  readonly photo: string;
  readonly account: string;
}) {
  const source = fillAddress(ADDRESSES.readPhoto, { ticket, photo });
  // In small on the page, whole behind it.
  return (
    <a href={source} target="_blank" rel="noreferrer" className="block self-start">
      <img
        src={`${source}?size=small`}
        alt={account}
        className="max-h-56 rounded-md border border-rule"
      />
    </a>
  );
}
