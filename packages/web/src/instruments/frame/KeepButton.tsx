import { Button } from '../../ui/Button.tsx';
import { useInstrumentBench } from './InstrumentContext.tsx';
import { mayKeep } from './instrumentBench.ts';

/** Keeps a reading on the ticket; absent where nothing can be kept. */
export function KeepButton({
  label,
  lacks = false,
  onKeep,
  look = 'main',
  className = '',
}: {
  readonly label: string;
  /** What it still waits for. */
  readonly lacks?: string | false;
  readonly onKeep: () => void;
  readonly look?: 'main' | 'plain';
  readonly className?: string;
}) {
  if (!mayKeep(useInstrumentBench())) return null;
  return (
    <Button look={look} className={`self-start ${className}`} lacks={lacks} onClick={onKeep}>
      {label}
    </Button>
  );
}
