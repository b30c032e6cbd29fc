import { Link, useLocation } from 'react-router';
import { m } from '../../messages/index.ts';
import { useSession } from '../../session/SessionContext.tsx';
import { worksAtBench } from '../../session/UntilAsked.tsx';
import { FindStarter } from './FindStarter.tsx';

/** Where one is in the shop, the ways elsewhere, and the search for everything. */
export function ShopBar() {
  const { person, shop } = useSession();
  return (
    <>
      <Link
        to="/"
        className="inline-flex min-h-11 items-center text-lg font-semibold tracking-tight"
      >
        {m.shell.product}
      </Link>
      <nav
        aria-label={m.shell.mainNav}
        className="flex items-center gap-x-1 max-md:fixed max-md:inset-x-0 max-md:bottom-0 max-md:z-20 max-md:justify-between max-md:gap-x-0 max-md:border-t max-md:border-rule max-md:bg-ground max-md:px-1"
      >
        <BarLink to="/">{m.shell.toRack}</BarLink>
        <BarLink to="/counter" short={m.shell.takeInShort}>
          {m.shell.takeIn}
        </BarLink>
        <BarLink to="/phone" short={m.shell.phoneShort}>
          {m.shell.phone}
        </BarLink>
        {worksAtBench(person.role) && (
          <BarLink to="/tools" also={TOOL_PAGES}>
            {m.shell.tools}
          </BarLink>
        )}
        <BarLink to="/knowledge" also={/^\/knowledge/}>
          {m.shell.knowledge}
        </BarLink>
        {person.role === 'lead' && (
          <BarLink to="/shop" also={/^\/(people|data)/}>
            {m.shell.shop}
          </BarLink>
        )}
      </nav>
      <FindStarter />
      <p className="ml-auto hidden text-quiet 2xl:block">{shop.name}</p>
    </>
  );
}

/** The instruments' own pages. */
const TOOL_PAGES = /^\/(needle|bobbin|stitch|tension)/;

function BarLink({
  to,
  also,
  short,
  children,
}: {
  readonly to: string;
  /** What a small screen shows of its name. */
  readonly short?: string;
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
      aria-label={children}
      className="inline-flex min-h-11 items-center whitespace-nowrap border-b-3 border-transparent px-2 text-quiet max-md:min-h-12 max-md:text-sm md:px-3 hover:text-ink aria-[current=page]:border-own aria-[current=page]:font-semibold aria-[current=page]:text-ink"
    >
      {short === undefined ? (
        children
      ) : (
        <>
          <span className="md:hidden">{short}</span>
          <span className="max-md:hidden">{children}</span>
        </>
      )}
    </Link>
  );
}
