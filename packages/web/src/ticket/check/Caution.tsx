import { TriangleAlert } from 'lucide-react';

/** What can hurt at this step, said at the step. */
export function Caution({ text }: { readonly text: string }) {
  return (
    <p
      data-caution
      className="mt-2 flex gap-2 rounded-md bg-hazard-wash px-3 py-1 leading-snug font-semibold text-hazard"
    >
      <TriangleAlert aria-hidden size={20} className="mt-0.5 shrink-0" />
      {text}
    </p>
  );
}
