import { faultWords } from '../messages/errors.ts';

/** Why a form was not taken, beneath its fields; keeps its place while there is nothing to say. */
export function FormError({
  fault,
  text = '',
}: {
  /** What the server answered. */
  readonly fault?: unknown;
  /** What the form itself finds wrong; goes before a fault. */
  readonly text?: string;
}) {
  return (
    <p role="alert" className="min-h-6 font-semibold text-hazard">
      {text || (fault ? faultWords(fault) : '')}
    </p>
  );
}
