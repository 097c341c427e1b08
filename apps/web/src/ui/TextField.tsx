import {
  type Path,
  documentSpec,
  parseNumber,
  pathInWords,
  pathText,
  specAt,
  valueAt,
} from '@brookrain/core';
import { useBuild } from '../build/BuildContext.ts';
import { TypedInput } from './TypedInput.tsx';

/**
 * A short text or whole number of the build, as it is declared; committed on leaving the field, where
 * one thing stands in several places also at those.
 */
export function TextField({ path, alsoAt = [] }: { path: Path; alsoAt?: readonly Path[] }) {
  const { edit, stored } = useBuild();
  const spec = specAt(documentSpec, path, stored);
  if (spec?.type !== 'text' && spec?.type !== 'whole') {
    throw new RangeError(`${pathText(path)} is neither text nor a whole number`);
  }
  const whole = spec.type === 'whole';
  const kept = String(valueAt(stored, path));
  return (
    <TypedInput
      label={spec.label ?? ''}
      help={spec.help}
      kept={kept}
      above={!whole}
      numeric={whole}
      take={(text) => {
        const value = whole ? parseNumber(text) : text;
        if (value === undefined)
          return { message: `Enter a whole number in figures, such as ${kept}.` };
        const outcome = edit(
          alsoAt.length === 0
            ? { name: 'set', path, value }
            : {
                name: 'set-several',
                label: `Change ${pathInWords(path)}`,
                changes: [path, ...alsoAt].map((each) => ({ path: each, value })),
              },
        );
        return outcome.ok ? { shown: String(value) } : { message: outcome.issues[0]?.message };
      }}
    />
  );
}
