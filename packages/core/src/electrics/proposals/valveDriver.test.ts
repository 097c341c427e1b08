import { describe, expect, test } from 'vitest';
import { applyCommand, evaluate, referenceProblems } from '../../evaluation/index.ts';
import { lantern, sampleCatalogue } from '../../exchange/index.ts';
import { withValueAt } from '../../model/index.ts';

const three = 'pin.three-wire-valve:idle-valve';
const findingsOf = (document: typeof lantern) => evaluate(document, sampleCatalogue).findings;
const curesIn = (document: typeof lantern) =>
  findingsOf(document)
    .find(({ id }) => id === three)!
    .cures();

describe('a valve of three wires on a unit for two', () => {
  const cures = curesIn(lantern);

  test('has three ways out, each of them one press', () => {
    expect(cures).toHaveLength(3);
    expect(cures.every(({ command }) => command !== undefined)).toBe(true);
  });

  test('is drawn by a driver that asks the unit for one pulse, on a pin that is free', () => {
    const cure = cures.find(({ text }) => text.includes('driver'))!;
    const { document } = applyCommand(lantern, cure.command!);
    expect(referenceProblems(document, sampleCatalogue)).toEqual([]);
    const before = new Set(findingsOf(lantern).map(({ id }) => id));
    const { findings, electrics } = evaluate(document, sampleCatalogue);
    const fresh = findings.map(({ id }) => id).filter((id) => !before.has(id));
    expect(findings.map(({ id }) => id)).not.toContain(three);
    // Where it sits the harness does not reach yet, and that is told; a wire more leads to the cab.
    expect(new Set(fresh)).toEqual(new Set(['harness.unled', 'connector.past:cab-connector']));
    const pulse = document.devices['valve-driver']!.connections['3']!;
    expect(pulse).toMatchObject({ to: 'controller', controllerId: 'ecu' });
    expect('pin' in pulse && pulse.pin).not.toBe('');
    // The valve's ampere goes back through the driver's ground, with what the driver takes itself.
    const solved = electrics.cases.idle;
    if (solved.state !== 'solved') throw new Error(solved.reason);
    const back = Math.abs(solved.amps.get('valve-driver~2')!);
    const through = Math.abs(solved.amps.get('idle-valve~1')!);
    expect(through).toBeGreaterThan(0.9);
    expect(back).toBeCloseTo(
      Math.abs(solved.amps.get('valve-driver~1')!) +
        through +
        Math.abs(solved.amps.get('idle-valve~3')!),
      6,
    );
  });

  test('stays a sentence where nothing feeds the valve', () => {
    const unfed = withValueAt(lantern, ['devices', 'idle-valve', 'connections'], {
      '1': { to: 'controller', controllerId: 'ecu', pin: '', locked: false },
      '3': { to: 'controller', controllerId: 'ecu', pin: '', locked: false },
    });
    const commands = curesIn(unfed).filter(({ command }) => command);
    expect(commands.map(({ text }) => text)).toEqual([
      'Cap it and hold idle by timing and the throttle stop',
    ]);
  });
});
