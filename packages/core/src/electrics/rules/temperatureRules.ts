import { lowerFirst } from '../../quantities/index.ts';
import type { BuildCommand, BuildFinding } from '../../model/index.ts';
import type { ElectricsChecked, ElectricsRule } from '../checked.ts';
import type { StoredCondition } from '../slices/switching.ts';
import type { SwitchTableRow } from '../switching/index.ts';
import { setting, where } from './switchPlace.ts';

type TemperatureCondition = Extract<StoredCondition, { kind: 'temperature' }>;

/** A condition by temperature that was entered, and where it stands in the build. */
interface Thermal {
  readonly row: SwitchTableRow;
  readonly condition: TemperatureCondition;
  readonly path: readonly string[];
}

/** K between on and off that keep a relay from chattering. */
const LEAST_BAND = 4;
/** K by which a cure sets two values apart. */
const APART = 5;

/** Every condition by temperature of the rows that were entered. */
function thermals({
  switching,
  rows,
}: ElectricsChecked['switching'] & {
  readonly switching: ElectricsChecked['switchingRows'];
}): Thermal[] {
  const byKey = new Map(rows.map((row) => [row.rowId, row]));
  return switching.flatMap((stored) =>
    Object.entries(stored.ways).flatMap(([wayId, { conditions }]) =>
      Object.entries(conditions).flatMap(([id, condition]): Thermal[] => {
        const row = byKey.get(stored.id);
        if (!row || condition.kind !== 'temperature') return [];
        const path = ['switching', stored.id, 'ways', wayId, 'conditions', id];
        return [{ row, condition, path }];
      }),
    ),
  );
}

const inCelsius = (value: number) => ({ value, unit: '°C' });
const onThermals =
  (
    check: (thermal: Thermal, all: readonly Thermal[], checked: ElectricsChecked) => BuildFinding[],
  ) =>
  (checked: ElectricsChecked): BuildFinding[] => {
    const all = thermals({ ...checked.switching, switching: checked.switchingRows });
    return all.flatMap((each) => check(each, all, checked));
  };

const band: ElectricsRule = {
  id: 'switching.hysteresis',
  source: 'at least 4 K between on and off, or the relay chatters',
  check: onThermals(({ row, condition, path }) => {
    const apart = Math.abs(condition.on.value - condition.off.value);
    if (apart >= LEAST_BAND - 1e-9) return [];
    const side = condition.on.value >= condition.off.value ? -1 : 1;
    return [
      {
        id: `switching.hysteresis:${row.key}`,
        rule: 'switching.hysteresis',
        severity: 'warn',
        where: where(row),
        title: 'On and off temperatures are too close',
        because: `${row.of.name} switches on at {on} and off at {off}`,
        numbers: {
          on: { value: condition.on.value, kind: 'temperature' },
          off: { value: condition.off.value, kind: 'temperature' },
        },
        measured: { value: apart, kind: 'temperatureDifference' },
        limit: { value: LEAST_BAND, kind: 'temperatureDifference' },
        worse: 'lower',
        cures: () => [
          {
            text: 'Set off 5 K from on',
            command: setting([...path, 'off'], inCelsius(condition.on.value + side * APART)),
          },
        ],
      },
    ];
  }),
};

const isFan = ({ of: { loads } }: SwitchTableRow): boolean =>
  loads.some(({ part }) => part.role === 'fan');

/** Whether a fan cools the engine by a condition: it runs above it, measured in the coolant. */
const coolsEngine = ({ row, condition }: Thermal, { electrics }: ElectricsChecked): boolean =>
  isFan(row) &&
  condition.on.value >= condition.off.value &&
  electrics.netlist.parts.find(({ id }) => id === condition.deviceId)?.role ===
    'coolant temperature';

/** Sets both temperatures of a condition, K. */
const settingBoth = (
  path: readonly string[],
  label: string,
  { on, off }: { readonly on: number; readonly off: number },
): BuildCommand => ({
  name: 'set-several',
  label,
  changes: [
    { path: [...path, 'off'], value: inCelsius(off) },
    { path: [...path, 'on'], value: inCelsius(on) },
  ],
});

