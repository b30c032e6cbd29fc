import type * as Checked from './checked.ts';
import type { Ports } from './ports.ts';

/** The checks of what comes from outside of this page. */
export type Checks = typeof Checked;

/** Of all boundaries: once they are here, nobody waits for them again. */
let loaded: Checks | undefined;

/**
 * Loads the checks when they are first needed, but not before the page is idle: the schemas are no
 * part of what a page needs to begin.
 */
export class Boundary {
  private loading: Promise<Checks> | undefined;

  constructor(private readonly whenIdle: Ports['whenIdle']) {}

  checks(): Promise<Checks> {
    this.loading ??= this.whenIdle().then(() => this.load());
    return this.loading;
  }

  /** The same without waiting for an idle page: work of this person depends on it. */
  urgently(): Promise<Checks> {
    this.loading = this.load();
    return this.loading;
  }

  /**
   * Handles messages in their order, each with the checks at hand. Left out is what cannot be
   * checked because the checks could not be loaded.
   */
  inOrder<Message>(handle: (message: Message, checks: Checks) => void): (message: Message) => void {
    let last: Promise<void> = Promise.resolve();
    return (message) => {
      last = last.then(async () => handle(message, await this.checks())).catch(() => undefined);
    };
  }

  private async load(): Promise<Checks> {
    try {
      loaded ??= await import('./checked.ts');
      return loaded;
    } catch (error) {
      // The next message asks again.
      this.loading = undefined;
      throw error;
    }
  }
}
