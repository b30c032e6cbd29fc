import { KNOWLEDGE, SHIPPED } from '@nodo/knowledge';
import { POWER_OFF } from '@nodo/ticket';
import { describe, expect, it } from 'vitest';
import { commandOf, signedIn, takeIn } from '../../scripts/lib/testClient.mjs';
import type { Screen } from './screen.ts';
import { useStage } from './stage.ts';

const { sharedScreen, stage } = useStage();

/** So many answers must be seen at once; the interviews of the counter have more. */
const MOST_ANSWERS = 7;

/** What must be known of a check on the screen, as the browser has laid it out. */
interface LaidOut {
  readonly title: string;
  readonly answers: number;
  /** What of it is outside the part of the window that is seen, or covered there. */
  readonly hidden: readonly string[];
  /** Texts under 16 px among title, caution, how and answers. */
  readonly small: readonly string[];
  /** Buttons under 44 px. */
  readonly low: readonly string[];
}

/** Asks the open bench for a check and reads how it lies. */
function lay(screen: Screen, check: string, title: string): Promise<LaidOut> {
  return screen.page.evaluate(
    async (id, wanted) => {
      history.pushState(null, '', `?check=${id}`);
      dispatchEvent(new PopStateEvent('popstate'));
      const frame = () => new Promise((done) => requestAnimationFrame(done));
      const began = performance.now();
      const heading = () => document.querySelector<HTMLElement>('#step-title');
      while (heading()?.textContent !== wanted || location.search !== '') {
        if (performance.now() - began > 5_000) {
          throw new Error(`${id} did not come up: ${heading()?.textContent ?? 'no step'}`);
        }
        await frame();
      }
      // The picture beside it comes with the frames after.
      for (let frames = 0; frames < 4; frames += 1) await frame();
      const section = document.querySelector('section[aria-labelledby="step-title"]');
      const of = (selector: string) => [
        ...(section?.querySelectorAll<HTMLElement>(selector) ?? []),
      ];
      const answers = of('[data-answer]');
      const pinned = of('[data-pinned] button');
      const cautions = of('[data-caution]');
      const looked = [...of('#step-title'), ...cautions, ...answers, ...pinned];
      const isSeen = (element: HTMLElement) => {
        const { left, right, top, bottom } = element.getBoundingClientRect();
        return (
          (
            [
              [left + 3, top + 3],
              [right - 3, bottom - 3],
            ] as const
          ).every(([x, y]) => {
            const hit = document.elementFromPoint(x, y);
            return hit !== null && (element.contains(hit) || hit.contains(element));
          }) &&
          top >= 0 &&
          bottom <= innerHeight
        );
      };
      const name = (element: HTMLElement) => element.innerText.slice(0, 30);
      return {
        title: heading()?.textContent ?? '',
        answers: answers.length,
        hidden: looked.filter((element) => !isSeen(element)).map(name),
        small: [...of('#step-title'), ...cautions, ...of('[data-how]'), ...answers]
          .filter((element) => Number.parseFloat(getComputedStyle(element).fontSize) < 16)
          .map(name),
        low: [...answers, ...pinned]
          .filter((element) => element.getBoundingClientRect().height < 43.5)
          .map(name),
      };
    },
    check,
    title,
  );
}

describe('every check at 1280 x 720', () => {
  it.each([...KNOWLEDGE.families.keys()])(
    'of %s shows title, caution, every answer and its main button at once',
    async (family) => {
      const model = SHIPPED.modelOf(family);
      if (!model) throw new Error(`no such family: ${family}`);
      const api = await signedIn(stage().url, 'odren', 'needle-odren');
      const odren = await sharedScreen('odren');
      await odren.page.setViewport({ width: 1280, height: 720 });
      const faults: string[] = [];
      const states = [...new Set([...model.checks.values()].map(({ access }) => access))];
      let shown = 0;
      for (const state of states) {
        const ticket = await openedTo(api, family, state);
        await odren.go(`/bench/${ticket}`);
        await odren.stepAfter('');
        for (const { id, title, access, findings } of model.checks.values()) {
          if (access !== state) continue;
          const { answers, hidden, small, low } = await lay(odren, id, title);
          // A gate or a part that is off stands before some: what brings that about is shown then.
          if (answers === findings.length + 1) shown += 1;
          if (answers > MOST_ANSWERS) continue;
          for (const [what, found] of Object.entries({ hidden, small, low })) {
            if (found.length > 0) faults.push(`${id}, ${what}: ${found.join(' | ')}`);
          }
        }
      }
      expect(faults).toEqual([]);
      expect(shown).toBeGreaterThan(model.checks.size * 0.9);
    },
  );
});

