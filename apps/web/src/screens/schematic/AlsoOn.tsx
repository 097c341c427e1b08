import { Link } from 'react-router';
import { useBuild } from '../../build/BuildContext.ts';
import { useLit } from '../../build/lit.ts';

/** Where else what is lit is lit. */
export function AlsoOn() {
  const { id, document: build, evaluation } = useBuild();
  const { partId, wireId } = useLit();
  const wire = evaluation.wires.find((each) => each.id === wireId);
  const device = build.devices.find((each) => each.id === partId);
  const name = wire?.name ?? device?.name;
  if (name === undefined) return null;
  const base = `/builds/${encodeURIComponent(id)}`;
  const pages: readonly (readonly [string, string])[] = wire
    ? [['Wires', `wires?of=${encodeURIComponent(wire.id)}`]]
    : [
        ['Devices', `devices?of=${encodeURIComponent(partId ?? '')}`],
        ['Pins', 'pins'],
        ['Panel', 'panel'],
        ['Map', 'map'],
        ['Charging and loads', 'supply'],
        ['Switching', 'switching'],
        ['Wires', `wires?part=${encodeURIComponent(partId ?? '')}`],
      ];
  return (
    <p className="flex flex-wrap items-center gap-x-3 gap-y-1" aria-live="polite">
      <span className="font-medium">{name}</span>
      <span className="text-[13px] text-second">lit on</span>
      {pages.map(([label, page]) => (
        <Link key={label} className="underline" to={`${base}/${page}`}>
          {label}
        </Link>
      ))}
    </p>
  );
}
