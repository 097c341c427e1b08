import {
  type Connection,
  type StoredDevice,
  deviceRoles,
  lookUp,
  newestOf,
  plainDevice,
  refOf,
  supplyChoices,
  usualConnections,
  usualDevices,
  usualSeat,
} from '@brookrain/core';
import { useMemo, useState } from 'react';
import { useBuild } from '../../build/BuildContext.ts';
import { ChoiceField } from '../../ui/ChoiceField.tsx';
import { Select } from '../../ui/Select.tsx';

const RELAY = 'relay';
const FUSE = 'fuse';

/** Puts a device on the list, wired as such a one usually is. */
export function AddDevice({ added }: { added: (id: string) => void }) {
  const { document: build, stored, catalogue, edit } = useBuild();
  const supplies = supplyChoices(build, catalogue);
  const [what, setWhat] = useState<string>();
  const [placeId, setPlace] = useState(build.power.studPlacementId);
  const [supply, setSupply] = useState(supplies[0]?.name ?? '');
  const items = newestOf(catalogue, 'device');
  const proposal = useMemo(() => usualDevices(build, catalogue), [build, catalogue]);
  const count = proposal.filter(({ path }) => path[0] === 'devices').length;
  const [relay] = newestOf(catalogue, 'relay');
  const feed: Connection | undefined = supplies.find(({ name }) => name === supply)?.connection;
  const add = (): void => {
    const item = items.find(({ id }) => id === what);
    const bare = { order: 1000 * (build.devices.length + 1), placementId: placeId };
    const rest = { ...plainDevice, seat: item ? usualSeat(item) : 'there' } as const;
    const [base, device] = ((): [string, StoredDevice] | [string, undefined] => {
      if (what === FUSE) {
        const connections: StoredDevice['connections'] = feed ? { in: feed } : {};
        return [
          'fuse',
          { ...bare, ...rest, name: 'Fuse', part: { kind: 'fuse', item: null }, connections },
        ];
      }
      if (what === RELAY && relay) {
        const part = { kind: 'relay', item: refOf(relay) } as const;
        const connections: StoredDevice['connections'] = {
          ...(feed ? { '30': feed, '86': feed } : {}),
          '85': { to: 'controller', controllerId: 'ecu', pin: '', locked: false },
        };
        return ['relay', { ...bare, ...rest, name: 'Relay', part, connections }];
      }
      if (!item) return ['', undefined];
      const part = { kind: 'item', item: refOf(item) } as const;
      const connections = usualConnections({ build, catalogue, item, supply: feed });
      const name = item.role.charAt(0).toUpperCase() + item.role.slice(1);
      return [item.role.replaceAll(' ', '-'), { ...bare, ...rest, name, part, connections }];
    })();
    if (!device) return;
    let n = 1;
    while (Object.hasOwn(stored.devices, `${base}-${n}`)) n += 1;
    const id = `${base}-${n}`;
    const outcome = edit({
      name: 'put-devices',
      label: `Add ${device.name.toLowerCase()}`,
      devices: { [id]: device },
      placements: {},
    });
    if (outcome.ok) added(id);
  };
  return (
    <section className="rule mt-3 space-y-1.5 pt-3" aria-label="Add a device">
      <h2>Add a device</h2>
      {proposal.length > 0 && (
        <>
          <button
            type="button"
            className="act"
            onClick={() =>
              edit({
                name: 'set-several',
                label: 'Put in what an engine like this usually has',
                changes: proposal,
              })
            }
          >
            Put in what an engine like this usually has
          </button>
          <p className="text-[13px] text-second">
            {count === 1 ? '1 device with its fuse' : `${count} devices with their fuses`}, grounds
            and pins; change them then.
          </p>
        </>
      )}
      <Select
        name="What it is"
        value={what}
        placeholder="What it is …"
        choices={[
          {
            heading: 'Supplies',
            choices: [
              { value: FUSE, label: 'Fuse, chosen by the rules' },
              { value: RELAY, label: 'Relay' },
            ],
          },
          ...deviceRoles.flatMap((role) => {
            const own = items.filter((item) => item.role === role);
            return own.length === 0
              ? []
              : [
                  {
                    heading: role,
                    choices: own.map(({ id, designation }) => ({ value: id, label: designation })),
                  },
                ];
          }),
        ]}
        onChoose={setWhat}
      />
      <ChoiceField
        wide
        label="Where it sits"
        value={placeId}
        choices={build.placements.map(({ id, name }) => ({ value: id, label: name }))}
        onChoose={setPlace}
      />
      <ChoiceField
        wide
        label="Fed from"
        value={supply}
        choices={supplies.map(({ name }) => ({ value: name, label: name }))}
        onChoose={setSupply}
      />
      <button type="button" className="act" disabled={what === undefined} onClick={add}>
        Add it
      </button>
      <p className="text-[13px] text-second">
        Sensor grounds and 5 V go to the{' '}
        {lookUp(catalogue, 'ecu', build.power.ecu, 'power.ecu').designation}; its pin for the signal
        is found under Pins.
      </p>
    </section>
  );
}
