import { randomUUID } from 'node:crypto';
import { SHIPPED, type TableChange } from '@nodo/knowledge';
import type { TableCommand } from '@nodo/tables';
import { describe, expect, it } from 'vitest';
import { recordCommands, recordTables, versionIn } from '../src/index.ts';
import { rackLine, type StoreUnderTest } from './eventStoreSuite.ts';
import { commandOf, intakeCommand, proposalCommand } from './shop.ts';

const NOW = () => new Date('2026-03-02T10:00:01.000Z');
const OFTEN = {
  kind: 'how-often',
  cause: 'needle-low',
  perMille: 700,
} as const satisfies TableChange;

/** What every store does with the changes to a shop's tables. */
export function tablesSuite(name: string, open: () => Promise<StoreUnderTest>): void {
  const record = ({ store, shop, actor }: StoreUnderTest, command: TableCommand) =>
    recordTables(store, { shop, command, actor: { ...actor, role: 'lead' } }, NOW);
  const acceptance = async (under: StoreUnderTest, proposal: string): Promise<TableCommand> => ({
    ...proposalCommand(OFTEN),
    type: 'change-accepted',
    command: {
      proposal,
      against: (await versionIn(under.store, under.shop)).knowledge.hash,
    },
  });

  describe(`tables of a shop: ${name}`, () => {
    it('are kept to the last field, in order, and shown to no other shop', async () => {
      const under = await open();
      const command = proposalCommand(OFTEN);
      await record(under, command);
      await record(under, await acceptance(under, command.id));
      const events = await under.store.tableEvents(under.shop);
      expect(events.map(({ seq, type }) => [seq, type])).toEqual([
        [1, 'change-proposed'],
        [2, 'change-accepted'],
      ]);
      expect(events[0]).toEqual({
        id: command.id,
        seq: 1,
        type: 'change-proposed',
        version: 1,
        actor: { ...under.actor, role: 'lead' },
        device: 'test screen',
        observedAt: '2026-03-02T10:00:00.000Z',
        receivedAt: '2026-03-02T10:00:01.000Z',
        body: { change: OFTEN, reason: 'Counted over a year.' },
      });
      expect(await under.store.tableEvents(under.otherShop)).toEqual([]);
      expect(await versionIn(under.store, under.otherShop)).toBe(SHIPPED);
    });

    it('move every open machine’s line on the Rack at once, and its ticket with its next entry', async () => {
      const under = await open();
      const ticket = randomUUID();
      const write = (...commands: readonly ReturnType<typeof commandOf>[]) =>
        recordCommands(
          under.store,
          { shop: under.shop, ticket, commands, actor: under.actor },
          NOW,
        );
      const complaint = { check: 'complaint', answers: { skip: 'yes' } };
      await write(intakeCommand(), commandOf('findings-recorded', complaint));
      const before = await rackLine(under, ticket);
      expect(before?.likely?.cause).not.toBe('needle-low');

      const command = proposalCommand(OFTEN);
      await record(under, command);
      expect(await rackLine(under, ticket)).toEqual(before);
      await record(under, await acceptance(under, command.id));
      expect((await rackLine(under, ticket))?.likely?.cause).toBe('needle-low');

      await write(
        commandOf('findings-recorded', { check: 'winder', answers: { 'winder-on': 'no' } }),
      );
      const { hash } = (await versionIn(under.store, under.shop)).knowledge;
      expect((await under.store.load(under.shop, ticket)).map((event) => event.type)).toEqual([
        'intake-taken',
        'findings-recorded',
        'knowledge-adopted',
        'findings-recorded',
      ]);
      expect((await under.store.load(under.shop, ticket)).at(-1)?.knowledge).toBe(hash);
      expect(await under.store.version(under.shop, hash)).toBeDefined();
    });

    it('answer a resent command with the stored event, and refuse its id for anything else', async () => {
      const under = await open();
      const command = proposalCommand(OFTEN);
      const stored = await record(under, command);
      expect(await record(under, command)).toEqual(stored);
      const other = { ...proposalCommand({ ...OFTEN, perMille: 3 }), id: command.id };
      expect(await record(under, other)).toMatchObject({ refusal: { code: 'id-used-otherwise' } });
      expect(await under.store.tableEvents(under.shop)).toHaveLength(1);
    });

    it('let several leads propose at once, without a gap and without a loss', async () => {
      const under = await open();
      const commands = [61, 62, 63, 64, 65].map((perMille) =>
        proposalCommand({ ...OFTEN, perMille }),
      );
      const results = await Promise.all(commands.map((command) => record(under, command)));
      expect(results.every(({ ok }) => ok)).toBe(true);
      const events = await under.store.tableEvents(under.shop);
      expect(events.map(({ seq }) => seq)).toEqual([1, 2, 3, 4, 5]);
      expect(new Set(events.map(({ id }) => id))).toEqual(new Set(commands.map(({ id }) => id)));
    });

    it('list the causes that no table has, the latest first, without those taken back', async () => {
      const under = await open();
      const found = (name: string) =>
        commandOf('own-cause-found', { name, remedy: 'Take it off', explains: [] });
      const [kept, gone, late] = [found('Label on spool'), found('Slip'), found('Bent spool pin')];
      const ticket = randomUUID();
      const write = (at: string, ...commands: readonly ReturnType<typeof commandOf>[]) =>
        recordCommands(
          under.store,
          { shop: under.shop, ticket, commands, actor: under.actor },
          () => new Date(at),
        );
      await write('2026-03-02T10:00:00Z', intakeCommand(), kept, gone);
      await write(
        '2026-03-02T11:00:00Z',
        late,
        commandOf('entry-corrected', { corrects: gone.id }),
      );
      const listed = await under.store.candidates(under.shop);
      expect(listed.map(({ own }) => own.name)).toEqual(['Bent spool pin', 'Label on spool']);
      expect(listed[0]).toMatchObject({ ticket, own: { remedy: 'Take it off', explains: [] } });
      expect(await under.store.candidates(under.otherShop)).toEqual([]);
    });

    it('a line on the Rack of a later entry is not overwritten by an earlier one', async () => {
      const under = await open();
      const ticket = randomUUID();
      const request = { shop: under.shop, ticket, actor: under.actor };
      await recordCommands(under.store, { ...request, commands: [intakeCommand()] }, NOW);
      const early = await rackLine(under, ticket);
      const noted = commandOf('observation-noted', { words: 'fine' });
      await recordCommands(under.store, { ...request, commands: [noted] }, NOW);
      const late = await rackLine(under, ticket);
      if (!early) throw new Error('nothing was taken in');
      const { customerName: _name, customerPhone: _phone, ...summary } = early;
      await under.store.replaceSummary(under.shop, summary);
      expect(await rackLine(under, ticket)).toEqual(late);
      expect(late?.seq).toBe(2);
    });
  });
}
