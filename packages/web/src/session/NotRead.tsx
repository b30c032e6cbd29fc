import type { ReactNode } from 'react';
import { faultWords } from '../messages/errors.ts';
import { m } from '../messages/index.ts';
import { Button } from '../ui/Button.tsx';
import { Blank, Sewing } from '../ui/Stitches.tsx';

/** A view whose contents are not here: still being read, or why they could not be. */
export function NotRead({
  title,
  fault,
  again,
  skeleton,
}: {
  /** What could not be read. */
  readonly title: string;
  readonly fault: unknown;
  readonly again: () => unknown;
  /** What it will look like. */
  readonly skeleton?: ReactNode;
}) {
  return fault ? (
    <Blank title={title} text={faultWords(fault)}>
      <Button look="main" onClick={() => void again()}>
        {m.shell.tryAgain}
      </Button>
    </Blank>
  ) : (
    <BeingRead skeleton={skeleton} />
  );
}

export function BeingRead({ skeleton }: { readonly skeleton?: ReactNode }) {
  return (
    <div className="flex flex-col gap-6 p-6">
      <Sewing label={m.shell.loading} />
      {skeleton}
    </div>
  );
}
