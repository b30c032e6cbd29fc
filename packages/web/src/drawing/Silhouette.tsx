/**
 * A machine's outline by family, drawn in a 120 x 86 box that stands on its lower edge.
 * Own drawings: proportions are those of the kind, of no particular machine.
 */
const BED = 'M6 74H112V85H6Z';

const OUTLINES: Readonly<Record<string, readonly string[]>> = {
  'drop-in': [
    BED,
    'M14 8H86Q104 8 104 26V74H80V38Q80 32 74 32H32V44H16V32H14Z',
    'M24 44V62',
    'M18 66H30',
    'M104 46a7 11 0 0 1 0 22',
    'M36 74h18v-3H36Z',
    'M70 2h10v6H70Z',
  ],
  'drop-in-magnet': [
    BED,
    'M14 10Q14 6 18 6H90Q104 6 104 22V74H82V36Q82 30 76 30H32V44H16V30H14Z',
    'M24 44V62',
    'M18 66H30',
    'M104 44a7 11 0 0 1 0 22',
    'M38 74a8 3 0 0 1 16 0',
    'M60 12H84V20H60Z',
  ],
  'front-loading': [
    BED,
    'M14 10H98Q106 10 106 18V74H84V36H32V46H16V36H14Z',
    'M24 46V62',
    'M18 66H30',
    'M106 42a8 13 0 0 1 0 26',
    'M16 74v11M34 74v11',
    'M25 79.5m-4 0a4 4 0 1 0 8 0a4 4 0 1 0-8 0',
    'M76 3h5v7h-5Z',
  ],
  'side-needle': [
    BED,
    'M16 16Q16 12 20 12H92Q106 14 106 30V74H88Q88 44 78 40H34V50H18V40H16Z',
    'M26 50V64',
    'M20 67H32',
    'M106 44a9 14 0 0 1 0 28',
    'M90 4v8',
    'M60 74h14',
  ],
  'straight-fast': [
    'M2 70H116V85H2Z',
    'M10 10H96Q108 10 108 22V70H84V34H30V44H12V34H10Z',
    'M20 44V60',
    'M14 63H28',
    'M108 40a8 13 0 0 1 0 26',
    'M34 18H78',
    'M100 0v10',
  ],
  mini: [
    'M22 66H98V85H22Z',
    'M28 22Q28 14 36 14H84Q94 14 94 24V66H74V42H44V50H32V42H28Z',
    'M38 50V60',
    'M33 62H43',
    'M94 40a6 9 0 0 1 0 18',
    'M62 8h8v6h-8Z',
  ],
  'round-shank': [
    'M30 66H114V85H30Z',
    'M20 8H92Q106 8 106 22V66H80V34H62V46H8V20H20Z',
    'M14 46V58M23 46V58M32 46V58M41 46V58M50 46V58',
    'M4 66H58',
    'M10 20V8M22 20V4M34 8V2M46 8V2',
    'M86 14H100V30H86Z',
  ],
  'round-shank-straight': [
    BED,
    'M18 14H92Q106 16 106 32V74H86V42Q84 36 78 36H36V48H20V36H18Z',
    'M28 48V63',
    'M22 66H34',
    'M106 42a9 15 0 0 1 0 30',
    'M86 6v8',
    'M48 22H70',
  ],
  overlocker: [
    'M20 62H104V85H20Z',
    'M26 24H96V62H70V44H42V52H30V44H26Z',
    'M35 52V60M38 52V60',
    'M34 24V6M50 24V2M66 24V2M82 24V6',
    'M30 6h8M46 2h8M62 2h8M78 6h8',
    'M104 66a6 8 0 0 1 0 14',
    'M44 70H92',
  ],
};

export function Silhouette({
  family,
  accent = false,
}: {
  readonly family: string;
  /** In the warning colour, for a machine that owes a look after a strike. */
  readonly accent?: boolean;
}) {
  const outline = OUTLINES[family] ?? OUTLINES['front-loading'] ?? [];
  return (
    <svg viewBox="-2 0 124 88" className="w-full" aria-hidden="true">
      {outline.map((path, index) => (
        <path
          key={path}
          d={path}
          fill={index < 2 ? 'var(--paper)' : 'none'}
          stroke={accent ? 'var(--hazard)' : 'var(--edge)'}
          strokeWidth="2"
          strokeLinejoin="round"
          strokeLinecap="round"
        />
      ))}
    </svg>
  );
}
