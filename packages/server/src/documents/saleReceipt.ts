import type { Sale } from '@nodo/api';
import { writeCounted } from '@nodo/kernel';
import type { ShopProfile } from '@nodo/shop';
import { rule, sheet, write } from './page.ts';
import { fact, LEFT, lines, reachUs, styleOf, taxLine, WIDE } from './parts.ts';

/** What somebody takes along who bought something without a ticket. */
export function printedSale(shop: string, card: ShopProfile, sale: Sale): Promise<Buffer> {
  const { taxed, total } = sale;
  const currency = taxed?.currency ?? card.currency;
  const style = styleOf(card);
  const { words, money } = style;
  return sheet(
    `${shop}: ${words.receipt}`,
    [148, 105],
    (page) => {
      write(page, shop, [LEFT, 12], { size: 15, bold: true, width: WIDE });
      write(page, `${words.receipt}, ${style.dayOf(sale.at)}`, [LEFT, 20], {
        size: 11,
        width: WIDE,
      });
      rule(page, LEFT, 27, WIDE);
      let top = fact(page, words.from, [shop, card.address].filter(Boolean).join(', '), 28);
      top = fact(page, words.taxNumber, card.taxNumber, top);
      top = reachUs(page, card, top);
      const end = lines(
        page,
        [
          ...sale.lines.map(({ words: sold, count, each }) => ({
            words: writeCounted(count, sold),
            amount: count * each,
          })),
          ...(taxed ? [taxLine(style, { ...taxed, net: total - taxed.tax })] : []),
          { words: words.together, amount: total, bold: true },
        ],
        (minor) => money(minor, currency),
        top + 4,
      );
      write(page, words.paid[sale.how], [LEFT, end + 3], { size: 9, width: WIDE });
    },
    BORDER,
  );
}

const BORDER = 10;
