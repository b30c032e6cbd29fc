import { later } from '../../messages/later.ts';
import { type DetailProps, has, Sheet, Word } from './kit.tsx';

/** The needle from the front, the side and the back: groove, scarf, flat, eye. */
export function NeedleDetail({ family }: DetailProps) {
  const round = has(family, 'round-shank');
  const words = later.drawing.needle;
  return (
    <Sheet account={words.account(round, family.flatOrScarfFaces)}>
      <g transform="translate(44 0)">
        <rect x="-8" y="8" width="16" height="40" rx={round ? 6 : 2} fill="var(--sunk)" />
        <path d="M-4 48V126L0 146L4 126V48" fill="var(--paper)" />
        <path d="M0 54V118" stroke="var(--above)" />
        <ellipse cx="0" cy="124" rx="1.6" ry="5" />
      </g>
      <g transform="translate(120 0)">
        <path d={round ? 'M-8 8H8V48H-8Z' : 'M-8 8H3V48H-8Z'} fill="var(--sunk)" />
        <path d="M-4 48V126L0 146L4 134V130Q-1 122 4 108V48" fill="var(--paper)" />
        <path d="M4 130Q-1 122 4 108" stroke="var(--lit)" strokeWidth="3.4" />
      </g>
      <g transform="translate(196 0)">
        <rect x="-8" y="8" width="16" height="40" rx={round ? 6 : 2} fill="var(--sunk)" />
        {!round && <path d="M-5 12H5V44H-5Z" fill="var(--paper)" stroke="var(--edge)" />}
        <path d="M-4 48V126L0 146L4 126V48" fill="var(--paper)" />
        <ellipse cx="0" cy="116" rx="3" ry="10" stroke="var(--lit)" strokeWidth="3" />
        <ellipse cx="0" cy="126" rx="1.6" ry="4" />
      </g>
      <Word x={60} y={84} to={[45, 84]}>
        {words.groove}
      </Word>
      <Word x={142} y={116} to={[124, 119]} lit>
        {words.scarf}
      </Word>
      {!round && (
        <Word x={142} y={32} to={[188, 30]}>
          {words.flat}
        </Word>
      )}
      <Word x={44} y={166} anchor="middle">
        {words.front}
      </Word>
      <Word x={120} y={166} anchor="middle">
        {words.side}
      </Word>
      <Word x={196} y={166} anchor="middle">
        {words.back}
      </Word>
    </Sheet>
  );
}

/** The needle in its clamp, pushed up to the stop, and one that hangs too low. */
export function ClampDetail() {
  const words = later.drawing.clamp;
  return (
    <Sheet account={words.account}>
      {[60, 170].map((x, index) => {
        const low = index * 18;
        return (
          <g key={x} transform={`translate(${x} 0)`}>
            <path d="M-22 14H22V70H-22Z" fill="var(--sunk)" />
            <path d="M-10 26V70H10V26" fill="var(--paper)" />
            <path d="M-14 24H14" stroke="var(--lit)" strokeWidth="3.4" />
            <path d={`M-8 ${28 + low}H8V${80 + low}H-8Z`} fill="var(--paper)" />
            <path d={`M-3 ${80 + low}V${132 + low}L0 ${142 + low}L3 ${132 + low}V${80 + low}`} />
            <path d="M22 46h14v10h-14" />
            {low > 0 && (
              <path
                d="M0 28V42M-4 32L0 27L4 32M-4 38L0 43L4 38"
                stroke="var(--lit)"
                strokeWidth="2.4"
              />
            )}
          </g>
        );
      })}
      <Word x={6} y={12} to={[48, 24]} lit>
        {words.stop}
      </Word>
      <Word x={60} y={164} anchor="middle">
        {words.right}
      </Word>
      <Word x={206} y={164} anchor="middle">
        {words.low}
      </Word>
    </Sheet>
  );
}
