import { later } from '../../messages/later.ts';
import { type DetailProps, has, Sheet, Word } from './kit.tsx';

/** The needle plate from above: the hole's edge, where a strike leaves its mark. */
export function PlateDetail({ family }: DetailProps) {
  const words = later.drawing.plate;
  const zigzag = has(family, 'zigzag');
  return (
    <Sheet account={words.account(zigzag)}>
      <rect x="6" y="14" width="176" height="142" rx="12" fill="var(--sunk)" />
      {[48, 114].map((x) => (
        <rect key={x} x={x} y="34" width="14" height="100" rx="5" fill="var(--paper)" />
      ))}
      {zigzag ? (
        <rect x="70" y="76" width="36" height="14" rx="7" fill="var(--paper)" />
      ) : (
        <circle cx="88" cy="84" r="8" fill="var(--paper)" />
      )}
      <ellipse
        cx="88"
        cy="84"
        rx={zigzag ? 28 : 17}
        ry="17"
        stroke="var(--lit)"
        strokeWidth="3"
        strokeDasharray="6 4"
      />
      <Word x={138} y={74} to={[116, 80]} lit>
        {words.edge}
      </Word>
      <Word x={138} y={120} to={[128, 112]}>
        {words.slots}
      </Word>
    </Sheet>
  );
}

/** The feed cut across its rows: each stands through a slot of the plate, lint packs between them. */
export function FeedDetail() {
  const words = later.drawing.feed;
  return (
    <Sheet account={words.account}>
      <path
        d="M6 70H44V78H6ZM68 70H90V78H68ZM114 70H136V78H114ZM160 70H174V78H160Z"
        fill="var(--sunk)"
        stroke="var(--edge)"
      />
      <path d="M36 126H168V142H36Z" fill="var(--paper)" />
      {ROWS.map((x) => (
        <path
          key={x}
          d={`M${x - 7} 126V60L${x - 3.5} 55L${x} 60L${x + 3.5} 55L${x + 7} 60V126Z`}
          fill="var(--paper)"
        />
      ))}
      {ROWS.slice(1).map((x) => (
        <path
          key={x}
          d={`M${x - 36} 120q6-7 13 0t13 0M${x - 36} 110q6-7 13 0t13 0M${x - 36} 100q6-7 13 0t13 0M${x - 36} 90q6-7 13 0t13 0`}
          stroke="var(--lit)"
          strokeWidth="2.600"
        />
      ))}
      <Word x={84} y={36} to={[103, 52]}>
        {words.teeth}
      </Word>
      <Word x={184} y={80} to={[172, 74]}>
        {words.plate}
      </Word>
      <Word x={166} y={112} to={[138, 106]} lit>
        {words.felt}
      </Word>
      <Word x={102} y={162} anchor="middle">
        {words.carrier}
      </Word>
    </Sheet>
  );
}

/** Middles of three rows of teeth. */
const ROWS = [56, 102, 148] as const;

/** The presser foot from below: slot, toes and the groove behind. */
export function FootDetail() {
  const words = later.drawing.foot;
  return (
    <Sheet account={words.account}>
      <path d="M60 16H144V98L128 150H112V84H92V150H76L60 98Z" fill="var(--sunk)" />
      <path d="M92 16V60H112V16" stroke="var(--edge)" />
      <path d="M88 66H116V104H88Z" stroke="var(--lit)" strokeWidth="3" strokeDasharray="6 4" />
      <Word x={154} y={90} to={[118, 86]} lit>
        {words.slot}
      </Word>
      <Word x={154} y={40} to={[114, 38]}>
        {words.behind}
      </Word>
      <Word x={154} y={142} to={[124, 136]}>
        {words.toes}
      </Word>
    </Sheet>
  );
}
