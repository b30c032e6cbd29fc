import { ADDRESSES, type AnswerOf } from '@nodo/api';
import type { Line } from './network.ts';
import type { Notice, Notices } from './notices.ts';
import type { Said, Stream } from './stream.ts';

/**
 * Knows when everything that a piece of work has caused is on the streams: what the database
 * announced must reach a screen without any fault, and what reaches that must reach them all.
 */
export class Witness {
  /** How much the witness had heard when each stream was opened. */
  private readonly heardBefore = new WeakMap<Stream, number>();
  private heard = 0;

  constructor(
    private readonly own: Line,
    private readonly lines: readonly Line[],
    private readonly notices: Notices,
  ) {}

  /** @throws when something does not come. */
  async hearAll(): Promise<void> {
    const notices = await this.notices.upToNow();
    if (notices.some(({ channel }) => channel === 'people')) await this.endLocked();
    const [witness] = this.own.openStreams;
    if (witness) {
      await witness.until(
        () => witness.isOver || brings(witness.frames.slice(this.heard), notices),
        JSON.stringify(notices),
      );
      this.heard = witness.frames.length;
      for (const stream of this.lines.flatMap(({ openStreams }) => openStreams)) {
        const before = this.heardBefore.get(stream) ?? this.heard - stream.frames.length;
        this.heardBefore.set(stream, before);
        const count = this.heard - before;
        await stream.until(() => stream.isOver || stream.frames.length >= count, `${count} frames`);
      }
    } else this.heard = 0;
    for (const line of this.lines) line.deliver();
  }

  close(): Promise<void> {
    return this.notices.close();
  }

  /** On a locked screen the server ends the stream. */
  private async endLocked(): Promise<void> {
    for (const line of this.lines) {
      const streams = line.openStreams;
      if (streams.length === 0) continue;
      const answer = await line.send(ADDRESSES.whoAmI.path, {});
      const session = (await answer.json()) as AnswerOf<'whoAmI'>;
      if (session?.screen.locked) for (const stream of streams) await stream.hasEnded();
    }
  }
}

function brings(frames: readonly Said[], notices: readonly Notice[]): boolean {
  const count = (kind: string): number => frames.filter((frame) => frame.kind === kind).length;
  const announced = (wanted: string): number =>
    notices.filter(({ channel }) => channel === wanted).length;
  return (
    count('tables') >= announced('table_event') &&
    count('cards') >= announced('card') &&
    notices.every(({ channel, payload }) => {
      if (channel !== 'ticket_event') return true;
      const [, ticket, , last] = payload.split(' ');
      return frames.some(
        (frame) => frame.ticket === ticket && (frame.events?.at(-1)?.seq ?? 0) >= Number(last),
      );
    })
  );
}
