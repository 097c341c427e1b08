import { type WireGain, formatMeasure, pumpFeedsOf } from '@brookrain/core';
import { Link } from 'react-router';
import { useBuild } from '../../build/BuildContext.ts';
import { type Question, useWorkerAnswer } from '../../evaluation/useWorkerAnswer.ts';
import { useUnits } from '../../ui/preferences.ts';

type Gains = Readonly<Record<string, readonly WireGain[]>>;
const ask: Question<null, Gains> = (worker, document) => worker.thickerWire(document);

/** What thicker or thinner wire in the pump's feed would do to its flow. */
export function ThickerWire({ circuitId, elementId }: { circuitId: string; elementId: string }) {
  const { id, document: build } = useBuild();
  const [units] = useUnits();
  const { answer } = useWorkerAnswer(ask, null);
  const feed = pumpFeedsOf(build).find(
    (f) => f.circuitId === circuitId && f.elementId === elementId,
  );
  const gains = feed && answer?.[feed.id];
  if (!gains || gains.length === 0) return null;
  return (
    <section className="mt-4 max-w-[620px]" aria-label="Wire and flow">
      <h2>What wire buys</h2>
      <table className="table-lined mt-1 w-full">
        <thead>
          <tr>
            <th>Pump feed</th>
            <th>at the pump</th>
            <th>delivers</th>
            <th>against now</th>
          </tr>
        </thead>
        <tbody>
          {gains.map((gain) => (
            <tr key={gain.size.id} className={gain.present ? 'bg-panel font-medium' : ''}>
              <td>{gain.size.size}</td>
              <td>{formatMeasure({ value: gain.voltage, kind: 'voltage' }, units)}</td>
              <td>{formatMeasure({ value: gain.available, kind: 'volumeFlow' }, units)}</td>
              <td>
                {gain.present
                  ? 'as it is'
                  : `${gain.gain >= 0 ? '+' : '−'}${formatMeasure({ value: Math.abs(gain.gain), kind: 'volumeFlow' }, units)}`}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="mt-1 text-[13px] text-second">
        Sizes are chosen on{' '}
        <Link className="underline" to={`/builds/${id}/wiring`}>
          pump wiring
        </Link>
        .
      </p>
    </section>
  );
}
