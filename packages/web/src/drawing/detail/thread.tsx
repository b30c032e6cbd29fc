import type { Place } from '@nodo/knowledge';
import { m } from '../../messages/index.ts';
import { DrawnText } from '../DrawnText.tsx';
import { type DetailProps, Sheet, Word } from './kit.tsx';

/** So far the rims of the discs stand off each other: they are dished, and grip inside. */
const FLARE = 14;

/** The discs in section: open with the presser up, shut with it down. */
export function DiscsDetail({ presserDown }: DetailProps) {
  const words = m.drawing.discs;
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

const POINTS: readonly (readonly [number, number])[] = [
  [206, 22],
  [150, 22],
  [104, 66],
  [84, 128],
  [52, 34],
  [52, 104],
  [52, 128],
  [52, 150],
];

/** Which points of the way a place is about; the whole way, when it names none. */
const LIT: Readonly<Partial<Record<Place, readonly number[]>>> = { dial: [2], 'check-spring': [3] };

/** The way of the top thread, every point with its number, those of the check lit. */
export function PathDetail({ place }: DetailProps) {
  const words = m.drawing.path;
  const lit = LIT[place];
  const isLit = (point: number): boolean => lit?.includes(point) ?? true;
  const named = words.points.filter((_, point) => lit?.includes(point));
  return (
    <Sheet account={words.account(named.join(', '))}>
      <path d="M206 22L150 22L104 66L84 128L52 34V150" stroke="var(--above)" strokeWidth="2.6" />
      {POINTS.map(([x, y], point) => (
        <g key={`${x} ${y}`}>
          <circle
            cx={x}
            cy={y}
            r={lit && isLit(point) ? 12 : 9}
            fill={isLit(point) ? 'var(--lit)' : 'var(--paper)'}
            stroke={isLit(point) ? 'none' : 'var(--edge)'}
          />
          <DrawnText
            x={x}
            y={y + 4}
            textAnchor="middle"
            size={11}
            fontWeight="700"
            fill={isLit(point) ? 'var(--paper)' : 'var(--ink)'}
            stroke="none"
          >
            {point + 1}
          </DrawnText>
        </g>
      ))}
      {words.points.map((name, point) => (
        <Word key={name} x={126} y={48 + point * 16.2} lit={lit !== undefined && isLit(point)}>
          {`${point + 1} ${name}`}
        </Word>
      ))}
    </Sheet>
  );
}

/** The spool on its pin with a cap as wide as its end, close to it. */
export function SpoolDetail() {
  const words = m.drawing.spool;
  return (
    <Sheet account={words.account}>
      <path d="M14 84H206" stroke="var(--edge)" strokeWidth="4" />
      <path d="M60 48H150V120H60Z" fill="var(--sunk)" />
      <path d="M60 48V120M150 48V120" strokeWidth="5" />
      <path d="M74 50L92 118M92 50L110 118M110 50L128 118M128 50L144 112" stroke="var(--edge)" />
      <path d="M158 44Q178 84 158 124Z" fill="var(--paper)" stroke="var(--lit)" strokeWidth="3" />
      <path d="M110 50Q170 8 226 16" stroke="var(--above)" strokeWidth="2.6" />
      <Word x={182} y={124} to={[170, 104]} lit>
        {words.cap}
      </Word>
      <Word x={60} y={142}>
        {words.close}
      </Word>
    </Sheet>
  );
}
