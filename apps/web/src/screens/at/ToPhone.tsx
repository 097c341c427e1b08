import { Link } from 'react-router';
import { useBuild } from '../../build/BuildContext.ts';
import { Screen } from '../../ui/Screen.tsx';

const pages = [
  ['cut', 'Next wire to cut', 'length, ends and crimps of one wire after another'],
  ['pin', 'Pin the connectors', 'each cavity lit when it is its turn'],
  ['buzz', 'Buzz out', 'continuity from end to end, with few walks'],
  ['read', 'Second reading', 'wire by wire in shuffled order, compared with the plan only after'],
  ['measure', 'Measure', 'volts of the vehicle’s own wires, lengths with a string'],
] as const;

/** The pages for the phone at the vehicle, and how they get there. */
export function ToPhone() {
  const { id } = useBuild();
  return (
    <Screen
      title="On the phone"
      lead="One step a screen, for one hand: kept on the phone while it is offline, and sent once when the connection is back."
    >
      <ul className="max-w-[560px]">
        {pages.map(([page, name, what]) => (
          <li key={page} className="border-b-[0.75px] border-hair">
            <Link to={`/at/${id}/${page}`} className="flex min-h-12 items-baseline gap-3 py-2">
              <span className="w-[170px] shrink-0 underline">{name}</span>
              <span className="text-second">{what}</span>
            </Link>
          </li>
        ))}
      </ul>
      <p className="mt-3 max-w-[68ch] text-[13px] text-second">
        To have them on a phone, open Brookrain to the workshop and pair the phone under{' '}
        <Link to="/settings" className="underline">
          Settings, Workshop
        </Link>
        ; then open this build there.
      </p>
    </Screen>
  );
}
