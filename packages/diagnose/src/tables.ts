import { type FamilyModel, modelOf } from '@nodo/knowledge';
import { QuestionFault } from './question.ts';

/** The tables as one family has them, for whoever writes questions; ids as they stand in questions and answers. */
export interface Tables {
  readonly checks: readonly {
    readonly id: string;
    readonly minutes: number;
    /** The state that it needs. */
    readonly access: string;
    readonly needs: string;
    readonly where: string;
    readonly findings: readonly { readonly id: string }[];
  }[];
  readonly actions: readonly {
    readonly id: string;
    readonly minutes: number;
    /** Ids of causes. */
    readonly treats: readonly string[];
  }[];
  readonly causes: readonly string[];
  /** Ids of the findings that are symptoms. */
  readonly symptoms: readonly string[];
}

/** @throws QuestionFault for a family that the tables do not have. */
export function tablesOf(family: string | undefined): Tables {
  if (family === undefined) throw new QuestionFault('FAMILY', 'name a family');
  const model = modelOf(family);
  if (!model) throw new QuestionFault('FAMILY', `no family "${family}"`);
  return ofModel(model);
}

function ofModel(model: FamilyModel): Tables {
  return {
    checks: [...model.checks.values()].map(({ id, minutes, access, needs, where, findings }) => ({
      id,
      minutes,
      access,
      needs,
      where,
      findings: findings.map((finding) => ({ id: finding.id })),
    })),
    actions: [...model.actions.values()].map(({ id, minutes, treats }) => ({
      id,
      minutes,
      treats,
    })),
    causes: [...model.causes.keys()],
    symptoms: [...model.findings.values()].flatMap(({ id, symptom }) => (symptom ? [id] : [])),
  };
}
