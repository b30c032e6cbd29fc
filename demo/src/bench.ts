import { minutes } from '@nodo/core';
import type { Actor } from '@nodo/kernel';
import {
  type ActionId,
  type CheckId,
  COMPLAINT,
  type FamilyModel,
  type FindingId,
  FLAT_SYSTEM,
  INTERVIEWS,
  proofOf,
  SEWN_AS_FOUND,
  SHIPPED,
} from '@nodo/knowledge';
import { type EventStore, type RecordRequest, recordCommands } from '@nodo/server';
import {
  assess,
  type CommandPayload,
  type EventType,
  foldTicket,
  gatesUnmet,
  modelOfTicket,
  NEEDLE_REPLACED,
  newCommand,
  nextStep,
  PIECES_FOUND,
  POWER_OFF,
  type Ticket,
} from '@nodo/ticket';
import { DEMO_CARD } from './card.ts';
import { idOf } from './ids.ts';
import { DEMO_PEOPLE, DEMO_SHOP, type DemoLogin } from './people.ts';

const MINUTE_MS = 60_000;

type Known = Pick<RecordRequest, 'customer' | 'machine'>;

/** The story of one machine, told entry by entry through the same code as the real bench. */
export class DemoBench {
  /** Whose machine it is, as the first entry brought it. */
  known: Known = {};
  private count = 0;

  constructor(
    private readonly store: EventStore,
    readonly ticket: string,
    private at: Date,
  ) {}

  /** Lets time go by. */
  wait(minutes: number): this {
    this.at = new Date(this.at.getTime() + minutes * MINUTE_MS);
    return this;
  }

  /** On to another day. */
  goTo(at: Date): this {
    this.at = at;
    return this;
  }

  async record<Type extends EventType>(
    by: DemoLogin,
    type: Type,
    command: CommandPayload<Type>,
    known: Known = {},
  ): Promise<void> {
    if (this.count === 0) this.known = known;
    const { id: person, role } = DEMO_PEOPLE[by];
    const actor: Actor = { person, role };
    this.count += 1;
    const entered = newCommand(type, command, {
      id: idOf(`${this.ticket} ${this.count}`),
      epoch: (await this.now()).epoch,
      observedAt: this.at.toISOString(),
      device: by === 'mirra' ? 'counter' : `bench of ${DEMO_PEOPLE[by].name}`,
    });
    const recorded = await recordCommands(
      this.store,
      {
        shop: DEMO_SHOP.id,
        ticket: this.ticket,
        commands: [entered],
        actor,
        ...known,
      },
      () => this.at,
    );
    if (!recorded.ok) {
      throw new Error(`Demo ticket ${this.ticket}, ${type}: ${JSON.stringify(recorded.refusal)}`);
    }
    this.wait(0.4);
  }

  async now(): Promise<Ticket> {
    return foldTicket(this.ticket, await this.store.load(DEMO_SHOP.id, this.ticket));
  }

  /** What the customer says is wrong, in the words of the sheet. */
  complains(findings: readonly FindingId[]): Promise<void> {
    const answers = Object.fromEntries(findings.map((finding) => [finding, 'yes' as const]));
    return this.record('mirra', 'findings-recorded', { check: COMPLAINT, answers });
  }

  /** Looks at one check: what is named was seen, everything else of it was not. */
  look(by: DemoLogin, check: CheckId, ...seen: readonly FindingId[]): Promise<void> {
    return this.answer(by, check, seen);
  }

  /** The same for a check that the model of the machine names. */
  private async answer(by: DemoLogin, checkId: string, seen: readonly string[]): Promise<void> {
    const model = await this.model();
    const check = model.checks.get(checkId);
    if (!check) throw new Error(`${checkId} is not on this machine`);
    const ticket = await this.now();
    const isOff = ticket.open.size > 0 || ticket.power === 'off';
    if (check.needs === 'sews' && isOff) await this.closeUp(by);
    else await this.reach(by, check.access);
    this.wait(check.minutes);
    await this.record(by, 'findings-recorded', {
      check: checkId,
      answers: Object.fromEntries(
        check.findings.map(({ id }) => [id, seen.includes(id) ? 'yes' : 'no']),
      ),
    });
  }

  act(by: DemoLogin, action: ActionId, note?: string): Promise<void> {
    return this.perform(by, action, note);
  }

  /** The same for an action that the model of the machine names. */
  private async perform(by: DemoLogin, action: string, note?: string): Promise<void> {
    const minutes = (await this.model()).actions.get(action)?.minutes ?? 1;
    this.wait(minutes);
    if (action === PIECES_FOUND) await this.layWhole(by);
    await this.unplugFor(by, `action:${action}`);
    await this.record(by, 'action-done', { action, ...(note === undefined ? {} : { note }) });
    if (action === NEEDLE_REPLACED) await this.fitNeedle(by);
  }

  /** A broken needle of which everything was found. */
  private layWhole(by: DemoLogin): Promise<void> {
    return this.record(by, 'pieces-laid', {
      at: 1,
      whole: FLAT_SYSTEM.whole,
      pieces: [20.5, 18],
      struck: null,
    });
  }

