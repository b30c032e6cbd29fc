import { Link, useLocation } from 'react-router';
import { m } from '../../messages/index.ts';
import { useSession } from '../../session/SessionContext.tsx';
import { FindStarter } from './FindStarter.tsx';

/** Where one is in the shop, the ways elsewhere, and the search for everything. */
export function ShopBar() {
  const { person, shop } = useSession();
  return (
    <>
      <Link to="/" className="py-2 text-xl font-bold tracking-tight">
        {m.shell.product}
      </Link>
      <nav
        aria-label={m.shell.mainNav}
        className="order-last flex w-full flex-wrap items-center gap-x-1 md:order-none md:w-auto"
      >
        <BarLink to="/">{m.shell.toRack}</BarLink>
        <BarLink to="/counter">{m.shell.takeIn}</BarLink>
        <BarLink to="/phone">{m.phone.nav}</BarLink>
        <BarLink to="/tools" also={TOOL_PAGES}>
          {m.shell.tools}
        </BarLink>
        <BarLink to="/knowledge" also={/^\/knowledge/}>
          {m.knowledge.nav}
        </BarLink>
        {person.role === 'lead' && (
          <BarLink to="/shop" also={/^\/people/}>
            {m.cards.shop.nav}
          </BarLink>
        )}
      </nav>
      <FindStarter />
      <p className="ml-auto hidden text-quiet 2xl:block">{shop.name}</p>
    </>
  );
}

/** The instruments' own pages. */
const TOOL_PAGES = /^\/(needle|bobbin)/;

function BarLink({
  to,
  also,
  children,
}: {
  readonly to: string;
  /** Other pages that belong to it. */
  readonly also?: RegExp;
  readonly children: string;
}) {
  const { pathname } = useLocation();
  const isHere = pathname === to || also?.test(pathname) === true;
  return (
    <Link
      to={to}
      aria-current={isHere ? 'page' : undefined}
      className="inline-flex min-h-11 items-center whitespace-nowrap border-b-3 border-transparent px-3 text-quiet hover:text-ink aria-[current=page]:border-own aria-[current=page]:font-semibold aria-[current=page]:text-ink"
    >
      {children}
    </Link>
  );
}
