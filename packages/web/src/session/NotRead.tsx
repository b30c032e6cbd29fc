import { faultWords } from '../messages/errors.ts';
import { m } from '../messages/index.ts';
import { Button } from '../ui/Button.tsx';
import { Blank, Sewing } from '../ui/Stitches.tsx';

/** A view whose contents are not here: still being read, or why they could not be. */
export function NotRead({
  title,
  fault,
  again,
}: {
  /** What could not be read. */
  readonly title: string;
  readonly fault: unknown;
  readonly again: () => unknown;
}) {
  return fault ? (
    <Blank title={title} text={faultWords(fault)}>
      <Button look="main" onClick={() => void again()}>
        {m.shell.tryAgain}
      </Button>
    </Blank>
  ) : (
    <BeingRead />
  );
}

export function BeingRead() {
  return (
    <div className="p-8">
      <Sewing label={m.shell.loading} />
    </div>
  );
}
