import { mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Transformer } from '@napi-rs/image';
import { afterAll, describe, expect, it } from 'vitest';
import { field } from './screen.ts';
import { useStage } from './stage.ts';

const { sharedScreen } = useStage();

/** A list as an older program writes it: other letters, other names, semicolons. */
const OLD_LIST = Buffer.from(
  'Customer no;Surname;Mobile;Remarks\r\n41;Öhlenrath;0555 0141;owes \u0080 12\r\n42;Brack;0555 0142;\r\n',
  'latin1',
);

describe('a list from another program', () => {
  it('is brought in: its letters and columns found, looked at, taken over whole, found by search', async () => {
    const halle = await sharedScreen('halle');
    await halle.go('/data');
    await halle.giveFile(OLD_LIST);
    await halle.sees('as older programs do (Windows-1252)');
    await halle.sees('Öhlenrath');
    // A sign that only these letters have there.
    await halle.sees('owes € 12');
    await halle.sees('2 new, 0 changed, 0 as they are here already');
    await halle.click('Take over 2');
    await halle.sees('Taken over: 2 new, 0 changed.');
    // The same once more changes nothing.
    await halle.click('Another file');
    await halle.giveFile(OLD_LIST);
    await halle.sees('0 new, 0 changed, 2 as they are here already');
    await halle.sees('Nothing in it is new');
    await halle.click('Another file');
    // Machines: whose they are by name; the kind, which it does not say, by hand.
    await halle.click('Machines');
    await halle.giveFile('Owner,Machine,Serial\nBrack,Umber zigzag,U-9\n', 'machines.csv');
    await halle.sees('Row 2, Kind of machine: is missing');
    await halle.selects('Kind, where the file says none', 'Household drop-in zigzag');
    await halle.sees('1 new, 0 changed');
    await halle.click('Take over 1');
    await halle.sees('Taken over: 1 new, 0 changed.');
    await halle.searches('umber');
    await halle.sees('Umber zigzag');
    expect(halle.complaints).toEqual([]);
  });
});

describe('what the shop wrote', () => {
  it('lies behind links that a browser keeps as files', async () => {
    const halle = await sharedScreen('halle');
    await halle.go('/data');
    await halle.sees('Take it along');
    const links = await halle.page.$$eval('section[aria-label="Take it along"] a', (all) =>
      all.map((link) => [link.pathname, link.hasAttribute('download')]),
    );
    expect(links).toHaveLength(15);
    const answers = await halle.page.evaluate(
      async (paths) => {
        const all = await Promise.all(paths.map((path) => fetch(path)));
        return all.map(({ status, headers }) => [status, headers.get('content-disposition')]);
      },
      links.map(([path]) => String(path)),
    );
    for (const [index, [path, isDownload]] of links.entries()) {
      const name = String(path).split('/').at(-1) ?? '';
      expect(isDownload).toBe(true);
      expect(answers[index]).toEqual([200, `attachment; filename="${name}"`]);
    }
  });
});

describe('a program', () => {
  it('calls by the examples as they stand on the page, until the access is taken back', async () => {
    const halle = await sharedScreen('halle');
    await halle.go('/programs');
    await halle.sees('Two examples');
    await halle.page.type(field('What is it for?'), 'Spreadsheet');
    await halle.click('look and write');
    await halle.page.type('input[type=password]', 'needle-halle');
    await halle.click('Give access');
    await halle.sees('Access for Spreadsheet');
    const secret = await halle.page.$eval(
      field('Secret'),
      (box) => (box as HTMLInputElement).value,
    );
    const examples = await halle.page.$$eval('pre', (all) => all.map((one) => one.innerText));
    expect(examples).toHaveLength(2);
    const call = (example: string) => {
      const [, address = ''] = /(https?:\S+)/.exec(example) ?? [];
      const [, body] = /-d '([^']*)'/.exec(example) ?? [];
      const headers = [...example.matchAll(/-H '([^:]+): ([^']+)'/g)].map(
        ([, name = '', value = '']) => [name, value.replace('SECRET', secret)] as [string, string],
      );
      return fetch(address, { headers, ...(body !== undefined && { method: 'POST', body }) });
    };
    const [rack = '', customers = ''] = examples;
    const machines = (await (await call(rack)).json()) as { tag: number | null }[];
    expect(machines.length).toBeGreaterThan(20);
    const looked = await call(customers);
    expect(await looked.json()).toMatchObject({ applied: false, counts: { new: 1, faulty: 0 } });
    await halle.click('I have it');
    await halle.click('Withdraw');
    await expect.poll(async () => (await call(rack)).status).toBe(401);
  });
});

describe('a drawing', () => {
  const folder = mkdtempSync(join(tmpdir(), 'nodo-drawings-'));
  afterAll(() => rmSync(folder, { recursive: true, force: true }));

  it('is kept as lines and as points, which show the same to another program', async () => {
    const odren = await sharedScreen('odren', 'night');
    const session = await odren.page.createCDPSession();
    const { id: browserContextId } = odren.page.browserContext();
    await session.send('Browser.setDownloadBehavior', {
      behavior: 'allow',
      downloadPath: folder,
      ...(browserContextId !== undefined && { browserContextId }),
    });
    await odren.go('/bobbin/tension');
    const keep = async (format: string) => {
      await odren.click(`Keep this drawing as ${format}`);
      const ending = `.${format.toLowerCase()}`;
      const kept = () => readdirSync(folder).find((name) => name.endsWith(ending));
      await expect.poll(kept).toBeDefined();
      return readFileSync(join(folder, kept() ?? ''));
    };
    const lines = await keep('SVG');
    const points = await keep('PNG');
    const text = lines.toString('utf8');
    expect(text).toMatch(/^<svg [^>]*xmlns="http:\/\/www\.w3\.org\/2000\/svg"/);
    // Nothing is left that only the page knows.
    expect(text).not.toMatch(/var\(--|class=/);
    // Drawn by a program of its own (resvg).
    const drawn = await Transformer.fromSvg(text).metadata();
    const shown = await new Transformer(points).metadata();
    expect(shown.width / shown.height).toBeCloseTo(drawn.width / drawn.height, 2);
    const [one, other] = await Promise.all(
      [Transformer.fromSvg(text), new Transformer(points)].map((picture) =>
        picture.resize(shown.width / 3).rawPixels(),
      ),
    );
    const [inkOfOne, inkOfOther] = [inkIn(one as Buffer), inkIn(other as Buffer)];
    expect(inkOfOne).toBeGreaterThan(0.005);
    // Letters may be of another typeface there; lines are where they are.
    expect(inkOfOther / inkOfOne).toBeGreaterThan(0.6);
    expect(inkOfOther / inkOfOne).toBeLessThan(1.7);
    expect(odren.complaints).toEqual([]);
  });
});

/** How much of a picture is not the ground of its first point. @param pixels red, green, blue, alpha each */
function inkIn(pixels: Buffer): number {
  let ink = 0;
  for (let at = 0; at < pixels.length; at += 4) {
    const away = Math.abs((pixels[at] ?? 0) - (pixels[0] ?? 0));
    if (away > 60) ink += 1;
  }
  return ink / (pixels.length / 4);
}
