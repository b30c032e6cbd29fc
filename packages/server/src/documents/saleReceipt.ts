import type { Sale } from '@nodo/api';
import { writeCounted } from '@nodo/kernel';
import type { ShopProfile } from '@nodo/shop';
import { PAID } from './bill.ts';
import { rule, sheet, write } from './page.ts';
import { fact, LEFT, lines, reachUs, taxLine, WIDE, writeDayOf } from './parts.ts';

/** What somebody takes along who bought something without a ticket. */
export function printedSale(shop: string, card: ShopProfile, sale: Sale): Promise<Buffer> {
  const { taxed, total } = sale;
  const currency = taxed?.currency ?? card.currency;
  return sheet(
    `${shop}: receipt`,
    [148, 105],
    (page) => {
      write(page, shop, [LEFT, 12], { size: 15, bold: true, width: WIDE });
      write(page, `Receipt, ${writeDayOf(sale.at, card)}`, [LEFT, 20], { size: 11, width: WIDE });
      rule(page, LEFT, 27, WIDE);
      let top = fact(page, 'From', [shop, card.address].filter(Boolean).join(', '), 28);
      top = fact(page, 'Tax number', card.taxNumber, top);
      top = reachUs(page, card, top);
      const end = lines(
        page,
        [
          ...sale.lines.map(({ words, count, each }) => ({
            words: writeCounted(count, words),
            amount: count * each,
          })),
          ...(taxed ? [taxLine({ ...taxed, net: total - taxed.tax })] : []),
          { words: 'Together', amount: total, bold: true },
        ],
        currency,
        top + 4,
      );
      write(page, PAID[sale.how], [LEFT, end + 3], { size: 9, width: WIDE });
    },
    BORDER,
  );
}

const BORDER = 10;
