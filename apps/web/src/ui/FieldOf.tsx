import { type Path, documentSpec, pathText, specAt, valueAt } from '@brookrain/core';
import { useBuild } from '../build/BuildContext.ts';
import { ChoiceField } from './ChoiceField.tsx';
import { QuantityField } from './QuantityField.tsx';
import { TextField } from './TextField.tsx';
import { Tick } from './Tick.tsx';

const NONE = '';

/** A key of a choice as a person reads it. */
export const inWords = (key: string): string => key.replaceAll('-', ' ');

/** Any plain field of the build with the control that its declaration asks for. */
export function FieldOf({ path, label }: { path: Path; label?: string }) {
  const { stored, edit } = useBuild();
  const spec = specAt(documentSpec, path, stored);
  switch (spec?.type) {
    case 'text':
    case 'whole':
      return <TextField path={path} />;
    case 'quantity':
      return <QuantityField path={path} label={label} />;
    case 'yes-no':
      return (
        <div>
          <Tick
            checked={valueAt(stored, path) === true}
            onChange={(value) => edit({ name: 'set', path, value })}
          >
            {label ?? spec.label}
          </Tick>
        </div>
      );
    case 'choice': {
      const chosen = valueAt(stored, path);
      return (
        <ChoiceField
          label={label ?? spec.label ?? ''}
          value={typeof chosen === 'string' ? chosen : NONE}
          choices={[
            ...(spec.nullable ? [{ value: NONE, label: 'not said' }] : []),
            ...spec.choices.map((value) => ({ value, label: inWords(value) })),
          ]}
          onChoose={(value) => edit({ name: 'set', path, value: value === NONE ? null : value })}
        />
      );
    }
    default:
      throw new RangeError(`${pathText(path)} is no plain field`);
  }
}
