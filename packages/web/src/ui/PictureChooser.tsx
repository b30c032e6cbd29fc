import { Camera } from 'lucide-react';

/** Takes a picture: by the camera of a telephone, or from a file. */
export function PictureChooser({
  label,
  fromCamera = false,
  className = '',
  onFile,
}: {
  readonly label: string;
  /** A telephone opens its camera at once. */
  readonly fromCamera?: boolean;
  readonly className?: string;
  readonly onFile: (file: File) => void;
}) {
  return (
    <label
      className={`inline-flex min-h-11 cursor-pointer items-center gap-3 rounded-md border-2 border-edge px-4 py-2 font-semibold hover:border-ink has-focus-visible:outline-3 has-focus-visible:outline-own ${className}`}
    >
      <Camera aria-hidden size={22} />
      {label}
      <input
        type="file"
        accept="image/*"
        capture={fromCamera ? 'environment' : undefined}
        className="sr-only"
        onChange={({ target }) => {
          const [file] = target.files ?? [];
          if (file) onFile(file);
          // The same file can be chosen again.
          target.value = '';
        }}
      />
    </label>
  );
}