  /** The needle of the standard proof goes in, the one before is thrown away. */
  private async fitNeedle(by: DemoLogin): Promise<void> {
    const { family } = await this.model();
    await this.record(by, 'needle-fitted', {
      at: 1,
      needle: { system: family.needleSystem, size: 80, point: 'fine-sharp', coating: 'chrome' },
      from: 'new',
      opened: null,
      sewn: 0,
      before: 'used-up',
      beforeSewn: null,
    });
  }

  /** Finds a cause by the look that tells it, and puts it right. */
  async findAndFix(by: DemoLogin, cause: string): Promise<void> {
    const model = await this.model();
    const { sure = [], usual = [] } = model.causes.get(cause)?.shows ?? {};
    const finding =
      [...model.findings.values()].find(({ defines }) => defines === cause) ??
      [...sure, ...usual]
        .flatMap((id) => model.findings.get(id) ?? [])
        .find(({ check }) => !INTERVIEWS.has(check) && !model.sewing.has(check));
    const repair = [...model.actions.values()].find(
      (action) => action.repair && !action.needsReason && action.treats.includes(cause),
    );
    if (!finding || !repair) {
      throw new Error(`${this.ticket}: ${cause} on ${model.family.id} is not told or treated`);
    }
    await this.answer(by, finding.check, [finding.id]);
    await this.perform(by, repair.id);
  }

  /** Charges what was worked, at what the shop charges. */
  async bill(by: DemoLogin, labourMinutes: number): Promise<void> {
    const { hour, taxPerMille, taxIncluded, currency } = DEMO_CARD;
    await this.record(by, 'bill-made', {
      labourMinutes,
      rates: { hour, taxPerMille, taxIncluded },
      currency,
    });
  }

  /** Sews it on the customer's own work, and nothing shows. */
  private async sewInSilence(by: DemoLogin, sewnMinutes: number): Promise<void> {
    const model = await this.model();
    const { open, power } = await this.now();
    if (open.size > 0 || power === 'off') await this.closeUp(by);
    this.wait(sewnMinutes);
    const findings = model.checks.get(SEWN_AS_FOUND)?.findings ?? [];
    await this.record(by, 'findings-recorded', {
      check: SEWN_AS_FOUND,
      answers: Object.fromEntries(findings.map(({ id }) => [id, 'no'] as const)),
      sewnMinutes,
      onTheWork: true,
    });
  }

  /** Pays what is still owed, with clean results, and ties the knot. */
  async proveAndClose(by: DemoLogin): Promise<void> {
    const model = await this.model();
    for (let steps = 0; steps < 40; steps += 1) {
      const ticket = await this.now();
      const assessment = assess(ticket, model);
      const step = nextStep(
        ticket,
        model,
        { ...assessment, risk: 0, beliefs: [] },
        {
          checks: [],
          actions: [],
          whileOpen: [],
          lowersRisk: undefined,
          isWorthGoingOn: false,
          proof: proofOf(model, assessment.evidence),
          proofMinutes: minutes(0),
        },
      );
      switch (step.kind) {
        case 'prove':
          await this.sewInSilence(by, step.minutes);
          break;
        case 'check':
          await this.answer(by, step.check, goodNewsOf(model, assessment, step.check));
          break;
        case 'action':
          await this.perform(by, step.actions[0] ?? '');
          break;
        case 'close-machine':
          await this.closeUp(by);
          break;
        case 'close-ticket':
          await this.record(by, 'ticket-closed', {});
          return;
        case 'waive':
        case 'repair':
        case 'settle':
        case 'ask-symptoms':
        case 'search-on':
          throw new Error(`${this.ticket}: the demo cannot close over ${JSON.stringify(step)}`);
      }
    }
    throw new Error(`${this.ticket}: the demo never comes to an end`);
  }

  private async model(): Promise<FamilyModel> {
    const model = modelOfTicket(await this.now(), SHIPPED);
    if (!model) throw new Error(`${this.ticket}: no such family`);
    return model;
  }

  private async reach(by: DemoLogin, access: string): Promise<void> {
    const ticket = await this.now();
    if (access === 'closed' || ticket.open.has(access)) return;
    if (ticket.power === 'on') await this.act(by, 'power-off-confirmed');
    await this.record(by, 'machine-opened', { state: access });
  }

  /** Off and unplugged, where a step asks for it. */
  private async unplugFor(by: DemoLogin, step: Parameters<typeof gatesUnmet>[2]): Promise<void> {
    const unmet = gatesUnmet(await this.now(), await this.model(), step);
    if (unmet.includes(`action:${POWER_OFF}`)) {
      await this.record(by, 'action-done', { action: POWER_OFF });
    }
  }

  private async closeUp(by: DemoLogin): Promise<void> {
    if ((await this.now()).open.size > 0) await this.record(by, 'machine-closed', {});
    await this.act(by, 'power-on');
  }
}

/** Findings of a check that clear what is owed. */
function goodNewsOf(
  model: FamilyModel,
  { duties }: ReturnType<typeof assess>,
  check: string,
): readonly string[] {
  return duties
    .filter(({ state }) => state === 'owed')
    .flatMap(({ missing }) => [...missing.all, ...missing.any])
    .filter(({ kind, id }) => kind === 'finding' && model.findings.get(id)?.check === check)
    .map(({ id }) => id);
}
