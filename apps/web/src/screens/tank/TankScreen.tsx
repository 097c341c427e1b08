import {
  type Attitude,
  type TankElement,
  attitudeWords,
  attitudes,
  fuelFigure,
} from '@brookrain/core';
import { useState } from 'react';
import { Link } from 'react-router';
import { useBuild } from '../../build/BuildContext.ts';
import { useCircuit } from '../../build/useCircuit.ts';
import { Cautions } from '../../ui/Cautions.tsx';
import { CircuitTabs } from '../../ui/CircuitTabs.tsx';
import { FigureRows } from '../../ui/FigureRows.tsx';
import { FindingNote } from '../../ui/FindingNote.tsx';
import { Screen } from '../../ui/Screen.tsx';
import { Tabs } from '../../ui/Tabs.tsx';
import { TankDrawing } from './TankDrawing.tsx';
import { TankFields } from './TankFields.tsx';

/** The tank of a circuit: what is in it and on it, and whether its pickup stays under fuel. */
export function TankScreen() {
  const { document: build, evaluation } = useBuild();
  const { circuit, scope } = useCircuit();
  const [attitude, setAttitude] = useState<Attitude>('braking');
  const tank = circuit.elements.find((e): e is TankElement => e.kind === 'tank');
  const onMap = build.tanks.find((t) => t.circuitId === circuit.id && t.elementId === tank?.id);
  const solid = build.solids.find(({ id }) => id === onMap?.solidId);
  const placeOf = (nodeId: string | undefined) => {
    const at = circuit.nodes.find(({ id }) => id === nodeId)?.placementId;
    return build.placements.find(({ id }) => id === at);
  };
  const findings = evaluation.findings.filter(
    ({ where }) =>
      where.stage === 'circuit' && where.circuit === circuit.id && where.element === tank?.id,
  );
  return (
    <Screen
      title="Tank"
      lead="Pickup, vent, sender, and whether fuel stays at the pickup however the vehicle is driven."
      inspector={
        <>
          {tank && <TankFields tank={tank} onMap={onMap} />}
          <FigureRows
            rows={[
              ['Never drawn', fuelFigure('tank.belowPickup', scope)],
              ['Room above the pickup', fuelFigure('tank.abovePickup', scope)],
              ['Return from the pickup', fuelFigure('tank.returnApart', scope)],
              ['Swirl pot lasts at peak', fuelFigure('tank.swirlLasts', scope)],
              ['Air through the vent', fuelFigure('tank.ventFlow', scope)],
              ['Pressure the vent leaves', fuelFigure('tank.ventLoss', scope)],
            ]}
          />
          <Cautions place="tank" />
        </>
      }
    >
      <CircuitTabs />
      {findings.map((finding) => (
        <FindingNote key={finding.id} finding={finding} />
      ))}
      {!tank && <p className="text-second">This circuit has no tank.</p>}
      {tank && !(onMap && solid) && (
        <p className="text-second">
          Say which box on the map it is, and the fuel in it can be looked at.{' '}
          <Link to="../map">Put a tank on the map</Link> first where there is none.
        </p>
      )}
      {tank && onMap && solid && (
        <>
          <Tabs
            label="How it is driven"
            value={attitude}
            choices={attitudes.map((value) => ({
              value,
              label: attitudeWords[value].replace(/^\w/, (letter) => letter.toUpperCase()),
            }))}
            onChoose={setAttitude}
          />
          <div className="mt-2">
            <TankDrawing
              solid={solid}
              onMap={onMap}
              outlet={placeOf(tank.outlet)}
              back={placeOf(tank.returnNode)}
              attitude={attitude}
              use={build.brief.use}
            />
          </div>
          <FigureRows
            title="Pickup falls dry below"
            rows={attitudes.map((each) => [
              attitudeWords[each],
              fuelFigure('tank.starve', { ...scope, case: each }),
            ])}
          />
        </>
      )}
    </Screen>
  );
}
