import type { Device } from '@brookrain/core';
import { useBuild } from '../../build/BuildContext.ts';
import { ChoiceField } from '../../ui/ChoiceField.tsx';

/** What leads through a connector of the harness, way by way, and what comes past it. */
export function ConnectorWays({ device }: { device: Device }) {
  const { evaluation, edit } = useBuild();
  const told = evaluation.harness.inline.find(({ partId }) => partId === device.id);
  const path = ['devices', device.id, 'ways'];
  const nameOf = (id: string): string =>
    evaluation.wires.find((wire) => wire.id === id)?.name ?? `${id}, which is not there`;
  const ways = Object.entries(device.ways);
  const [free] = told?.free ?? [];
  return (
    <section className="rule mt-3 pt-2" aria-label="Ways">
      <h3>Wires through it</h3>
      <p className="text-[13px] text-second">
        {ways.length} {ways.length === 1 ? 'way' : 'ways'} taken, {told?.free.length ?? 0} free.
      </p>
      {told && told.past.length > 0 && free !== undefined && (
        <ChoiceField
          wide
          label="Route through it"
          value=""
          choices={[
            { value: '', label: `one of ${told.past.length} that bypass it` },
            ...told.past.flatMap(({ wire }) => {
              const known = evaluation.wires[wire];
              return known ? [{ value: known.id, label: known.name }] : [];
            }),
          ]}
          onChoose={(wireId) => {
            const chosen = told.past.find(({ wire }) => evaluation.wires[wire]?.id === wireId);
            if (!chosen) return;
            const value = { ...device.ways, [free]: { wireId, fromHere: chosen.fromHere } };
            edit({ name: 'set', path, value });
          }}
        />
      )}
      <table className="mt-2 w-full text-left text-[13px]">
        <thead>
          <tr>
            <th className="font-normal text-second">Way</th>
            <th className="font-normal text-second">Wire</th>
            <th>
              <span className="sr-only">Remove</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {ways.map(([pin, { wireId }]) => (
            <tr key={pin} className="border-t border-hair align-top">
              <td className="py-1 pr-2 font-medium">{pin}</td>
              <td className="py-1">{nameOf(wireId)}</td>
              <td className="py-1 text-right">
                <button
                  type="button"
                  className="act"
                  aria-label={`Remove ${nameOf(wireId)} from cavity ${pin}`}
                  onClick={() => {
                    const { [pin]: _, ...rest } = device.ways;
                    edit({ name: 'set', path, value: rest });
                  }}
                >
                  Free
                </button>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}
