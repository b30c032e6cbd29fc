import { write } from '../messages/index.ts';

/** A cause with its chance, in a number and as a bar. */
export function ChanceLine({
  name,
  chance,
}: {
  readonly name: string | undefined;
  readonly chance: number;
}) {
  return (
    <>
      <span className="flex items-baseline justify-between gap-3">
        <span className="font-semibold">{name}</span>
        <span className="font-mono">{write.percent(chance)}</span>
      </span>
      <span aria-hidden="true" className="my-1 block h-1.5 rounded-full bg-sunk">
        <span
          className="block h-full rounded-full bg-own transition-[width] duration-300"
          style={{ width: `${Math.max(1, chance * 100)}%` }}
        />
      </span>
    </>
  );
}
