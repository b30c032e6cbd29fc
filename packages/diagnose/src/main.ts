import { readFileSync } from 'node:fs';
import { answer } from './answer.ts';
import { QuestionFault, readQuestion } from './question.ts';
import { tablesOf } from './tables.ts';

/** The exit code for a question that cannot be answered. */
const REFUSED = 2;

function read(file: string | undefined): string {
  if (file === undefined) throw new QuestionFault('FILE', 'name a file, or - for standard input');
  try {
    return readFileSync(file === '-' ? 0 : file, 'utf8');
  } catch {
    throw new QuestionFault('FILE', `cannot read ${file}`);
  }
}

function answerTo(first: string | undefined, second: string | undefined): unknown {
  return first === '--tables'
    ? tablesOf(second)
    : answer(readQuestion(read(first)), () => performance.now());
}

try {
  const [, , first, second] = process.argv;
  process.stdout.write(`${JSON.stringify(answerTo(first, second))}\n`);
} catch (fault) {
  if (!(fault instanceof QuestionFault)) throw fault;
  process.stderr.write(`${fault.message}\n`);
  process.exitCode = REFUSED;
}
