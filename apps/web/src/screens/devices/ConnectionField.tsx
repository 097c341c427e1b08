import {
  type Connection,
  type Device,
  ENGINE_CONTROLLER,
  lookUp,
  supplyChoices,
} from '@brookrain/core';
import { useBuild } from '../../build/BuildContext.ts';
import { type ChoiceGroup, Select } from '../../ui/Select.tsx';
import { connectionInWords } from './deviceWords.ts';

const NOTHING = 'nothing';

/** Where a pin of a device is wired to: chosen from what there is. */
export function ConnectionField({
  device,
  pin,
}: {
  device: Device;
  pin: { readonly id: string; readonly name: string };
}) {
  const { document: build, catalogue, edit } = useBuild();
  const present = device.connections[pin.id];
  const unit = lookUp(catalogue, 'ecu', build.power.ecu, 'power.ecu');
  const text = (connection: Connection): string => JSON.stringify(connection);
  const toController = (controllerId: string, pinId: string): Connection => ({
    to: 'controller',
    controllerId,
    pin: pinId,
    locked: false,
  });
  const supplies = supplyChoices(build, catalogue).filter(
    ({ connection }) => !(connection.to === 'part' && connection.partId === device.id),
  );
  const units = [
    { id: ENGINE_CONTROLLER, name: unit.designation, item: unit },
    ...build.controllers.map((each) => ({
      id: each.id,
      name: each.name,
      item: lookUp(catalogue, 'ecu', each.item, each.id),
    })),
  ];
  const groups: ChoiceGroup[] = [
    {
      heading: 'Supplies',
      choices: supplies.map(({ name, connection }) => ({ value: text(connection), label: name })),
    },
    {
      heading: 'Grounds',
      choices: build.grounds.map(({ id, name }) => ({
        value: text({ to: 'ground', groundId: id }),
        label: name,
      })),
    },
    ...units.map((each) => ({
      heading: each.name,
      choices: [
        { value: text(toController(each.id, '')), label: 'a pin of it, to be found' },
        ...each.item.pins.map((own) => ({
          value: text(toController(each.id, own.id)),
          label: `${own.id}, ${own.name}`,
        })),
      ],
    })),
  ];
  const value = present
    ? text(present.to === 'controller' ? { ...present, locked: false } : present)
    : NOTHING;
  const known = groups.some(({ choices }) => choices.some((choice) => choice.value === value));
  return (
    <Select
      name={`${device.name}, ${pin.name}`}
      value={value}
      choices={[
        { value: NOTHING, label: 'nothing' },
        ...(present && !known
          ? [{ value, label: connectionInWords(present, build, catalogue) }]
          : []),
        ...groups.filter(({ choices }) => choices.length > 0),
      ]}
      onChoose={(next) =>
        edit({
          name: 'connect-pin',
          owner: { kind: 'device', id: device.id },
          pin: pin.id,
          connection: next === NOTHING ? null : (JSON.parse(next) as Connection),
        })
      }
    />
  );
}
