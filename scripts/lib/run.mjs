import { spawn } from 'node:child_process';

/**
 * Runs a program to its end and returns what it printed.
 * @param {string} program
 * @param {readonly string[]} args
 * @param {import('node:child_process').SpawnOptions & { input?: string, onOutput?: (text: string) => void }} [options]
 *   onOutput: called with each piece of it while it runs
 * @returns {Promise<{ code: number, output: string }>} both streams, in the order they came
 */
export function run(program, args, options = {}) {
  return new Promise((resolve, reject) => {
    const { input, onOutput, ...rest } = options;
    const child = spawn(program, args, { ...rest, stdio: ['pipe', 'pipe', 'pipe'] });
    let output = '';
    for (const stream of [child.stdout, child.stderr]) {
      stream?.on('data', (chunk) => {
        output += String(chunk);
        onOutput?.(String(chunk));
      });
    }
    child.on('error', reject);
    child.on('close', (code) => resolve({ code: code ?? 1, output }));
    child.stdin?.on('error', () => undefined);
    child.stdin?.end(input ?? '');
  });
}

/**
 * As {@link run}, but anything other than success is an error that shows the last lines.
 * @param {string} program
 * @param {readonly string[]} args
 * @param {Parameters<typeof run>[2]} [options]
 */
export async function mustRun(program, args, options) {
  const { code, output } = await run(program, args, options);
  if (code !== 0) {
    const end = output.trim().split('\n').slice(-15).join('\n');
    throw new Error(`${program} ${args.slice(0, 3).join(' ')} failed (${code}):\n${end}`);
  }
  return output;
}
