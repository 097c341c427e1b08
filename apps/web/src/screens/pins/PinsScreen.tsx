import {
  ENGINE_CONTROLLER,
  type PinSheet,
  capabilityOf,
  formatMeasure,
  lookUp,
  newestOf,
  refOf,
} from '@brookrain/core';
import { useState } from 'react';
import { Link } from 'react-router';
import { useBuild } from '../../build/BuildContext.ts';
import { light, useLit } from '../../build/lit.ts';
import { type Question, useWorkerAnswer } from '../../evaluation/useWorkerAnswer.ts';
import { ChoiceField } from '../../ui/ChoiceField.tsx';
import { FindingNote } from '../../ui/FindingNote.tsx';
import { Screen } from '../../ui/Screen.tsx';
import { Tabs } from '../../ui/Tabs.tsx';
import { useUnits } from '../../ui/preferences.ts';
import { PlugFace } from './PlugFace.tsx';
import { SignalTable } from './SignalTable.tsx';
import { useAllocation } from './useAllocation.ts';

const ask: Question<string, PinSheet | undefined> = (worker, document, controllerId) =>
  worker.pins(document, controllerId);

/** What the pin that is looked at can do, and what is on it. */
function PinDetails({ sheet, pinId }: { sheet: PinSheet; pinId: string }) {
  const [units] = useUnits();
  const found = sheet.pins.find(({ pin }) => pin.id === pinId);
  if (!found) return null;
  const { pin, uses } = found;
  return (
    <section aria-label={`Pin ${pin.id}`}>
      <h2>
        Pin {pin.id}, {pin.name}
      </h2>
      <dl className="mt-1 space-y-1">
        <div>
          <dt className="text-[13px] text-second">On it</dt>
          <dd>{uses.length > 0 ? uses.join(', ') : 'nothing: it is free'}</dd>
        </div>
        <div>
          <dt className="text-[13px] text-second">It can be</dt>
          <dd>{pin.capabilities.map((each) => capabilityOf(each).words).join(', ')}</dd>
        </div>
        {pin.current > 0 && (
          <div>
            <dt className="text-[13px] text-second">Carries</dt>
            <dd>{formatMeasure({ value: pin.current, kind: 'current' }, units)}</dd>
          </div>
        )}
        {pin.frequency > 0 && (
          <div>
            <dt className="text-[13px] text-second">Up to</dt>
            <dd>{formatMeasure({ value: pin.frequency, kind: 'frequency' }, units)}</dd>
          </div>
        )}
        {pin.pairedWith !== '' && (
          <div>
            <dt className="text-[13px] text-second">Pair with</dt>
            <dd>{pin.pairedWith}</dd>
          </div>
        )}
      </dl>
    </section>
  );
}

