import { plainToInstance } from 'class-transformer';
import { validateSync } from 'class-validator';
import { type Issue, issuesOf } from './issue.ts';
import { structureIssue } from './safeJson.ts';

const strict = { whitelist: true, forbidNonWhitelisted: true, forbidUnknownValues: true } as const;

/** Checks plain data against the class of a message; unknown fields are refused. */
export function messageIssues(model: new () => object, value: unknown): Issue[] {
  if (typeof value !== 'object' || value === null || Array.isArray(value)) {
    return [{ path: '', message: 'must be an object' }];
  }
  const structure = structureIssue(value);
  if (structure) return [structure];
  return issuesOf(validateSync(plainToInstance(model, value), strict));
}
