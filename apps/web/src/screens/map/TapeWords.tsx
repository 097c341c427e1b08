import { formatMeasure } from '@brookrain/core';
import { useUnits } from '../../ui/preferences.ts';
import { type TapeEnds, tapeLength } from './Tape.tsx';

/** What the tape reads, straight and along the axes of the vehicle. */
export function TapeWords({ ends }: { ends: TapeEnds }) {
  const [units] = useUnits();
  const [a, b] = ends;
  const words = (value: number): string => formatMeasure({ value, kind: 'length' }, units, 4);
  return (
    <p role="status" className="mb-1">
      <strong className="font-medium">{words(tapeLength(ends))}</strong> straight;{' '}
      {words(Math.abs(b[0] - a[0]))} along, {words(Math.abs(b[1] - a[1]))} across,{' '}
      {words(Math.abs(b[2] - a[2]))} up. Ends catch on places and corners.
    </p>
  );
}
