import { Check, Square } from 'lucide-react';
import { useStepKeys } from '../../ui/useKeys.ts';

/** There are no keys for more. */
const LAST_KEY = 9;

interface AnswerButtonProps {
  readonly digit: number;
  readonly text: string;
  readonly onPress: () => unknown;
  /** Given for answers that are ticked first and logged together. */
  readonly pressed?: boolean | undefined;
  /** The answer "nothing wrong here". */
  readonly sound?: boolean;
  readonly className?: string;
}

/** A big answer with its digit key. */
export function AnswerButton({
  digit,
  text,
  onPress,
  pressed,
  sound = false,
  className = '',
}: AnswerButtonProps) {
  useStepKeys(digit <= LAST_KEY ? { [String(digit)]: onPress } : {});
  return (
    <button
      type="button"
      data-answer={digit}
      aria-pressed={pressed}
      onClick={onPress}
      className={`flex items-center gap-3 rounded-lg border-2 border-ink bg-paper px-3 text-left leading-tight font-semibold min-h-12 py-1 text-lg hover:bg-sunk active:bg-own active:text-paper aria-pressed:border-own aria-pressed:bg-sunk ${className}`}
    >
      <span
        aria-hidden="true"
        className={`grid size-8 shrink-0 place-items-center rounded-md border-2 border-ink font-mono text-base font-semibold ${digit > LAST_KEY ? 'invisible' : sound ? 'bg-paper text-ink' : 'bg-ink text-ground'}`}
      >
        {digit}
      </span>
      <span className="min-w-0 flex-1 break-words">{text}</span>
      {pressed !== undefined &&
        (pressed ? (
          <Check aria-hidden size={24} />
        ) : (
          <Square aria-hidden size={22} className="text-edge" />
        ))}
    </button>
  );
}
