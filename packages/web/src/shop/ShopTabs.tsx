import { NavLink } from 'react-router';
import { m } from '../messages/index.ts';

/** The pages by which a lead runs the shop. */
export function ShopTabs() {
  return (
    <nav aria-label={m.shell.shopPages} className="mb-4 flex gap-x-1 border-b border-rule">
      {(
        [
          ['/shop', m.shell.shop],
          ['/people', m.shell.people],
          ['/data', m.shell.data],
        ] as const
      ).map(([to, text]) => (
        <NavLink
          key={to}
          to={to}
          className="inline-flex min-h-11 items-center border-b-3 border-transparent px-3 text-quiet hover:text-ink aria-[current=page]:border-own aria-[current=page]:font-semibold aria-[current=page]:text-ink"
        >
          {text}
        </NavLink>
      ))}
    </nav>
  );
}
