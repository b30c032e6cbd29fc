import { useState } from 'react';
import { later } from '../messages/later.ts';
import { Button } from './Button.tsx';
import { TextField } from './Field.tsx';

/** A text to be taken along to somewhere else, by one tap or by hand. */
export function CopyField({
  label,
  hint,
  text,
}: {
  readonly label: string;
  readonly hint: string;
  readonly text: string;
}) {
  const [copied, setCopied] = useState(false);
  const words = later.links;
  return (
    <div className="flex items-end gap-3">
      <TextField
        className="min-w-0 flex-1"
        label={label}
        hint={hint}
        value={text}
        readOnly
        onFocus={(event) => event.target.select()}
      />
      <Button
        className="mb-6"
        onClick={() => {
          void navigator.clipboard.writeText(text).then(() => setCopied(true));
        }}
      >
        {copied ? words.copied : words.copy}
      </Button>
    </div>
  );
}
