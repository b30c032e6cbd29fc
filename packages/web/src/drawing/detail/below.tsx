import type { ReactNode } from 'react';
import { later } from '../../messages/later.ts';
import { catcherOf } from '../body/body.ts';
import { ClockRing, type DetailProps, has, Sheet, Word } from './kit.tsx';

/** The bobbin in its place: which way it turns, its thread in the slot; and in section, as full as it may be. */
export function BobbinDetail({ family }: DetailProps) {
  const words = later.drawing.bobbin;
  const dropIn = has(family, 'drop-in');
  return (
    <Sheet account={words.account(dropIn)}>
      <g transform={dropIn ? 'translate(-18 2)' : 'translate(182 2) scale(-1 1)'}>
        <circle cx="100" cy="84" r="62" stroke="var(--edge)" />
        <circle cx="100" cy="84" r="50" fill="var(--sunk)" />
        {[42, 34, 26].map((r) => (
          <circle key={r} cx="100" cy="84" r={r} stroke="var(--below)" strokeWidth="1.4" />
        ))}
        <circle cx="100" cy="84" r="12" fill="var(--paper)" />
        <path d="M100 34C70 28 46 44 36 62L22 88" stroke="var(--below)" strokeWidth="3" />
        <path d="M44 44L30 70" stroke="var(--lit)" strokeWidth="5" />
        <path d="M128 62A36 36 0 0 0 82 52" stroke="var(--lit)" strokeWidth="3" />
        <path d="M92 44L80 53L93 60" stroke="var(--lit)" strokeWidth="3" />
      </g>
      <BobbinInSection />
      <Word x={4} y={14} lit>
        {words.turns(dropIn)}
      </Word>
      <Word x={4} y={164}>
        {words.under}
      </Word>
    </Sheet>
  );
}

/** Two flanges on a hollow core, the thread wound between them and short of their rims. */
function BobbinInSection() {
  return (
    <g transform="translate(200 86)">
      {[-1, 1].map((side) => (
        <g key={side}>
          <path
            d={`M-16 ${side * 15}H16V${side * 44}H-16Z`}
            fill="var(--paper)"
            stroke="var(--below)"
            strokeWidth="1.4"
          />
          <path
            d={`M-16 ${side * 21}H16M-16 ${side * 27}H16M-16 ${side * 33}H16M-16 ${side * 39}H16`}
            stroke="var(--below)"
            strokeWidth="1.4"
          />
          <path d={`M-16 ${side * 9}H16V${side * 15}H-16Z`} fill="var(--ink)" strokeWidth="1.4" />
          <path
            d={`M${side * 16} -50H${side * 22}V50H${side * 16}Z`}
            fill="var(--sunk)"
            strokeWidth="1.6"
          />
        </g>
      ))}
    </g>
  );
}

