import { later } from '../../messages/later.ts';
import { type DetailProps, Sheet, Word } from './kit.tsx';

/** So far the rims of the discs stand off each other: they are dished, and grip inside. */
const FLARE = 14;

/** The discs in section: open with the presser up, shut with it down. */
export function DiscsDetail({ presserDown }: DetailProps) {
  const words = later.drawing.discs;
  return (
    <Sheet account={words.account(presserDown)}>
      {[false, true].map((down) => {
        const gap = down ? 4 : 11;
        const now = down === presserDown;
        return (
          <g key={String(down)} transform={`translate(${down ? 176 : 64} 66)`}>
            <g opacity={now ? 1 : 0.55}>
              {[-1, 1].map((side) => (
                <path
                  key={side}
                  d={`M${side * (gap + FLARE)} -46Q${side * (gap - FLARE)} 0 ${side * (gap + FLARE)} 46`}
                  fill="var(--sunk)"
                  strokeWidth="5"
                />
              ))}
              <path d="M0 -58V58" stroke="var(--above)" strokeWidth="3" />
              <path d="M-40 0H-22M22 0H40" stroke="var(--edge)" />
              {down && (
                <path d="M-36 -6L-26 0L-36 6M36 -6L26 0L36 6" stroke="var(--lit)" strokeWidth="3" />
              )}
            </g>
            <Word x={0} y={80} anchor="middle" lit={now}>
              {down ? words.down : words.up}
            </Word>
            <Word x={0} y={96} anchor="middle">
              {down ? words.grips : words.free}
            </Word>
          </g>
        );
      })}
    </Sheet>
  );
}

/** The spool on its pin with a cap as wide as its end, close to it. */
export function SpoolDetail() {
  const words = later.drawing.spool;
  return (
    <Sheet account={words.account}>
      <path d="M14 84H206" stroke="var(--edge)" strokeWidth="4" />
      <path d="M60 48H150V120H60Z" fill="var(--sunk)" />
      <path d="M60 48V120M150 48V120" strokeWidth="5" />
      <path d="M74 50L92 118M92 50L110 118M110 50L128 118M128 50L144 112" stroke="var(--edge)" />
      <path d="M158 44Q178 84 158 124Z" fill="var(--paper)" stroke="var(--lit)" strokeWidth="3" />
      <path d="M110 50Q170 8 226 16" stroke="var(--above)" strokeWidth="2.6" />
      <Word x={236} y={146} anchor="end" to={[168, 112]} lit>
        {words.cap}
      </Word>
      <Word x={14} y={146}>
        {words.close}
      </Word>
    </Sheet>
  );
}
