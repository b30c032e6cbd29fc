import { demoTicketId } from '@nodo/demo';
import { describe, expect, it } from 'vitest';
import { choose } from './choose.ts';
import type { Screen } from './screen.ts';
import { useStage } from './stage.ts';

const { screen, stage } = useStage();

/** Types over what stands in a field. */
async function fill(one: Screen, label: string, text: string): Promise<void> {
  const field = `::-p-aria([name="${label}"])`;
  await one.page.waitForSelector(field);
  await one.page.$eval(field, (box) => {
    (box as HTMLInputElement).select();
  });
  await one.page.type(field, text);
}

describe('the bobbin instrument', () => {
  it('tells a look-alike from the class that the machine takes, and keeps it as a finding', async () => {
    const odren = await screen('odren');
    await odren.go(`/bench/${demoTicketId(6)}/bobbin/which`);
    await odren.sees('Measure it, and its class stands here.');
    await fill(odren, 'Across, mm', '20,6');
    await fill(odren, 'Width, mm', '8.9');
    await odren.sees('It is a Class L bobbin.');
    await choose(odren, 'This machine takes', 'Class 15');
    await odren.sees('They look alike and do not interchange.');
    const drawn = await odren.page.evaluate(() => {
      const drawing = document.querySelector('svg[data-scale]:has([data-measured])');
      const scale = Number(drawing?.getAttribute('data-scale'));
      const box = drawing?.querySelector('[data-measured]')?.getBoundingClientRect();
      return { width: (box?.width ?? 0) / scale, height: (box?.height ?? 0) / scale };
    });
    // To scale, but for the line's own width.
    expect(Math.abs(drawn.width - 8.9)).toBeLessThan(0.6);
    expect(Math.abs(drawn.height - 20.6)).toBeLessThan(0.6);
    await odren.click('Save');
    await odren.sees('Likely now: Bobbin of another class 9');
    expect(odren.complaints).toEqual([]);
  });

  it('tells by its hole that one of the right class is not like the machine’s own', async () => {
    const tavi = await screen('tavi');
    await tavi.go(`/bench/${demoTicketId(33)}/bobbin/which`);
    await tavi.sees('Measure it, and its class stands here.');
    await fill(tavi, 'Across, mm', '20.3');
    await fill(tavi, 'Width, mm', '11.7');
    await tavi.sees('No table of classes tells the hole');
    await fill(tavi, 'Hole, mm', '7,2');
    await fill(tavi, 'Own bobbin’s hole, mm', '7');
    await tavi.sees('Hole 7.2 mm, own 7 mm');
    await tavi.seesNot('It is not like the machine’s own');
    await fill(tavi, 'Own bobbin’s hole, mm', '6');
    await tavi.sees('It is not like the machine’s own');
    await tavi.click('Save');
    await tavi.sees('Likely now: Bobbin of another class 9');
    expect(tavi.complaints).toEqual([]);
  });

  it('says which way metal on a magnet pulls the balance', async () => {
    const tavi = await screen('tavi');
    await tavi.go('/bobbin/which');
    await tavi.sees('Which bobbin is it?');
    await tavi.selects('Kind of machine', 'Household drop-in zigzag with a magnet under the case');
    await choose(tavi, 'Material', 'metal');
    await tavi.sees('the knot moves down and the top thread shows underneath');
    await choose(tavi, 'Material', 'plastic');
    await tavi.seesNot('the knot moves down');
    expect(tavi.complaints).toEqual([]);
  });

  it('sets the tension by the hanging test in steps of five minutes, and knows the way back', async () => {
    const halle = await screen('halle');
    await halle.go(`/bench/${demoTicketId(30)}/bobbin/tension`);
    await halle.sees('20 to 30 gf');
    await halle.click('It is off and unplugged');
    await fill(halle, 'Case with bobbin, g', '18');
    await fill(halle, 'Slid then, mm', '0');
    await halle.sees('It hangs still: at least 18 gf');
    await fill(halle, 'Slid then, mm', '15');
    // 18 g x (1 + 25/15) = 48 gf: worked by hand.
    await halle.sees('48 gf');
    await halle.sees('Above its usual range');
    await halle.click('Save');
    await fill(halle, 'Slot points at, minutes', '10');
    await halle.click('−5 looser');
    await halle.sees('Way back +5 min');
    await halle.click('−5 looser');
    await halle.sees('Way back +10 min');
    await fill(halle, 'Slid then, mm', '40');
    // The handbook's own case: 29.3 gf by energy.
    await halle.sees('29.3 gf');
    await halle.sees('Within its usual range.');
    await halle.click('Save');
    await halle.click('Next step');
    await halle.stepAfter('');
    await halle.readHistory();
    for (const told of [
      'Bobbin tension 48 gf, outside 20 to 30, as found',
      'Case screw looser by 5 min',
      'Bobbin tension 29.3 gf, within 20 to 30, as set',
    ]) {
      await halle.sees(told);
    }
    expect(halle.complaints).toEqual([]);
  });

  it('names the gauge’s stand-in as one, and keeps nothing of it', async () => {
    const odren = await screen('odren');
    await odren.go(`/bench/${demoTicketId(30)}/bobbin/tension`);
    await choose(odren, 'Measured by', 'gauge');
    await odren.sees('A stand-in: it makes up a pull');
    await odren.click('Draw the thread off');
    await odren.sees('Within its usual range.');
    await odren.click('Stop');
    await odren.sees('A stand-in’s reading is not saved.');
    expect(odren.complaints).toEqual([]);
  });

  it('says whether the bobbin lasts', async () => {
    const odren = await screen('odren');
    await odren.go('/bobbin/left');
    await odren.sees('It lasts for this job.');
    await fill(odren, 'Winding across now, mm', '9');
    await fill(odren, 'Seam still to sew, m', '40');
    await odren.sees('It does not last');
    await fill(odren, 'Winding across now, mm', '30');
    await odren.sees('These measures do not go together');
    expect(odren.complaints).toEqual([]);
  });

  it('finds a bobbin soft and turned over, has it put right, and proves it', async () => {
    const odren = await screen('odren');
    await odren.go(`/bench/${demoTicketId(27)}/bobbin/condition`);
    await odren.sees('Mostly so in a drop-in case: anticlockwise.');
    expect(await odren.read('[data-turn]', (svg) => svg.getAttribute('data-turn'))).toBe(
      'anticlockwise',
    );
    await choose(odren, 'it is wound', 'soft');
    await odren.sees('Thread pulled right into the winder’s disc');
    await choose(odren, 'drawn off it turns', 'clockwise');
    await odren.sees('It turns the wrong way: turn the bobbin over.');
    await choose(odren, 'The thread lies', 'under the spring, with drag');
    await odren.click('Save what was seen');
    await odren.sees('Likely now: Bobbin wound soft or uneven 9');
    // What was put right is to be looked at again; what was sound and not touched stays sound.
    await odren.click('A sound, firmly wound bobbin is in');
    await odren.click('Turned, threaded, tail left long');
    await odren.sees('something was done since: look again');
    for (const [question, answer] of [
      ['it is wound', 'firm'],
      ['drawn off it turns', 'anticlockwise'],
      ['The thread lies', 'under the spring, with drag'],
      ['The tail is', 'about 10 cm or longer'],
      ['catches at', 'nothing: smooth'],
    ] as const) {
      await choose(odren, question, answer);
    }
    await odren.click('Save what was seen');
    await odren.sees('The bobbin is sound.');
    expect(odren.complaints).toEqual([]);
  });

  it('locates a hang-up at the case, and what the turns showed moves the causes', async () => {
    const tavi = await screen('tavi');
    await tavi.go(`/bench/${demoTicketId(25)}/bobbin/case`);
    await tavi.sees('Where does the thread hang?');
    await tavi.click('It is off and unplugged');
    await choose(tavi, 'With bobbin and case', 'it hangs');
    await choose(tavi, 'Without the bobbin', 'it hangs');
    await choose(tavi, 'Without bobbin and case', 'it hangs');
    await tavi.sees('Hook or race hold it.');
    // An earlier turn told otherwise asks the later ones anew.
    await choose(tavi, 'Without the bobbin', 'it passes');
    await tavi.sees('The bobbin holds it.');
    await tavi.seesNot('Without bobbin and case');
    await choose(tavi, 'Without the bobbin', 'it hangs');
    await choose(tavi, 'Without bobbin and case', 'it passes');
    await tavi.sees('The case or its stop holds it.');
    await tavi.selects('Where it hangs, by the clock', '4 o’clock');
    await tavi.click('Save the turns');
    await tavi.sees('Raised burr on the bobbin case 4');
    await tavi.click('Next step');
    await tavi.stepAfter('');
    await tavi.readHistory();
    for (const told of [
      'Turn by hand and watch the thread go round: thread hangs up on its way round',
      'Turn again without the bobbin: it hangs as before',
      'Turn again without bobbin and case: it passes now',
      '“The thread hangs at 4 o’clock.”',
    ]) {
      await tavi.sees(told);
    }
    expect(tavi.complaints).toEqual([]);
  });

  it('holds the stop’s gap against the thread, and keeps no gap of a case out of its seat', async () => {
    const odren = await screen('odren');
    await odren.go(`/bench/${demoTicketId(6)}/bobbin/case`);
    await odren.click('It is off and unplugged');
    await fill(odren, 'Slips through, mm', '0,15');
    await fill(odren, 'Does not, mm', '0.3');
    await odren.sees('These feelers are too far apart to tell.');
    await fill(odren, 'Does not, mm', '0.1');
    await odren.sees('What does not pass must be thicker');
    await fill(odren, 'Does not, mm', '0.18');
    // All-purpose thread of 0.196 mm is .152 without air: between the two it drags.
    await odren.sees('is held, or drags, squeezed');
    await odren.sees('Not even all-purpose thread slips');
    const mayKeep = () =>
      odren.page.$$eval('button', (all) =>
        all.some((one) => one.innerText === 'Save the gap' && !one.disabled),
      );
    expect(await mayKeep()).toBe(false);
    await odren.sees('Seat the case first');
    await choose(odren, 'The case', 'lies against its stop');
    await odren.click('Save the seat');
    await odren.seesNot('Seat the case first');
    await odren.click('Save the gap');
    await odren.sees('No thread gap at the case stop or bracket 8');
    expect(odren.complaints).toEqual([]);
  });
});

