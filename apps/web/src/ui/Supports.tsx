import { formatMeasure } from '@brookrain/core';
import { useBuild } from '../build/BuildContext.ts';
import { useUnits } from './preferences.ts';

/** Power up to which a candidate does here, with everything else as it is. */
export function Supports({ power }: { power: number | null }) {
  const { document: build } = useBuild();
  const [units] = useUnits();
  const read = (value: number): string => formatMeasure({ value, kind: 'power' }, units);
  const target = build.brief.power.value;
  return (
    <p className="mt-2">
      {power === null ? (
        <>Good for more than eight times the target.</>
      ) : power === 0 ? (
        <>Not good for any power here.</>
      ) : (
        <>
          Good for up to <strong className="font-medium">{read(power)}</strong>{' '}
          <span className="text-second">
            ({power >= target ? 'target' : 'short of the target,'} {read(target)})
          </span>
        </>
      )}
    </p>
  );
}
