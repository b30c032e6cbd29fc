import { later } from '../../messages/later.ts';
import { Button } from '../../ui/Button.tsx';
import { CopyField } from '../../ui/CopyField.tsx';

/** A secret for as long as it can be seen. */
export function GivenSecret({
  name,
  secret,
  onDone,
}: {
  readonly name: string;
  readonly secret: string;
  readonly onDone: () => void;
}) {
  const words = later.programs;
  return (
    <section
      aria-label={words.made(name)}
      className="max-w-3xl border-l-6 border-ink bg-paper px-6 py-4"
    >
      <h2 className="mb-2 text-lg font-semibold">{words.made(name)}</h2>
      <CopyField label={words.secret} hint={words.once} text={secret} />
      <Button className="mt-3" onClick={onDone}>
        {words.done}
      </Button>
    </section>
  );
}
