import { spawnSync } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { describe, expect, it } from 'vitest';

const root = resolve(import.meta.dirname, '../..');

function diagnose(args: readonly string[], input = '') {
  const { status, stdout, stderr } = spawnSync('npm', ['run', '-s', 'diagnose', '--', ...args], {
    cwd: root,
    input,
    encoding: 'utf8',
  });
  // npm itself may warn about the machine's settings.
  const lines = stderr.split('\n').filter((line) => line !== '' && !line.startsWith('npm warn'));
  return { status, stdout, lines };
}

const question = { machine: { family: 'drop-in' }, findings: { nest: true, 'loops-under': true } };

describe('npm run -s diagnose', () => {
  it('answers a file with one JSON object', () => {
    const file = join(mkdtempSync(join(tmpdir(), 'diagnose-')), 'case.json');
    writeFileSync(file, JSON.stringify(question));
    const { status, stdout, lines } = diagnose([file]);
    expect({ status, lines }).toEqual({ status: 0, lines: [] });
    const given = JSON.parse(stdout) as { causes: { cause: string; probability: number }[] };
    expect(given.causes[0]?.cause).toBe('outside-tension-discs');
    expect(given.causes[0]?.probability).toBeGreaterThan(0.4);
  });

  it('answers standard input', () => {
    const { status, stdout } = diagnose(['-'], JSON.stringify(question));
    expect(status).toBe(0);
    expect(Object.keys(JSON.parse(stdout) as object)).toEqual([
      'causes',
      'next',
      'do',
      'proofMinutes',
      'duties',
      'risk',
      'milliseconds',
    ]);
  });

  it.each([
    [
      'an unknown finding',
      ['-'],
      '{"machine":{"family":"drop-in"},"findings":{"x":true}}',
      'findings.x',
    ],
    ['a missing file', ['no-such-file.json'], '', 'FILE'],
    ['no file named', [], '', 'FILE'],
  ])('refuses %s: exit code 2, one line, nothing on standard output', (_, args, input, field) => {
    const { status, stdout, lines } = diagnose(args, input);
    expect({ status, stdout }).toEqual({ status: 2, stdout: '' });
    expect(lines).toHaveLength(1);
    expect(lines[0]).toContain(`${field}: `);
  });
});
