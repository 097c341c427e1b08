import type { ValidationError } from 'class-validator';

/** One thing that is wrong with an input: where, and what to do about it. */
export interface Issue {
  readonly path: string;
  readonly message: string;
}

/** Flattens class-validator's tree into issues with dotted paths. */
export function issuesOf(errors: readonly ValidationError[], prefix = ''): Issue[] {
  return errors.flatMap((error) => {
    const path = prefix ? `${prefix}.${error.property}` : error.property;
    const own = Object.entries(error.constraints ?? {}).map(([name, message]) => ({
      path,
      message:
        name === 'whitelistValidation' ? `there is no field "${error.property}" here` : message,
    }));
    return [...own, ...issuesOf(error.children ?? [], path)];
  });
}
