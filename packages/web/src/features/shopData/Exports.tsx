import { type ExportName, pathTo } from '@nodo/api';
import { later } from '../../messages/later.ts';
import { DownloadLink } from './DownloadLink.tsx';

/** The files, by what a person looks for. */
const GROUPS = {
  people: ['customers.csv', 'machines.csv'],
  work: [
    'tickets.csv',
    'tickets.jsonl',
    'ticket.schema.json',
    'measures.csv',
    'parts.csv',
    'bills.csv',
  ],
  tables: [
    'tables.json',
    'causes.csv',
    'shows.csv',
    'checks.csv',
    'findings.csv',
    'changes.csv',
    'changes.json',
  ],
} as const satisfies Readonly<Record<string, readonly ExportName[]>>;

/** All that the shop wrote, to be taken along. */
export function Exports() {
  const words = later.data.exports;
  const groups = Object.keys(GROUPS) as (keyof typeof GROUPS)[];
  return (
    <section aria-label={words.title}>
      <h2 className="text-lg font-semibold">{words.title}</h2>
      <p className="max-w-[65ch] text-quiet">{words.lead}</p>
      <div className="mt-2 grid gap-x-10 gap-y-4 md:grid-cols-3">
        {groups.map((group) => (
          <div key={group}>
            <h3 className="font-semibold">{words.groups[group]}</h3>
            <ul>
              {GROUPS[group].map((name) => (
                <li key={name}>
                  <DownloadLink href={pathTo('readExport', { export: name })}>
                    <span>
                      {words.files[name]}{' '}
                      <span className="text-sm whitespace-nowrap text-quiet">{endingOf(name)}</span>
                    </span>
                  </DownloadLink>
                </li>
              ))}
            </ul>
          </div>
        ))}
      </div>
    </section>
  );
}

const endingOf = (name: string): string => name.slice(name.lastIndexOf('.') + 1);
