import type { Person, Presence } from '@nodo/api';
import { NEW_SHOP_PROFILE } from '@nodo/shop';
import { mayTakeIn, type RackEntry } from '@nodo/ticket';
import { ListFilter } from 'lucide-react';
import { lazy, Suspense, useState } from 'react';
import { Link } from 'react-router';
import { usePresenceQuery, useRackQuery, useShopQuery } from '../../api/client.ts';
import { m } from '../../messages/index.ts';
import { isBeginning } from '../../session/isBeginning.ts';
import { NotRead } from '../../session/NotRead.tsx';
import { useSession } from '../../session/SessionContext.tsx';
import { usePeopleById } from '../../session/usePeopleById.ts';
import { useShopPlan } from '../../shop/promise/useOffers.ts';
import { shopClock } from '../../time/shopTime.ts';
import { Button } from '../../ui/Button.tsx';
import { EmptyShelves } from '../../ui/Skeletons.tsx';
import { Blank, Sewing } from '../../ui/Stitches.tsx';
import { TextLink } from '../../ui/TextLink.tsx';
import { useIsWide } from '../../ui/useIsWide.ts';
import { useLasts } from '../../ui/useLasts.ts';
import { DayThreads } from './DayThreads.tsx';
import { HandNeeded } from './HandNeeded.tsx';
import { isUntouched } from './isUntouched.ts';
import { Shelf } from './Shelf.tsx';
import { type DueState, dueState, fitsFilter, type RackFilter, type Stands } from './state.ts';
import { useRackFilter } from './useRackFilter.ts';

const Filters = lazy(() => import('./Filters.tsx'));
const BeginShop = lazy(() => import('../../shop/begin/BeginShop.tsx'));
const FirstHour = lazy(() => import('../../shop/begin/FirstHour.tsx'));

/** How often the settings of a shop were written that has only just begun. */
const JUST_BEGUN = 1;

/** The shelves do not wait longer for the plan of the benches. */
const PLAN_WITHIN_MS = 1_500;