describe('the map of marks', () => {
  /** Taps a map at a place of its clock. */
  async function tap(at: Screen, hour: number, out: number): Promise<void> {
    const pad = await at.page.waitForSelector('button[aria-label^="Put a mark"]');
    await pad?.scrollIntoView();
    const box = await pad?.boundingBox();
    if (!box) throw new Error('no map');
    const radius = (box.width / 2) * (46 / 60) * out;
    const angle = (hour / 6) * Math.PI;
    await at.page.mouse.click(
      box.x + box.width / 2 + radius * Math.sin(angle),
      box.y + box.height / 2 - radius * Math.cos(angle),
    );
  }
  async function lay(at: Screen, hour: number, out: number, kind: string, length: string) {
    await tap(at, hour, out);
    await choose(at, 'It is', kind);
    await choose(at, 'Length, mm', length);
    await at.click('Put it on the map');
    await at.seesNot('Put it on the map');
  }

  it('keeps two raised marks and a pierce: dressed, replaced, proven, seen at the next visit', async () => {
    const halle = await screen('halle');
    const ticket = demoTicketId(27);
    await halle.go(`/bench/${ticket}/bobbin/marks?on=case-inside`);
    // The visit before left a mark that was dressed; it lies dashed.
    await halle.sees('raised, at 1 o’clock, 2 mm (dressed by hand, down to 800 grit)');
    expect(await halle.page.$$eval('[data-earlier]', (all) => all.length)).toBe(1);
    // What is off the machine is true for whoever takes over.
    await halle.click('It is off and unplugged');
    await halle.sees('Open first:');
    await halle.clickWithin('main', 'Done: ');
    await halle.seesNot('Open first:');
    await lay(halle, 11.5, 0.8, 'raised', '1');
    await lay(halle, 5, 0.85, 'raised', '2');
    await tap(halle, 1, 0.8);
    await halle.sees('An earlier mark lay here');
    await choose(halle, 'It is', 'pierced');
    await halle.click('Put it on the map');
    await halle.sees('Pierced: it is replaced, not dressed.');
    await halle.sees('2 Case, inside: raised, at 5 o’clock, 2 mm dress it');
    await halle.click('The case is looked at inside and outside');
    await halle.sees('Likely now: Raised burr on the bobbin case 9');

    // On the plate a dent from the same side: one event, with what it did not pass unseen.
    await halle.click('Plate, from above not looked at');
    await halle.sees('depression, between 2 and 3 o’clock, inwards, 1 mm (left as it was)');
    await halle.click('Still there');
    await halle.sees('seen before');
    await lay(halle, 9, 0.35, 'depression', '1');
    await halle.sees('harmless: leave it');
    await halle.sees('One strike can have left the marks on plate, case');
    await halle.sees('On its way and not looked at yet: foot, hook.');
    await halle.click('Both sides of the plate are looked at');
    await halle.sees('Plate: smooth, proven.');

    await halle.click('Case, inside marked · 3 marks');
    // A plastic case: by hand alone.
    await halle.sees('hand tools');
    await halle.seesNot('a rotary tool');
    await halle.sees('Abrasive of 400 grit');
    await halle.click('Dressed 1');
    await halle.sees('dressed by hand, down to 600 grit');
    await halle.click('Dressed 2');
    await halle.sees('look again');
    await halle.click('Case replaced');
    await halle.sees('gone with the part');
    // The old case's mark went with it.
    await halle.sees('down to 600 grit; gone with the part');
    await halle.sees('No marks from earlier visits.');
    await halle.click('Smooth now: fingertip and bright thread pass');
    await halle.sees('Case: smooth, proven.');
    await halle.click('Next step');
    await halle.stepAfter('');
    await halle.readHistory();
    for (const told of [
      'Case, inside: pierced at 1 o’clock, 1 mm',
      'Mark dressed by hand, down to 600 grit',
      'Bobbin case dressed',
      'Bobbin case replaced',
      'Bobbin case surface: smooth all round',
    ]) {
      await halle.sees(told);
    }

    const mirra = await screen('mirra');
    await mirra.go('/counter');
    await mirra.sees('Has it been here?');
    await mirra.page.type('::-p-aria([name="Has it been here?"])', 'teal zig');
    await mirra.clickWithin('section[aria-label="Is it known?"]', 'Teal zigzag');
    await mirra.sees('It is Teal zigzag.');
    await mirra.sees('It is Mrs Ilvane.');
    await mirra.click('Needles break');
    await mirra.click('Save ticket');
    await mirra.click('Open this ticket');
    await mirra.page.waitForFunction(() => location.pathname.startsWith('/ticket/'));
    const next = new URL(mirra.page.url()).pathname.split('/').at(-1) ?? '';
    expect(next).not.toBe(ticket);
    await halle.go(`/bench/${next}/bobbin/marks?on=plate-top`);
    await halle.sees('What did the needle mark?');
    await halle.sees('depression, at 9 o’clock, inwards, 1 mm (left as it was)');
    expect(await halle.page.$$eval('[data-earlier]', (all) => all.length)).toBe(2);
    await halle.click('It is off and unplugged');
    await lay(halle, 5, 0.4, 'raised', '1');
    expect(await halle.page.$$eval('[data-mark]:not([data-earlier])', (all) => all.length)).toBe(1);
    await halle.click('Case, inside not looked at');
    // The new case has none; what was on the old one is still told.
    await halle.sees('No marks from earlier visits.');
    await halle.sees('On a part replaced since: 4 marks');
    expect([...halle.complaints, ...mirra.complaints]).toEqual([]);
  });

  it('is laid by keys alone, undone, and kept off line', async () => {
    const odren = await screen('odren');
    await odren.go(`/bench/${demoTicketId(30)}/bobbin/marks?on=hook`);
    await odren.sees('None so far.');
    await odren.page.focus('button[aria-label^="Put a mark"]');
    for (const key of ['ArrowUp', 'ArrowRight', 'ArrowRight', 'ArrowRight', 'ArrowRight']) {
      await odren.press(key);
    }
    await odren.sees('A mark at 2 o’clock');
    await choose(odren, 'It is', 'scratch');
    await choose(odren, 'Length, mm', '8');
    await stage().killServer('SIGKILL');
    await odren.click('Put it on the map');
    await odren.sees('1 Hook: scratch, at 2 o’clock, 8 mm dress it');
    // To the map's scale: 36 mm across on a circle of radius 46.
    const long = await odren.read('[data-mark=scratch] path', (line) => line.getTotalLength());
    expect((long * 36) / 92).toBeCloseTo(8, 3);
    await stage().startServer();
    await odren.seesNot('No connection.');
    await odren.click('Undo 1');
    await odren.sees('None so far.');
    expect(odren.complaints.filter((said) => !said.includes('net::ERR'))).toEqual([]);
  });
});