const neverOff: ElectricsRule = {
  id: 'switching.fan-never-off',
  source: 'a fan whose off temperature is at or below thermostat opening never stops',
  check: onThermals((thermal, _all, checked) => {
    const { row, condition, path } = thermal;
    const opens = checked.document.limits.thermostatOpens.value;
    if (condition.off.value > opens || !coolsEngine(thermal, checked)) return [];
    const off = opens + LEAST_BAND;
    return [
      {
        id: `switching.fan-never-off:${row.key}`,
        rule: 'switching.fan-never-off',
        severity: 'warn',
        where: where(row),
        title: 'Fan never switches off',
        because: `${row.of.name} switches off at {off}; the thermostat opens at {opens} and holds the engine above that`,
        numbers: {
          off: { value: condition.off.value, kind: 'temperature' },
          opens: { value: opens, kind: 'temperature' },
        },
        measured: { value: condition.off.value, kind: 'temperature' },
        limit: { value: opens, kind: 'temperature' },
        worse: 'lower',
        cures: () => [
          {
            text: 'Set off 4 K above the thermostat',
            command: settingBoth(path, `Switch ${row.of.name} off above the thermostat`, {
              on: Math.max(condition.on.value, off + APART),
              off,
            }),
          },
        ],
      },
    ];
  }),
};

const together: ElectricsRule = {
  id: 'switching.fans-together',
  source: 'the second fan starts later than the first',
  check: onThermals((later, all) => {
    const { row, condition, path } = later;
    const at = all.indexOf(later);
    const first = all.find(
      (each, i) =>
        i < at &&
        isFan(each.row) &&
        each.condition.deviceId === condition.deviceId &&
        Math.abs(each.condition.on.value - condition.on.value) < 1,
    );
    if (!first || !isFan(row)) return [];
    const next = first.condition.on.value + APART;
    return [
      {
        id: `switching.fans-together:${row.key}`,
        rule: 'switching.fans-together',
        severity: 'warn',
        where: where(row),
        title: 'Two fans start at once',
        because: `${row.of.name} and ${lowerFirst(first.row.of.name)} both start at {on}: their inrush adds up`,
        numbers: { on: { value: condition.on.value, kind: 'temperature' } },
        cures: () => [
          {
            text: 'Start the second 5 K later',
            command: {
              name: 'set-several',
              label: `Start ${row.of.name} later`,
              changes: [
                { path: [...path, 'on'], value: inCelsius(next) },
                {
                  path: [...path, 'off'],
                  value: inCelsius(Math.min(condition.off.value + APART, next - APART)),
                },
              ],
            },
          },
        ],
      },
    ];
  }),
};

const tooLate: ElectricsRule = {
  id: 'switching.fan-after-protection',
  source: 'a fan starts before the controller begins to protect the engine',
  check: onThermals((thermal, _all, checked) => {
    const { row, condition, path } = thermal;
    const begins = checked.document.brief.protectionTemperature.value;
    if (condition.on.value < begins || !coolsEngine(thermal, checked)) return [];
    const on = begins - APART;
    return [
      {
        id: `switching.fan-after-protection:${row.key}`,
        rule: 'switching.fan-after-protection',
        severity: 'warn',
        where: where(row),
        title: 'Fan starts after engine protection',
        because: `${row.of.name} starts at {on}; the controller protects the engine from {begins}`,
        numbers: {
          on: { value: condition.on.value, kind: 'temperature' },
          begins: { value: begins, kind: 'temperature' },
        },
        measured: { value: condition.on.value, kind: 'temperature' },
        limit: { value: begins, kind: 'temperature' },
        worse: 'higher',
        cures: () => [
          {
            text: 'Start the fan 5 K below engine protection',
            command: settingBoth(path, `Start ${row.of.name} below engine protection`, {
              on,
              off: Math.min(condition.off.value, on - APART),
            }),
          },
        ],
      },
    ];
  }),
};

/** Checks of what follows a temperature. */
export const temperatureRules: readonly ElectricsRule[] = [band, neverOff, tooLate, together];