/** A controller: the face of its plugs, what is on each pin, what is left. */
export function PinsScreen() {
  const { document: build, catalogue, evaluation, edit } = useBuild();
  const [controllerId, setController] = useState(ENGINE_CONTROLLER);
  const [fromWires, setSide] = useState(true);
  const [picked, setPicked] = useState<string>();
  const work = useWorkerAnswer(ask, controllerId);
  const { answer: sheet } = work;
  const search = useAllocation();
  const unit = lookUp(catalogue, 'ecu', build.power.ecu, 'power.ecu');
  const findings = evaluation.findings.filter(
    ({ where }) => where.stage === 'pins' && where.controller === controllerId,
  );
  const plugs = [...new Set((sheet?.pins ?? []).map(({ pin }) => pin.plug))];
  const lit = useLit();
  const signals = new Map((sheet?.signals ?? []).map((signal) => [signal.id, signal]));
  const litPin = sheet?.pins.find((pin) =>
    pin.signals.some((id) => id === lit.wireId || signals.get(id)?.partId === lit.partId),
  );
  const pinId = picked ?? litPin?.pin.id ?? sheet?.pins[0]?.pin.id;
  const pick = (id: string): void => {
    setPicked(id);
    const [signal] = sheet?.pins.find(({ pin }) => pin.id === id)?.signals ?? [];
    const partId = signals.get(signal ?? '')?.partId;
    if (partId !== undefined) light({ partId });
  };
  const units = newestOf(catalogue, 'ecu').filter(({ family }) => family === unit.family);
  return (
    <Screen
      title="Pins"
      lead="Which signal is on which pin of its controller, what a pin can do, and what is left."
      work={work}
      inspector={
        <>
          {sheet && pinId !== undefined && <PinDetails sheet={sheet} pinId={pinId} />}
          {controllerId === ENGINE_CONTROLLER && (
            <div className="rule mt-3 pt-3">
              <ChoiceField
                wide
                label="Engine’s controller"
                value={unit.id}
                choices={units.map(({ id, designation }) => ({ value: id, label: designation }))}
                onChoose={(id) => {
                  const item = units.find((each) => each.id === id);
                  if (item) edit({ name: 'set', path: ['power', 'ecu'], value: refOf(item) });
                }}
              />
              <p className="mt-1 text-[13px] text-second">
                Another unit on your desk:{' '}
                <Link className="underline" to="/catalogue/ecu/new">
                  enter its pins
                </Link>
                .
              </p>
            </div>
          )}
          {sheet && (
            <section className="rule mt-3 pt-2" aria-label="Left over">
              <h3>Left over</h3>
              <dl className="space-y-1">
                {sheet.spare.map(({ capability, count }) => (
                  <div key={capability} className="flex justify-between gap-2">
                    <dt>{capabilityOf(capability).words.replace(/^an? /, '')}</dt>
                    <dd>{count}</dd>
                  </div>
                ))}
              </dl>
              <p className="mt-1 text-[13px] text-second">
                A pin that can do several things counts for each.
              </p>
            </section>
          )}
        </>
      }
    >
      {build.controllers.length > 0 && (
        <Tabs
          label="Controller"
          value={controllerId}
          choices={[
            { value: ENGINE_CONTROLLER, label: unit.designation },
            ...build.controllers.map(({ id, name }) => ({ value: id, label: name })),
          ]}
          onChoose={(next) => {
            setController(next);
            setPicked(undefined);
          }}
        />
      )}
      {sheet && sheet.pins.length === 0 && (
        <p className="mt-2 text-second">
          Nobody entered the pins of {sheet.designation} yet. Change it in the catalogue and paste
          the pin table of its manual.
        </p>
      )}
      {sheet && sheet.pins.length > 0 && (
        <>
          <div className="mt-2 flex flex-wrap items-center gap-2">
            <Tabs
              label="Seen from"
              value={fromWires ? 'wires' : 'mating'}
              choices={[
                { value: 'wires', label: 'Wire side' },
                { value: 'mating', label: 'Mating side' },
              ]}
              onChoose={(side) => setSide(side === 'wires')}
            />
            {search.looking ? (
              <button type="button" className="act" onClick={search.stop}>
                Stop looking
              </button>
            ) : (
              <button
                type="button"
                className="act act-main"
                disabled={sheet.signals.length === 0}
                onClick={() => search.look(sheet)}
              >
                Find pins for all signals
              </button>
            )}
          </div>
          {search.words && (
            <p role="status" className="mt-1 max-w-[720px]">
              {search.words}
            </p>
          )}
          {findings.map((finding) => (
            <FindingNote key={finding.id} finding={finding} />
          ))}
          {plugs.map((plug) => (
            <PlugFace
              key={plug}
              plug={plug}
              pins={sheet.pins.filter(({ pin }) => pin.plug === plug)}
              fromWires={fromWires}
              selected={pinId}
              select={pick}
            />
          ))}
          <p className="mt-1 text-[13px] text-second">
            Shaded: in use. Red rim: does not suit its signal.
          </p>
          <div className="mt-3">
            <SignalTable sheet={sheet} />
          </div>
        </>
      )}
    </Screen>
  );
}