/** What stands in the shop, shelf by shelf, and where a hand is needed. */
export function RackView() {
  const { data: lookers = [] } = usePresenceQuery();
  const { data: rack, error, refetch } = useRackQuery();
  const peopleById = usePeopleById();
  const { data: shop } = useShopQuery();
  const plan = useShopPlan();
  const { filter, set } = useRackFilter();
  const isFiltered = Object.values(filter).some((part) => part !== '');
  const [isFilterOpen, setFilterOpen] = useState(isFiltered);
  // The benches stand above the shelves: both come together, or the shelves would move under the hand.
  const isPlanning = rack !== undefined && plan === undefined && !isFiltered;
  const { role } = useSession().person;
  const isWide = useIsWide();
  const isLate = useLasts(isPlanning, PLAN_WITHIN_MS);

  if (!rack) {
    return (
      <NotRead
        title={m.rack.failedTitle}
        fault={error}
        again={refetch}
        skeleton={<EmptyShelves />}
      />
    );
  }
  // A shop that has said nothing of itself: its lead says it first, whoever else is there finds an empty Rack.
  if (shop && isBeginning(shop, rack) && role === 'lead') {
    return (
      <Suspense fallback={<Sewing label={m.shell.loading} />}>
        <BeginShop sheet={shop} />
      </Suspense>
    );
  }
  const [first] = rack;
  const isFirstHour =
    shop?.revision === JUST_BEGUN &&
    mayTakeIn(role) &&
    rack.length <= 1 &&
    (first === undefined || isUntouched(first));
  const card = shop?.card ?? NEW_SHOP_PROFILE;
  const { day: today } = shopClock();
  const states = new Map(rack.map((line) => [line.ticket, dueState(line, card, today)]));
  const workOf = new Map((plan?.planned ?? []).map(({ ticket, person }) => [ticket, person]));
  const shown = rack.filter((line) =>
    fitsFilter(line, filter, states.get(line.ticket) ?? NOTHING_DUE, workOf),
  );
  const fresh = rack.filter(isUntouched).length;
  const inShop = rack.filter(({ tag }) => tag !== null);
  const ready = inShop.filter(({ status }) => status === 'closed').length;
  const reset = () => set({ who: '', stands: '', shelf: '' });

  // On a phone the calls and what is due come before the shelves.
  const hand = <HandNeeded rack={rack} people={peopleById} states={states} />;

  return (
    <div className="flex flex-1 flex-col lg:flex-row">
      {!isWide && hand}
      <section className="min-w-0 flex-1 gutter py-4" aria-labelledby="rack-title">
        <div className="mb-3 flex flex-wrap items-center gap-x-4 gap-y-2">
          <h1 id="rack-title" className="text-2xl font-bold">
            {m.rack.title}
          </h1>
          <p className="text-quiet">{m.rack.tally(inShop.length, fresh, ready)}</p>
          <Button
            className="ml-auto"
            aria-expanded={isFilterOpen}
            onClick={() => setFilterOpen(!isFilterOpen)}
          >
            <ListFilter aria-hidden size={18} /> {m.rack.filter.open}
          </Button>
          {isFilterOpen && (
            <Suspense>
              <Filters rack={inShop} people={peopleById} filter={filter} set={set} />
            </Suspense>
          )}
        </div>
        {isFirstHour && (
          <Suspense>
            <FirstHour first={first} />
          </Suspense>
        )}
        {plan && !isFiltered && <DayThreads plan={plan} rack={rack} people={peopleById} />}
        {isPlanning && !isLate ? (
          <div className="min-h-dvh">
            <Sewing label={m.shell.loading} />
          </div>
        ) : rack.length === 0 ? (
          !isFirstHour && (
            <Blank within title={m.rack.emptyTitle} text={m.rack.empty}>
              <Link
                to="/counter"
                className="inline-flex min-h-11 items-center rounded-md border-2 border-ink bg-ink px-4 font-semibold text-ground"
              >
                {m.shell.takeIn}
              </Link>
            </Blank>
          )
        ) : shown.length === 0 ? (
          <Blank within title={m.rack.noMatchTitle} text={m.rack.noMatch(filterWords(filter))}>
            <Button onClick={reset}>{m.rack.clear}</Button>
          </Blank>
        ) : (
          <Shelves entries={shown} people={peopleById} lookers={lookers} states={states} />
        )}
        {mayTakeIn(role) && (
          <TextLink to="/day" className="mt-4 mr-6">
            {m.rack.day}
          </TextLink>
        )}
        <TextLink to="/collected" className="mt-4">
          {m.rack.collected}
        </TextLink>
      </section>
      {isWide && hand}
    </div>
  );
}

const NOTHING_DUE = { overdue: false, dueToday: false, stuck: false, uncollected: false };

function filterWords({ stands, shelf }: RackFilter): string {
  return [stands && m.rack.stands[stands as Stands], shelf && m.rack.shelf(shelf)]
    .filter(Boolean)
    .join(', ');
}

function Shelves({
  entries,
  people,
  lookers,
  states,
}: {
  readonly states: ReadonlyMap<string, DueState>;
  readonly entries: readonly RackEntry[];
  readonly lookers: readonly Presence[];
  readonly people: ReadonlyMap<string, Person>;
}) {
  const hanging = entries.filter(({ tag }) => tag !== null);
  const names = [...new Set(hanging.map(({ shelf }) => shelf))].sort((a, b) =>
    a.localeCompare(b, undefined, { numeric: true }),
  );
  return names.map((name) => (
    <Shelf
      key={name}
      name={name}
      people={people}
      lookers={lookers}
      states={states}
      entries={hanging
        .filter(({ shelf }) => shelf === name)
        .sort((a, b) => (a.tag ?? 0) - (b.tag ?? 0))}
    />
  ));
}
