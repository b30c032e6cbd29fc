import { openingChain } from '@nodo/core';
import {
  beginStory,
  type FamilyModel,
  modelOf,
  type Story,
  type StoryStep,
  tellStep,
} from '@nodo/knowledge';
import { printParseErrorCode, visit } from 'jsonc-parser';
import * as z from 'zod/mini';

/** What was asked cannot be answered; the message is one line and names the field. */
export class QuestionFault extends Error {
  constructor(field: string, problem: string) {
    super(`${field}: ${problem}`.replaceAll(/\s+/g, ' '));
    this.name = 'QuestionFault';
  }
}

/** The story's key on the command line; not a promise's. */
const THEN = 'then';
const FINDINGS = z.record(z.string(), z.boolean());
const OFTEN = z.enum(['always', 'seam', 'now-and-then', 'hours']);
const STEP = z.union([
  z.strictObject({ findings: FINDINGS }),
  z.strictObject({ did: z.string() }),
  z.strictObject({
    sewn: z.string(),
    seen: z.boolean(),
    minutes: z.number().check(z.positive(), z.maximum(1440)),
  }),
]);

const SHAPE = z.strictObject({
  machine: z.strictObject({ family: z.string() }),
  findings: z._default(FINDINGS, {}),
  often: z.optional(OFTEN),
  [THEN]: z._default(z.array(STEP), []),
  access: z._default(z.union([z.string(), z.array(z.string())]), 'closed'),
  plan: z._default(z.enum(['per-minute', 'one-at-a-time', 'full-sweep']), 'per-minute'),
  place: z._default(z.enum(['phone', 'counter', 'bench']), 'bench'),
});

export interface Question {
  readonly model: FamilyModel;
  /** What was reported first, and then step by step. */
  readonly story: Story;
  /** How often reported symptoms show; undefined when not said. */
  readonly often: z.infer<typeof OFTEN> | undefined;
  readonly plan: z.infer<typeof SHAPE>['plan'];
  readonly place: z.infer<typeof SHAPE>['place'];
}

/** @throws QuestionFault for text that is not JSON, a key given twice, unknown or misplaced ids. */
export function readQuestion(text: string): Question {
  const shaped = SHAPE.safeParse(parseOnce(text));
  if (!shaped.success) {
    const [issue] = shaped.error.issues;
    const unknown = issue?.code === 'unrecognized_keys' ? issue.keys.slice(0, 1) : [];
    const field = [...(issue?.path ?? []), ...unknown].join('.');
    throw new QuestionFault(field || 'file', issue?.message ?? 'not understood');
  }
  const { machine, findings, access, plan, place, often } = shaped.data;
  const model = modelOf(machine.family);
  if (!model) throw new QuestionFault('machine.family', `no family "${machine.family}"`);
  const steps = [
    findingsStep(model, findings, 'findings'),
    ...shaped.data[THEN].map((step, index) => storyStep(model, step, `${THEN}.${index}`)),
  ];
  const story = steps.reduce(tellStep, beginStory(model, openStates(model, access)));
  return { model, story, often, plan, place };
}

function storyStep(model: FamilyModel, step: z.infer<typeof STEP>, field: string): StoryStep {
  if ('findings' in step) return findingsStep(model, step.findings, `${field}.findings`);
  if ('did' in step) {
    if (!model.actions.has(step.did)) {
      throw new QuestionFault(`${field}.did`, `a ${model.family.id} machine has no such action`);
    }
    return { kind: 'did', action: step.did };
  }
  const { sewn, seen, minutes } = step;
  if (!model.findings.get(sewn)?.symptom) {
    throw new QuestionFault(`${field}.sewn`, `a ${model.family.id} machine has no such symptom`);
  }
  return { kind: 'sewn', watched: [sewn], shown: seen ? [sewn] : [], minutes };
}

function findingsStep(
  model: FamilyModel,
  findings: Readonly<Record<string, boolean>>,
  field: string,
): StoryStep {
  for (const id of Object.keys(findings)) {
    if (!model.findings.has(id)) {
      throw new QuestionFault(`${field}.${id}`, `a ${model.family.id} machine has no such finding`);
    }
  }
  return { kind: 'found', findings: new Map(Object.entries(findings)) };
}

/** The states named, and what had to be opened before them. */
function openStates(model: FamilyModel, access: string | readonly string[]): ReadonlySet<string> {
  const named = typeof access === 'string' ? [access] : access;
  const open = named.flatMap((id, index) => {
    if (!model.access.some((state) => state.id === id)) {
      const field = typeof access === 'string' ? 'access' : `access.${index}`;
      throw new QuestionFault(field, `a ${model.family.id} machine has no state "${id}"`);
    }
    return openingChain(model.access, new Set(), id).map((state) => state.id);
  });
  return new Set(open);
}

/** Reads JSON. Where JSON itself would let the last of two equal keys win, this refuses. */
function parseOnce(text: string): unknown {
  const seen: Set<string>[] = [];
  visit(
    text,
    {
      onObjectBegin: () => {
        seen.push(new Set());
      },
      onObjectEnd: () => {
        seen.pop();
      },
      onObjectProperty: (key, _offset, _length, _line, _character, pathTo) => {
        const field = [...pathTo(), key].join('.');
        if (seen.at(-1)?.has(key)) throw new QuestionFault(field, 'given twice');
        seen.at(-1)?.add(key);
      },
      onError: (error, _offset, _length, line, character) => {
        const where = `line ${line + 1}, column ${character + 1}`;
        throw new QuestionFault('file', `not JSON at ${where} (${printParseErrorCode(error)})`);
      },
    },
    { disallowComments: true, allowTrailingComma: false },
  );
  try {
    return JSON.parse(text) as unknown;
  } catch {
    throw new QuestionFault('file', 'not JSON');
  }
}
