import { m } from '../../messages/index.ts';
import { ClockRing, type DetailProps, has, Sheet, Word } from './kit.tsx';

/** The bobbin in its place: which way it turns, and its thread in the slot. */
export function BobbinDetail({ family }: DetailProps) {
  const words = m.drawing.bobbin;
  const dropIn = has(family, 'drop-in');
  return (
    <Sheet account={words.account(dropIn)}>
      <g transform={dropIn ? undefined : 'translate(200 0) scale(-1 1)'}>
        <circle cx="100" cy="84" r="62" stroke="var(--edge)" />
        <circle cx="100" cy="84" r="50" fill="var(--sunk)" />
        {[42, 34, 26].map((r) => (
          <circle key={r} cx="100" cy="84" r={r} stroke="var(--below)" strokeWidth="1.4" />
        ))}
        <circle cx="100" cy="84" r="12" fill="var(--paper)" />
        <path d="M100 34C70 28 46 44 36 62L18 92" stroke="var(--below)" strokeWidth="3" />
        <path d="M44 44L30 70" stroke="var(--lit)" strokeWidth="5" />
        <path d="M128 62A36 36 0 0 0 82 52" stroke="var(--lit)" strokeWidth="3" />
        <path d="M92 44L80 53L93 60" stroke="var(--lit)" strokeWidth="3" />
      </g>
      <Word x={dropIn ? 236 : 4} y={16} anchor={dropIn ? 'end' : 'start'} lit>
        {words.turns}
      </Word>
      <Word x={236} y={dropIn ? 32 : 150} anchor="end">
        {dropIn ? words.anticlockwise : words.slot}
      </Word>
      <Word x={4} y={166}>
        {words.under}
      </Word>
    </Sheet>
  );
}

/** The case with its spring, its slot and its stop, and the hours round it. */
export function CaseDetail({ family }: DetailProps) {
  const words = m.drawing.case;
  const dropIn = has(family, 'drop-in');
  return (
    <Sheet account={words.account(dropIn)}>
      <ClockRing x={104} y={86} r={58} />
      <circle cx="104" cy="86" r="54" fill="var(--sunk)" />
      <circle cx="104" cy="86" r="38" fill="var(--paper)" />
      {dropIn ? (
        <path d="M50 78L36 74V96L50 94Z" fill="var(--sunk)" stroke="var(--lit)" strokeWidth="3" />
      ) : (
        <>
          <path d="M70 64H138V108H70Z" rx="4" fill="var(--sunk)" stroke="var(--edge)" />
          <circle cx="104" cy="86" r="6" fill="var(--paper)" />
          <path d="M104 32V14" stroke="var(--lit)" strokeWidth="5" />
        </>
      )}
      <path d="M128 132Q146 122 154 104" strokeWidth="5" />
      <circle cx="142" cy="122" r="3.4" fill="var(--paper)" />
      <path d="M150 100Q160 70 204 60" stroke="var(--below)" strokeWidth="2.6" />
      <Word x={182} y={112} to={[156, 108]}>
        {words.spring}
      </Word>
      <Word x={182} y={140} to={[145, 124]}>
        {words.screw}
      </Word>
      <Word x={dropIn ? 4 : 126} y={dropIn ? 160 : 16} to={dropIn ? [42, 98] : [106, 18]} lit>
        {dropIn ? words.stop : words.finger}
      </Word>
    </Sheet>
  );
}

/** The hook and its race, point and hours; loopers on a machine without a bobbin. */
export function HookDetail({ family }: DetailProps) {
  const words = m.drawing.hook;
  if (!has(family, 'bobbin')) {
    return (
      <Sheet account={words.loopers}>
        <path d="M28 140C60 70 100 60 150 84" strokeWidth="6" />
        <path d="M212 140C186 96 150 84 110 96" strokeWidth="6" />
        <path d="M126 18V70L130 84L134 70V18" fill="var(--paper)" />
        <Word x={120} y={164} anchor="middle">
          {words.loopersWord}
        </Word>
      </Sheet>
    );
  }
  return (
    <Sheet account={words.account}>
      <ClockRing x={104} y={86} r={58} />
      <circle cx="104" cy="86" r="56" stroke="var(--edge)" strokeWidth="6" />
      <path d="M104 36A50 50 0 1 1 58 66L84 76A24 24 0 1 0 104 62Z" fill="var(--sunk)" />
      <path d="M58 66Q72 40 104 36" stroke="var(--lit)" strokeWidth="4" />
      <circle cx="104" cy="36" r="4" fill="var(--lit)" stroke="none" />
      <Word x={182} y={40} to={[108, 36]} lit>
        {words.point}
      </Word>
      <Word x={182} y={128} to={[154, 116]}>
        {words.race}
      </Word>
    </Sheet>
  );
}
