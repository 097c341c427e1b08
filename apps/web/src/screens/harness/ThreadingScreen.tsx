import { type Threaded, type ThreadingOrder, formatMeasure } from '@brookrain/core';
import { Link } from 'react-router';
import { type Question, useWorkerAnswer } from '../../evaluation/useWorkerAnswer.ts';
import { Screen } from '../../ui/Screen.tsx';
import { useUnits } from '../../ui/preferences.ts';

const ask: Question<string, ThreadingOrder> = (worker, document) => worker.threading(document);

/** So many names are told of plugs that are fitted after. */
const TOLD = 4;

const namesOf = (plugs: readonly { readonly name: string }[]): string => {
  const names = plugs.slice(0, TOLD).map(({ name }) => name);
  return plugs.length > TOLD
    ? `${names.join(', ')} and ${plugs.length - TOLD} more`
    : names.join(', ');
};

const after = ({ after: plugs, blockedBy }: Threaded): string => {
  if (blockedBy.length > 0) return `does not go: ${namesOf(blockedBy)} on already`;
  return plugs.length === 0 ? 'every plug passes' : namesOf(plugs);
};

/** In which order sleeves are slid on, holes are passed and plugs are fitted. */
export function ThreadingScreen() {
  const work = useWorkerAnswer(ask, '');
  const { answer: order } = work;
  const [units] = useUnits();
  return (
    <Screen
      title="Threading order"
      lead="What is slid on and passed through first, from which end, and which connectors are fitted after."
      work={work}
    >
      {order && order.passes.length === 0 && (
        <p>
          Nothing has to be threaded: tape and split conduit are wrapped in place, and every hole is
          passed by a connector.
        </p>
      )}
      {order && order.passes.length > 0 && (
        <div className="overflow-x-auto">
          <table className="w-full text-left">
            <thead>
              <tr className="text-[13px] text-second">
                <th className="py-1 pr-3 font-medium">Step</th>
                <th className="py-1 pr-3 font-medium">Sleeve or hole</th>
                <th className="py-1 pr-3 text-right font-medium">Takes</th>
                <th className="py-1 pr-3 font-medium">From</th>
                <th className="py-1 font-medium">Fitted only after it</th>
              </tr>
            </thead>
            <tbody>
              {order.passes.map((threaded, i) => (
                <tr key={threaded.opening.id} className="border-t border-hair align-top">
                  <td className="py-1 pr-3">{i + 1}</td>
                  <td className="py-1 pr-3">{threaded.opening.name}</td>
                  <td className="py-1 pr-3 text-right whitespace-nowrap">
                    {formatMeasure({ value: threaded.opening.size, kind: 'length' }, units)}
                  </td>
                  <td className="py-1 pr-3 whitespace-nowrap">
                    {threaded.from === 'root' ? 'the ECU’s end' : 'the far end'}
                  </td>
                  <td className={threaded.blockedBy.length > 0 ? 'py-1 text-signal' : 'py-1'}>
                    {after(threaded)}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      )}
      {order && (
        <section className="mt-4 space-y-1" aria-label="Plugs">
          <h2>Plugs</h2>
          {order.anyTime.length > 0 && (
            <p>At any time: {order.anyTime.map(({ name }) => name).join(', ')}.</p>
          )}
          {order.last.length > 0 && (
            <p>Last, when all is threaded: {order.last.map(({ name }) => name).join(', ')}.</p>
          )}
        </section>
      )}
      <p className="mt-3 text-[13px] text-second">
        What ends in which connector is under{' '}
        <Link to="../connectors" relative="path" className="underline">
          plugs and holes
        </Link>
        .
      </p>
    </Screen>
  );
}
