import { getMetadataStorage, validateSync } from 'class-validator';
import { type Issue, issuesOf } from './issue.ts';
import { nestedMessages } from './messages/nestedMessages.ts';
import { structureIssue } from './safeJson.ts';

const strict = { whitelist: true, forbidNonWhitelisted: true, forbidUnknownValues: true } as const;

type Message = new () => object;

/** Lists with more entries than their field may have: counted before any of them is looked at. */
function countIssues(model: Message, value: Readonly<Record<string, unknown>>): Issue[] {
  return getMetadataStorage()
    .getTargetValidationMetadatas(model, '', false, false)
    .filter(({ name }) => name === 'arrayMaxSize')
    .flatMap(({ propertyName, constraints }) => {
      const list = value[propertyName];
      const most = (constraints as readonly number[])[0] ?? 0;
      return Array.isArray(list) && list.length > most
        ? [{ path: propertyName, message: `at most ${most} at once` }]
        : [];
    });
}

/** A message as an instance of its class; what is nested in it, too, and nothing deeper. */
function instanceOf(model: Message, value: object): object {
  const made = Object.assign(Object.create(model.prototype as object) as object, value);
  for (const [field, nested] of Object.entries(nestedMessages.get(model) ?? {})) {
    const list = (value as Readonly<Record<string, unknown>>)[field];
    if (!Array.isArray(list)) continue;
    const entries = list.map((entry: unknown) =>
      typeof entry === 'object' && entry !== null ? instanceOf(nested, entry) : entry,
    );
    Object.assign(made, { [field]: entries });
  }
  return made;
}

/** Checks plain data against the class of a message; unknown fields are refused. */
export function messageIssues(model: Message, value: unknown): Issue[] {
  if (typeof value !== 'object' || value === null || Array.isArray(value)) {
    return [{ path: '', message: 'must be an object' }];
  }
  const counts = countIssues(model, value as Readonly<Record<string, unknown>>);
  if (counts.length > 0) return counts;
  const structure = structureIssue(value);
  if (structure) return [structure];
  return issuesOf(validateSync(instanceOf(model, value), strict));
}
