import { dayAfter, daysBetween } from '@nodo/kernel';
import { write } from '../../messages/index.ts';
import { later } from '../../messages/later.ts';
import { shopClock, shopDayOf } from '../../time/shopTime.ts';

const MOST_DAYS = 14;
const STEP = 24;
const HEIGHT = 12;
const MIDDLE = HEIGHT / 2;

/**
 * The last days as a seam: a stitch for each with a backup, a skipped one for each without.
 * @param since when the first could be made
 * @param keep of days before those that are kept there is nothing to be seen
 */
export function BackupDays({
  at,
  since,
  keep,
}: {
  readonly at: readonly string[];
  readonly since: string;
  readonly keep: number;
}) {
  const words = later.data.backups;
  const { day: today } = shopClock();
  const count = Math.min(MOST_DAYS, keep, daysBetween(shopDayOf(since), today) + 1);
  const made = new Set(at.map(shopDayOf));
  const days = Array.from({ length: count }, (_, index) => dayAfter(today, index - count + 1));
  const text = words.days(days.filter((day) => made.has(day)).length, count);
  return (
    <figure className="m-0 md:col-span-2">
      <svg
        role="img"
        aria-label={text}
        viewBox={`0 0 ${count * STEP} ${HEIGHT}`}
        width={count * STEP}
        className="max-w-full"
      >
        {days.map((day, index) => (
          <Stitch
            key={day}
            from={index * STEP}
            isMade={made.has(day)}
            title={(made.has(day) ? words.hasOne : words.hasNone)(write.plainDay(day))}
          />
        ))}
      </svg>
      <figcaption className="text-sm text-quiet">{text}</figcaption>
    </figure>
  );
}

function Stitch({
  from,
  isMade,
  title,
}: {
  readonly from: number;
  readonly isMade: boolean;
  readonly title: string;
}) {
  const ends = { x1: from + 4, x2: from + STEP - 4, y1: MIDDLE, y2: MIDDLE };
  return (
    <g>
      <title>{title}</title>
      {isMade ? (
        <line {...ends} stroke="var(--own)" strokeWidth={5} strokeLinecap="round" />
      ) : (
        <line {...ends} stroke="var(--quiet)" strokeWidth={1} strokeDasharray="2 3" />
      )}
    </g>
  );
}
