import { useBuild } from '../build/BuildContext.ts';
import { useCircuit } from '../build/useCircuit.ts';
import { Tabs } from './Tabs.tsx';

/** Which fuel circuit is looked at; nothing where there is only one. */
export function CircuitTabs() {
  const { document: build } = useBuild();
  const { circuit, choose } = useCircuit();
  if (build.fuelCircuits.length < 2) return null;
  return (
    <div className="mb-2">
      <Tabs
        label="Fuel circuit"
        value={circuit.id}
        choices={build.fuelCircuits.map((c) => ({ value: c.id, label: c.name }))}
        onChoose={choose}
      />
    </div>
  );
}
