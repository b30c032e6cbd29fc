/** What a view is going to look like while it is read: nothing jumps when it comes. */

const BOARDS = [0, 1];
const MACHINES = [0, 1, 2, 3, 4, 5];

/** Two shelves with places for machines on them. */
export function EmptyShelves() {
  return (
    <div aria-hidden="true" className="flex flex-col gap-6">
      {BOARDS.map((board) => (
        <div key={board} className="flex gap-6 border-b-6 border-cloth px-2">
          {MACHINES.map((machine) => (
            <span
              key={machine}
              className="h-16 w-24 rounded-t-lg border-2 border-b-0 border-rule"
            />
          ))}
        </div>
      ))}
    </div>
  );
}

/** A strip of cloth that nothing is sewn into yet. */
export function EmptySeam() {
  return (
    <svg width="100%" height="48" aria-hidden="true" className="overflow-hidden">
      <rect y="10" width="100%" height="28" fill="var(--cloth)" />
      <path d="M0 24H2000" stroke="var(--rule)" strokeWidth="2" />
    </svg>
  );
}
