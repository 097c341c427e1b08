import { wireCutTo } from '@brookrain/core';
import { useBuild } from '../../build/BuildContext.ts';
import { useRecordEntries } from '../../record/useRecordEntries.ts';
import { workDone } from '../at/workDone.ts';

/** Wires that were cut at the vehicle and are not in the build as cut: taken over as one edit. */
export function CutAtVehicle({ wires }: { wires: ReadonlySet<string> }) {
  const { id, stored, edit } = useBuild();
  const { cut } = workDone(useRecordEntries(id));
  const fresh = [...cut.values()].flatMap(({ subject, said }) =>
    wires.has(subject) && !(subject in stored.harness.cut) && typeof said['length'] === 'number'
      ? [[subject, wireCutTo({ value: said['length'], unit: 'mm' })] as const]
      : [],
  );
  if (fresh.length === 0) return null;
  return (
    <p className="mb-2 flex flex-wrap items-center gap-3 border-l-4 border-moss pl-3">
      {fresh.length} {fresh.length === 1 ? 'wire was' : 'wires were'} cut at the vehicle.
      <button
        type="button"
        className="act"
        onClick={() =>
          edit({
            name: 'set',
            path: ['harness', 'cut'],
            value: { ...stored.harness.cut, ...Object.fromEntries(fresh) },
          })
        }
      >
        Take {fresh.length === 1 ? 'it' : 'them'} over as cut
      </button>
    </p>
  );
}
