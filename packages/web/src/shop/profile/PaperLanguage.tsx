import { type PaperLanguage as Language, PAPER_LANGUAGES } from '@nodo/kernel';
import { later } from '../../messages/later.ts';
import { Select } from '../../ui/Select.tsx';

/** The language that customers read on papers. */
export function PaperLanguage({
  value,
  onChoose,
}: {
  readonly value: Language;
  readonly onChoose: (language: Language) => void;
}) {
  const words = later.cards.shop;
  return (
    <Select
      className="max-w-xl"
      label={words.paperLanguage}
      hint={words.paperLanguageHint}
      value={value}
      onChoose={onChoose}
      options={PAPER_LANGUAGES.map((one) => [one, words.paperLanguages[one]] as const)}
    />
  );
}
