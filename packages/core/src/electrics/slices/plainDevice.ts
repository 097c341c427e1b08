import type { StoredDevice } from './devices.ts';

/** What a new device has before more is said of it. */
export const plainDevice = {
  state: 'new',
  replacedBy: '',
  seat: 'there',
  cylinder: null,
  positionLimit: null,
  loadedTogether: 3,
  ways: {},
} as const satisfies Partial<StoredDevice>;
