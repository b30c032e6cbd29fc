import { m } from '../../messages/index.ts';
import { type DetailProps, has, Sheet, Word } from './kit.tsx';

/** The needle plate from above: the hole's edge, where a strike leaves its mark. */
export function PlateDetail({ family }: DetailProps) {
  const words = m.drawing.plate;
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

/** The feed from the side: teeth above the plate, and lint packed between the rows of teeth. */
export function FeedDetail() {
  const words = m.drawing.feed;
  return (
    <Sheet account={words.account}>
      <path d="M10 74H70M176 74H230" strokeWidth="6" stroke="var(--edge)" />
      <path
        d="M74 92V72l8-14 8 14 8-14 8 14 8-14 8 14 8-14 8 14 8-14 8 14 8-14 8 14 8-14V92Z"
        fill="var(--sunk)"
      />
      <path d="M74 92V128H174V92" />
      <path
        d="M84 100q8-8 14 0t14 0 14 0 14 0 14 0M84 110q8-8 14 0t14 0 14 0 14 0 14 0"
        stroke="var(--lit)"
        strokeWidth="3"
      />
      <Word x={124} y={38} anchor="middle">
        {words.teeth}
      </Word>
      <Word x={124} y={150} anchor="middle" lit>
        {words.felt}
      </Word>
      <Word x={10} y={62}>
        {words.plate}
      </Word>
    </Sheet>
  );
}

/** The presser foot from below: slot, toes and the groove behind. */
export function FootDetail() {
  const words = m.drawing.foot;
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
