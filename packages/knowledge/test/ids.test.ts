import { expectTypeOf, it } from 'vitest';
import type { ActionId, CauseId, CheckId, FindingId } from '../src/index.ts';

// Proven by the type check: an id that widened to `string` again would take the misspelt ones.
it('a misspelt id of the tables does not compile', () => {
  expectTypeOf<'case-seat'>().toExtend<CheckId>();
  expectTypeOf<'case-saet'>().not.toExtend<CheckId>();
  expectTypeOf<'hook-lint'>().toExtend<CauseId>();
  expectTypeOf<'hook-lnit'>().not.toExtend<CauseId>();
  expectTypeOf<'power-on'>().toExtend<ActionId>();
  expectTypeOf<'power-no'>().not.toExtend<ActionId>();
  expectTypeOf<'loops-under'>().toExtend<FindingId>();
  expectTypeOf<'loop-under'>().not.toExtend<FindingId>();
});
