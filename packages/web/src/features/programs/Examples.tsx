import { ADDRESSES } from '@nodo/api';
import { later } from '../../messages/later.ts';
import { TextLink } from '../../ui/TextLink.tsx';

/** Two calls as they are typed into a terminal. @param address of this Nodo */
function examplesFor(address: string): {
  readonly rack: string;
  readonly customers: string;
} {
  const call = `curl -s -H 'Authorization: Bearer SECRET'`;
  const list = 'number,name,phone\\n17,Wenna Trosk,0555 0100\\n';
  const body = JSON.stringify({ kind: 'customers', text: 'LIST', apply: false }).replace(
    'LIST',
    list,
  );
  return {
    rack: `${call} ${address}${ADDRESSES.listTickets.path}`,
    customers: `${call} -H 'Content-Type: application/json' \\\n  -d '${body}' \\\n  ${address}${ADDRESSES.importRows.path}`,
  };
}

/** How a program calls, worked out for this address. */
export function Examples({
  address,
  document,
}: {
  readonly address: string;
  readonly document: string;
}) {
  const words = later.programs;
  const { rack, customers } = examplesFor(address);
  return (
    <section aria-label={words.examples}>
      <h2 className="text-lg font-semibold">{words.examples}</h2>
      <p className="text-quiet">{words.examplesLead}</p>
      {[[words.exampleRack, rack] as const, [words.exampleCustomers, customers] as const].map(
        ([what, text]) => (
          <div key={what} className="mt-4">
            <p>{what}</p>
            <pre className="mt-1 border-l-2 border-edge bg-paper px-4 py-2 font-mono text-sm wrap-anywhere whitespace-pre-wrap">
              {text}
            </pre>
          </div>
        ),
      )}
      <p className="mt-4">
        {words.all}{' '}
        <TextLink to={document} reloadDocument>
          {document}
        </TextLink>
      </p>
    </section>
  );
}
