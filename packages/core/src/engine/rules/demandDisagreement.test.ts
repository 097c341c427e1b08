import { describe, expect, test } from 'vitest';
import { applyCommand, evaluate } from '../../evaluation/index.ts';
import { lantern, sampleCatalogue } from '../../exchange/index.ts';
import { type BuildDocument, withValueAt } from '../../model/index.ts';

const withPower = (kilowatts: number): BuildDocument =>
  withValueAt(lantern, 'brief.power', { value: kilowatts * 1e3, unit: 'kW' });
const found = (build: BuildDocument) =>
  evaluate(build, sampleCatalogue).findings.find((f) => f.id === 'demand.disagreement');
const cures = (build: BuildDocument) => found(build)?.cures() ?? [];
const stored = (build: BuildDocument, field: string): boolean =>
  cures(build).some((c) => c.command?.name === 'set' && c.command.path.at(-1) === field);

describe('cures of schools that do not agree', () => {
  test('a consumption that no engine has is not offered, more power is', () => {
    const modest = withPower(95);
    expect(stored(modest, 'specificConsumption')).toBe(false);
    const raised = cures(modest).find((c) => c.text.startsWith('Raise the power'))!;
    const { document } = applyCommand(modest, raised.command!);
    expect(document.brief.power.value).toBeGreaterThan(1.3 * modest.brief.power.value);
    expect(document.brief.power.unit).toBe('kW');
    expect(found(document)).toBeUndefined();
  });

  test('too much power for the air is lowered', () => {
    const bold = withPower(260);
    const lowered = cures(bold).find((c) => c.text.startsWith('Lower the power'))!;
    const { document } = applyCommand(bold, lowered.command!);
    expect(document.brief.power.value).toBeLessThan(260e3);
    expect(found(document)).toBeUndefined();
  });

  test('a consumption within reach of its kind of engine is offered', () => {
    const near = withPower(132);
    expect(found(near)).toBeDefined();
    expect(stored(near, 'specificConsumption')).toBe(true);
  });
});