describe('on a phone, 390 x 844', () => {
  it('every check has its title, its first answers and what is pinned in the first screen', async () => {
    const model = SHIPPED.modelOf('drop-in');
    if (!model) throw new Error('no such family');
    const api = await signedIn(stage().url, 'odren', 'needle-odren');
    const odren = await sharedScreen('odren');
    await odren.page.setViewport({ width: 390, height: 844 });
    await odren.go(`/bench/${await openedTo(api, 'drop-in', 'closed')}`);
    await odren.stepAfter('');
    const faults: string[] = [];
    for (const { id, title, access, findings } of model.checks.values()) {
      if (access !== 'closed') continue;
      const { hidden } = await lay(odren, id, title);
      const first = [title, ...findings.map(({ answer }) => answer)].map((text) =>
        text.slice(0, 30),
      );
      // The first two answers, the title and the pinned ones; the rest is a thumb away.
      const seen = hidden.filter((one) => one === first[0] || one.includes('Log'));
      if (seen.length > 0 || hidden.some((one) => /^[12]\b/.test(one))) {
        faults.push(`${id}: ${hidden.join(' | ')}`);
      }
    }
    expect(faults).toEqual([]);
    const bars = await odren.page.evaluate(() => ({
      header: document.querySelector('header')?.getBoundingClientRect().height ?? 0,
      thumb: [...document.querySelectorAll('nav[aria-label="Parts of this ticket"] > *')].map(
        (one) => {
          const { top, bottom, width } = one.getBoundingClientRect();
          return { top, bottom, width };
        },
      ),
    }));
    expect(bars.header).toBeLessThanOrEqual(56);
    expect(bars.thumb.length).toBeGreaterThanOrEqual(5);
    for (const { top, bottom, width } of bars.thumb) {
      expect(bottom - top).toBeGreaterThanOrEqual(44);
      expect(width).toBeGreaterThanOrEqual(44);
      expect(bottom).toBeLessThanOrEqual(844);
    }
    await odren.page.setViewport({ width: 1280, height: 800 });
  });

  it('a cause that is tapped brings its step into view', async () => {
    const odren = await sharedScreen('odren');
    await odren.page.setViewport({ width: 390, height: 844 });
    await odren.click('Causes');
    await odren.clickWithin('section[aria-labelledby="causes-title"]', 'Needle');
    await odren.sees('The cause you chose');
    const box = await odren.read('#step-title', (title) => title.getBoundingClientRect().top);
    expect(box).toBeGreaterThan(0);
    expect(box).toBeLessThan(300);
    await odren.page.setViewport({ width: 1280, height: 800 });
  });
});

type Api = Awaited<ReturnType<typeof signedIn>>;

/** A machine of this family, taken in with skipped stitches and opened so far. */
async function openedTo(api: Api, family: string, state: string): Promise<string> {
  tag += 1;
  const ticket = await takeIn(api, tag, family);
  if (state === 'closed') return ticket;
  for (const command of [
    commandOf('action-done', { action: POWER_OFF }),
    commandOf('machine-opened', { state }),
  ]) {
    const { status, body } = await api.record(ticket, command);
    if (status !== 200) throw new Error(`refused: ${JSON.stringify(body)}`);
  }
  return ticket;
}

let tag = 500;
