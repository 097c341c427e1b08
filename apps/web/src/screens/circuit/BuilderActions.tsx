import {
  type CircuitElement,
  type Insertable,
  insertCommand,
  insertable,
  isThrough,
} from '@brookrain/core';
import { ArrowLeft, ArrowRight } from 'lucide-react';
import { useState } from 'react';
import { useBuild } from '../../build/BuildContext.ts';
import { useCircuit } from '../../build/useCircuit.ts';
import { ActionMenu } from '../../ui/ActionMenu.tsx';

/** Puts something in behind an element, moves it, takes it out; refusals are said here. */
export function BuilderActions({
  element,
  select,
}: {
  element: CircuitElement;
  select: (id: string) => void;
}) {
  const { document: build, catalogue, edit } = useBuild();
  const { circuit } = useCircuit();
  const [message, setMessage] = useState<string>();
  if (!isThrough(element)) return null;
  const { id: elementId } = element;
  const circuitId = circuit.id;
  const run = (command: Parameters<typeof edit>[0]): boolean => {
    const outcome = edit(command);
    setMessage(outcome.ok ? undefined : outcome.issues[0]?.message);
    return outcome.ok;
  };
  const insert = (kind: Insertable): void => {
    const command = insertCommand({
      document: build,
      circuit,
      catalogue,
      afterId: elementId,
      kind,
    });
    if (!command) setMessage('The catalogue has no part for it.');
    else if (run(command)) select(command.elementId);
  };
  return (
    <section className="rule mt-3 pt-2" aria-label="Change the run">
      <ActionMenu
        text="Insert after it …"
        name={`Insert after ${element.name}`}
        actions={(Object.entries(insertable) as [Insertable, string][]).map(([value, label]) => ({
          value,
          label,
        }))}
        onPick={insert}
      />
      <div className="mt-1.5 grid grid-cols-[1fr_1.3fr_0.9fr] gap-1.5">
        <button
          type="button"
          className="act flex items-center justify-center gap-1 px-1!"
          aria-label={`Move ${element.name} towards the tank`}
          onClick={() =>
            run({
              name: 'move-element',
              circuitId,
              elementId,
              direction: 'towards-tank',
              assemblies: {},
            })
          }
        >
          <ArrowLeft size={14} aria-hidden="true" /> Upstream
        </button>
        <button
          type="button"
          className="act flex items-center justify-center gap-1 px-1!"
          aria-label={`Move ${element.name} towards the engine`}
          onClick={() =>
            run({
              name: 'move-element',
              circuitId,
              elementId,
              direction: 'towards-engine',
              assemblies: {},
            })
          }
        >
          Downstream <ArrowRight size={14} aria-hidden="true" />
        </button>
        <button
          type="button"
          className="act flex items-center justify-center gap-1 px-1!"
          aria-label={`Remove ${element.name}`}
          onClick={() => run({ name: 'remove-element', circuitId, elementId, assemblies: {} })}
        >
          Remove
        </button>
      </div>
      {message && (
        <p role="alert" className="mt-1 text-[13px] text-signal">
          {message}
        </p>
      )}
    </section>
  );
}
