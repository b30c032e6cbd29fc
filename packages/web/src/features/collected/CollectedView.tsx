import type { RackEntry } from '@nodo/ticket';
import { useWindowVirtualizer } from '@tanstack/react-virtual';
import { useEffect, useRef } from 'react';
import { Link } from 'react-router';
import { useCollectedInfiniteQuery } from '../../api/client.ts';
import { Silhouette } from '../../drawing/Silhouette.tsx';
import { m, write } from '../../messages/index.ts';
import { later } from '../../messages/later.ts';
import { NotRead } from '../../session/NotRead.tsx';
import { useMoney } from '../../session/useMoney.ts';
import { Opens } from '../../ui/Opens.tsx';
import { Blank, Sewing } from '../../ui/Stitches.tsx';

const LINE_PX = 56;
/** So many lines before the end the next page is asked for. */
const AHEAD = 15;

/** Everything that was fetched, page by page; only what is in sight is on the page. */
export default function CollectedView() {
  const { data, error, refetch, hasNextPage, isFetchingNextPage, fetchNextPage } =
    useCollectedInfiniteQuery();
  const list = useRef<HTMLUListElement>(null);
  const lines = data?.pages.flatMap(({ entries }) => entries) ?? [];
  const virtual = useWindowVirtualizer({
    count: lines.length,
    estimateSize: () => LINE_PX,
    overscan: 8,
    scrollMargin: list.current?.offsetTop ?? 0,
  });
  const rows = virtual.getVirtualItems();
  const last = rows.at(-1)?.index ?? 0;
  useEffect(() => {
    if (hasNextPage && !isFetchingNextPage && last >= lines.length - AHEAD) void fetchNextPage();
  }, [hasNextPage, isFetchingNextPage, last, lines.length, fetchNextPage]);
  const money = useMoney();
  const words = later.cards.collected;
  if (!data) return <NotRead title={words.failed} fault={error} again={refetch} />;
  if (lines.length === 0) return <Blank title={words.title} text={words.none} />;
  return (
    <section className="gutter py-4" aria-labelledby="collected-title">
      <h1 id="collected-title" className="text-2xl font-bold">
        {words.title}
      </h1>
      <p className="mb-2 text-quiet">{words.lead}</p>
      <ul ref={list} className="relative" style={{ height: virtual.getTotalSize() }}>
        {rows.map(({ index, start, key }) => {
          const line = lines[index];
          return (
            line && (
              <li
                key={key}
                aria-setsize={hasNextPage ? -1 : lines.length}
                aria-posinset={index + 1}
                className="absolute top-0 left-0 w-full border-b border-rule"
                style={{
                  height: LINE_PX,
                  transform: `translateY(${start - virtual.options.scrollMargin}px)`,
                }}
              >
                <Link
                  to={`/t/${line.ticket}`}
                  className="grid h-full grid-cols-[7rem_3.5rem_minmax(0,1fr)_minmax(0,1fr)_6rem_10rem_1.25rem] max-md:grid-cols-[5rem_2.75rem_minmax(0,1fr)_4.5rem] items-center gap-3 hover:bg-paper"
                >
                  <span className={isSameDay(line, lines[index - 1]) ? 'text-transparent' : ''}>
                    {dayOf(line)}
                  </span>
                  <Silhouette family={line.family} colour={line.colour} />
                  <bdi className="truncate font-semibold">{line.label}</bdi>
                  <bdi className="truncate text-quiet max-md:hidden">{line.customerName ?? ''}</bdi>
                  <span className="text-right font-mono">
                    {line.total === null ? '' : money.say(line.total)}
                  </span>
                  <span className="text-sm text-quiet max-md:hidden">
                    {[
                      line.instead ? m.life.neverCollected(line.instead) : '',
                      line.unrepaired ? m.life.standing(line.standing, line.unrepaired) : '',
                      line.comebacks > 0 ? later.cards.machine.comeback : '',
                    ]
                      .filter(Boolean)
                      .join(', ')}
                  </span>
                  <span className="max-md:hidden">
                    <Opens />
                  </span>
                </Link>
              </li>
            )
          );
        })}
      </ul>
      {isFetchingNextPage ? (
        <Sewing label={m.shell.loading} />
      ) : (
        !hasNextPage && <p className="py-3 text-quiet">{words.end}</p>
      )}
    </section>
  );
}

/** The day on which its customer took it. */
function dayOf({ collectedAt, changedAt }: RackEntry): string {
  return write.day(collectedAt ?? changedAt);
}

/** A day is written once, at its first line; it stays in the others for who has them read out. */
function isSameDay(line: RackEntry, above: RackEntry | undefined): boolean {
  return above !== undefined && dayOf(line) === dayOf(above);
}
