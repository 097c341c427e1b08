import { choice, figure, list, object, text } from '../../model/spec.ts';
import { bodyFields, plugFields } from './bodyFields.ts';
import { catalogueKind } from './catalogueKind.ts';
import { loadTimes, pinBehaviours, plugFamilies, seatThreads, sensings } from './deviceWords.ts';
import { deviceRoles } from './deviceRoles.ts';
import { pinUses } from './pinUses.ts';
import { pinCapabilities } from './pinCapabilities.ts';
import { terminals } from './sharedFields.ts';

const pinName = (label: string, min = 1) => text({ label, min, max: 20 });

/**
 * A pin of a device. What flows between it and the pin `through` is `current` A at `voltage` V for
 * the share `duty` of the time; a contact has `contactResistance` Ω instead.
 */
export const devicePinSpec = object({
  id: pinName('Pin'),
  name: text({ label: 'Name', min: 1, max: 60 }),
  use: choice(pinUses, { label: 'There for' }),
  capability: choice(['none', ...pinCapabilities], { label: 'Asks of the controller' }),
  current: figure('current', 'A', [0, 1000], 'Current'),
  frequency: figure('frequency', 'Hz', [0, 1e6], 'Frequency'),
  pairedWith: pinName('Pair with', 0),
  through: pinName('Through to', 0),
  behaviour: choice(pinBehaviours, { label: 'Behaves as' }),
  voltage: figure('voltage', 'V', [0, 60], 'At'),
  duty: figure('ratio', '%', [0, 1], 'Share of the time'),
  contactResistance: figure('resistance', 'mΩ', [0, 1], 'Contact'),
  when: choice(loadTimes, { label: 'When' }),
});

/** A sensor, actuator, motor, lamp, switch, module, connector or stud, with its pins. */
export const device = catalogueKind({
  category: 'device',
  title: 'Devices',
  fields: {
    role: choice(deviceRoles, { label: 'What it is for' }),
    ...terminals,
    plugFamily: choice(plugFamilies, { label: 'Plug' }),
    inrushFactor: figure('count', '', [1, 30], 'Inrush over running current'),
    inrushTime: figure('time', 'ms', [1e-4, 5], 'Inrush time constant'),
    sensing: choice(sensings, { label: 'Measures' }),
    spanLow: figure('pressure', 'kPa', [-2e5, 1e8], 'Lowest it reads'),
    spanHigh: figure('pressure', 'kPa', [-2e5, 1e8], 'Highest it reads'),
    resistanceAt25: figure('resistance', 'Ω', [0, 1e6], 'Resistance at 25 °C'),
    beta: figure('count', '', [0, 1e4], 'β of its resistance, K'),
    seat: choice(seatThreads, { label: 'Sits in' }),
    ...bodyFields,
    ...plugFields,
    pins: list(devicePinSpec, { min: 1, max: 300 }),
  },
  rows: 'pins',
});