/** The case with its spring, its slot and its stop, and the hours round it. */
export function CaseDetail({
  family,
  isWide,
  children,
}: DetailProps & {
  readonly isWide?: boolean;
  /** What was seen on it, drawn over it. */
  readonly children?: ReactNode;
}) {
  const words = later.drawing.case;
  const dropIn = has(family, 'drop-in');
  return (
    <Sheet account={words.account(dropIn)} isWide={isWide}>
      <ClockRing x={104} y={86} r={58} />
      <circle cx="104" cy="86" r="54" fill="var(--sunk)" />
      <circle cx="104" cy="86" r="38" fill="var(--paper)" />
      {dropIn ? (
        <path
          d="M56 98L40 104V120L62 112Z"
          fill="var(--sunk)"
          stroke="var(--lit)"
          strokeWidth="3"
        />
      ) : (
        <>
          <path d="M70 64H138V108H70Z" rx="4" fill="var(--sunk)" stroke="var(--edge)" />
          <circle cx="104" cy="86" r="6" fill="var(--paper)" />
          <path d="M104 32V25" stroke="var(--lit)" strokeWidth="6" />
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
      <Word x={dropIn ? 4 : 126} y={dropIn ? 154 : 16} to={dropIn ? [46, 120] : [109, 25]} lit>
        {dropIn ? words.stop : words.finger}
      </Word>
      {children}
    </Sheet>
  );
}

/** The hook of the machine with its point at the needle and the hours round it; loopers where there is no bobbin. */
export function HookDetail({ family }: DetailProps) {
  const words = later.drawing.hook;
  const kind = catcherOf(family);
  if (kind === 'loopers') return <Loopers />;
  return (
    <Sheet account={words.account[kind]}>
      <ClockRing x={104} y={86} r={58} />
      {HOOKS[kind]}
      <circle cx="104" cy="36" r="3.400" fill="var(--paper)" stroke="var(--lit)" />
      <Word x={176} y={30} to={[108, 36]}>
        {words.needle}
      </Word>
      <Word x={176} y={62} to={[116, 40]} lit>
        {words.point}
      </Word>
      <Word x={176} y={128} to={kind === 'oscillating' ? [154, 116] : [128, 104]}>
        {words.holds[kind]}
      </Word>
    </Sheet>
  );
}

/** The point leads to the left past the needle; what follows it is as long as the kind makes it. */
const POINT_LIT = 'M97 36.500Q104 46 114 48';

const HOOKS = {
  // Half a moon that swings in its race, driven by a fork behind it.
  oscillating: (
    <>
      <circle cx="104" cy="86" r="56" stroke="var(--edge)" strokeWidth="5" />
      <path
        d="M97 36.500A50 50 0 1 1 75 127L89 107A26 26 0 1 0 113 61.500Q112 50 97 36.500Z"
        fill="var(--sunk)"
      />
      <path d="M97 36.500Q112 50 113 61.500" stroke="var(--lit)" strokeWidth="4" />
      <circle cx="104" cy="86" r="6" fill="var(--paper)" />
      <path d="M60 72Q56 86 62 104" stroke="var(--edge)" strokeDasharray="4 3" />
    </>
  ),
  // All round, turning twice a stitch; the basket inside stands still, held by the finger of its bracket.
  rotary: (
    <>
      <path d="M97 36.500A50 50 0 1 1 70 49L78 58A38 38 0 1 0 114 49.500Z" fill="var(--sunk)" />
      <path d={POINT_LIT} stroke="var(--lit)" strokeWidth="4" />
      <circle cx="104" cy="86" r="35" fill="var(--paper)" />
      <circle cx="104" cy="86" r="25" stroke="var(--edge)" />
      <circle cx="104" cy="86" r="5" fill="var(--sunk)" />
      <path d="M164 72H136V62" strokeWidth="5" />
    </>
  ),
  // Lying under the plate, from above: the rim turns, the case in it rests with its lug against the stop.
  horizontal: (
    <>
      <path d="M97 36.500A50 50 0 1 1 62 58L70 64A40 40 0 1 0 114 47.500Z" fill="var(--sunk)" />
      <path d={POINT_LIT} stroke="var(--lit)" strokeWidth="4" />
      <circle cx="104" cy="86" r="37" fill="var(--paper)" />
      <circle cx="104" cy="86" r="28" stroke="var(--edge)" />
      <circle cx="104" cy="86" r="8" fill="var(--sunk)" />
      <path d="M68 96L50 102V114L73 107Z" fill="var(--paper)" />
      <path d="M40 98V120" strokeWidth="5" />
    </>
  ),
} as const;

function Loopers() {
  const words = later.drawing.hook;
  return (
    <Sheet account={words.loopers}>
      <path d="M28 140C60 70 100 60 150 84" strokeWidth="6" />
      <path d="M212 140C186 96 150 84 110 96" strokeWidth="6" />
      <circle cx="146" cy="82" r="2" fill="var(--paper)" stroke="none" />
      <circle cx="114" cy="95" r="2" fill="var(--paper)" stroke="none" />
      <path d="M126 18V70L130 84L134 70V18" fill="var(--paper)" />
      <Word x={120} y={164} anchor="middle">
        {words.loopersWord}
      </Word>
    </Sheet>
  );
}
