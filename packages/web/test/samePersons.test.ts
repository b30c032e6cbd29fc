import type { Hit } from '@nodo/api';
import { describe, expect, it } from 'vitest';
import { lookedFor, samePersons } from '../src/shop/intake/samePersons.ts';

const hit = (title: string, more: string, kind: Hit['kind'] = 'customer'): Hit => ({
  kind,
  id: `${title} ${more}`,
  machine: null,
  family: null,
  title,
  more,
  tag: null,
  state: null,
  unrepaired: null,
  at: null,
});
const named = (hits: readonly Hit[], customer: string, phone = '') =>
  samePersons(hits, { customer, phone }).map(({ title }) => title);

describe('the same person', () => {
  it('is looked for once a name or a number means anybody', () => {
    expect(lookedFor({ customer: 'Ed', phone: '000' })).toEqual({ byName: '', byNumber: '' });
    expect(lookedFor({ customer: ' Edda ', phone: '000 01' })).toEqual({
      byName: 'Edda',
      byNumber: '000 01',
    });
  });

  it('has this number however it is written, or this very name', () => {
    const hits = [hit('Edda Quill', '000 0129'), hit('Gunna Tevlin', '000 0215')];
    expect(named(hits, '', '0000-129')).toEqual(['Edda Quill']);
    expect(named(hits, 'edda quill')).toEqual(['Edda Quill']);
    // What only begins alike is found by the search above, and not asked for.
    expect(named(hits, 'Edda')).toEqual([]);
    expect(named([hit('Edda Quill', '000 0129', 'machine')], 'Edda Quill')).toEqual([]);
  });

  it('is asked for once, though both the name and the number fit', () => {
    const twice = [hit('Edda Quill', '000 0129'), hit('Edda Quill', '000 0129')];
    expect(named(twice, 'Edda Quill', '000 0129')).toEqual(['Edda Quill']);
  });
});
