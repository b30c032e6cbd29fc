import type { BillContent } from '@nodo/shop';

/** What a bill says; invented. */
export function aBill(label: string): BillContent {
  return {
    shop: { name: 'Bench Nowhere', address: '', taxNumber: '' },
    label,
    found: 'Needle was fitted the wrong way round',
    done: 'New needle, fitted as it must be',
    helps: '',
    unrepaired: false,
    parts: [{ words: 'Needle', count: 2, each: 60, amount: 120 }],
    labourMinutes: 20,
    labour: 2000,
    toLeastFee: 0,
    taxIncluded: true,
    taxes: [{ perMille: 200, net: 1767, tax: 353 }],
    total: 2120,
    currency: 'EUR',
    paid: 'cash',
  };
}
