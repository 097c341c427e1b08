import {
  type Path,
  type Quantity,
  type QuantitySpec,
  documentSpec,
  pathText,
  specAt,
  valueAt,
} from '@brookrain/core';
import { useBuild } from '../build/BuildContext.ts';
import { QuantityInput } from './QuantityInput.tsx';

type Props = {
  /** where it stands in the build; what it is called and measured in is declared there */
  path: Path;
  /** another name than the declared one */
  label?: string | undefined;
  /** what applies while the field is empty */
  whenEmpty?: string | undefined;
};

/** The declaration and the value of a quantity of the open build. */
function useQuantity(path: Path): { spec: QuantitySpec; value: Quantity | null } {
  const { stored } = useBuild();
  const spec = specAt(documentSpec, path, stored);
  if (spec?.type !== 'quantity') throw new RangeError(`${pathText(path)} is no quantity`);
  return { spec, value: (valueAt(stored, path) ?? null) as Quantity | null };
}

/** A quantity of the build, as it is declared. */
export function QuantityField({ path, label, whenEmpty }: Props) {
  const { edit } = useBuild();
  const { spec, value } = useQuantity(path);
  return (
    <QuantityInput
      label={label ?? spec.label ?? ''}
      help={spec.help}
      kind={spec.kind}
      unit={spec.unit}
      value={value}
      optional={spec.optional}
      whenEmpty={whenEmpty}
      store={(quantity) => edit({ name: 'set', path, value: quantity })}
    />
  );
}
