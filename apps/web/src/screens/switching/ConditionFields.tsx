import {
  type Condition,
  type DeviceItem,
  type FigureRef,
  type Path,
  newestOf,
} from '@brookrain/core';
import { useBuild } from '../../build/BuildContext.ts';
import { ChoiceField } from '../../ui/ChoiceField.tsx';
import { FigureRows } from '../../ui/FigureRows.tsx';
import { FieldOf } from '../../ui/FieldOf.tsx';
import { QuantityField } from '../../ui/QuantityField.tsx';

/** So many buttons a keypad is offered with. */
const BUTTONS = 16;

/** The devices of the build whose part is of a kind. */
export function useDevicesThat(test: (item: DeviceItem) => boolean) {
  const { document: build, catalogue } = useBuild();
  const items = new Map(newestOf(catalogue, 'device').map((item) => [item.id, item]));
  return build.devices.filter(({ part, state }) => {
    const item = part.kind === 'item' ? items.get(part.item.id) : undefined;
    return item !== undefined && state !== 'removed' && test(item);
  });
}

/** Devices that measure, and those that a driver works. */
export function useSources() {
  return {
    temperature: useDevicesThat(({ sensing }) => sensing === 'temperature'),
    pressure: useDevicesThat(({ sensing }) => sensing === 'pressure'),
    input: useDevicesThat(({ role }) => role === 'switch' || role === 'keypad'),
    keypads: useDevicesThat(({ role }) => role === 'keypad'),
  };
}

/** What a condition asks for: the values that it has. */
export function ConditionFields({
  condition,
  path,
  band,
}: {
  condition: Condition;
  path: Path;
  /** the figure of how far on and off lie apart, where there are two */
  band: FigureRef;
}) {
  const { document: build, edit } = useBuild();
  const sources = useSources();
  const which = (
    label: string,
    field: string,
    value: string,
    from: readonly { id: string; name: string }[],
  ) => (
    <ChoiceField
      wide
      label={label}
      value={value}
      choices={from.map(({ id, name }) => ({ value: id, label: name }))}
      onChoose={(id) => edit({ name: 'set', path: [...path, field], value: id })}
    />
  );
  switch (condition.kind) {
    case 'key':
      return <FieldOf path={[...path, 'position']} />;
    case 'engine':
      return <FieldOf path={[...path, 'state']} />;
    case 'temperature':
    case 'pressure':
      return (
        <>
          {which('Measured by', 'deviceId', condition.deviceId, sources[condition.kind])}
          <QuantityField path={[...path, 'on']} />
          <QuantityField path={[...path, 'off']} />
          <FigureRows title="" rows={[['Apart', band]]} />
        </>
      );
    case 'input':
      return (
        <>
          {which('Switch or keypad', 'deviceId', condition.deviceId, sources.input)}
          {sources.keypads.some(({ id }) => id === condition.deviceId) && (
            <ChoiceField
              label="Button"
              value={String(condition.button ?? 1)}
              choices={Array.from({ length: BUTTONS }, (_, i) => ({
                value: String(i + 1),
                label: String(i + 1),
              }))}
              onChoose={(button) =>
                edit({ name: 'set', path: [...path, 'button'], value: Number(button) })
              }
            />
          )}
          <FieldOf path={[...path, 'is']} />
        </>
      );
    case 'signal':
      return (
        <>
          {which('Wire found', 'signalId', condition.signalId, build.vehicleSignals)}
          <FieldOf path={[...path, 'is']} />
        </>
      );
  }
}
