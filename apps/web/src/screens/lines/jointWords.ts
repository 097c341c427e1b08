import type { JointSchool, JointState } from '@brookrain/core';

/** What the joint at an end comes to, in words. */
export const stateWords: Readonly<Record<JointState, string>> = {
  fits: 'fits',
  'straight-on': 'straight onto the barb, with a clamp',
  unlike: 'does not fit its port',
  open: 'no end chosen yet',
  unsaid: 'what it screws onto is not said',
};

/** Schools of joint as they are called in the trade. */
export const schoolWords: Readonly<Record<JointSchool, string>> = {
  none: 'none',
  'push-on': 'push-on',
  barb: 'barb with clamp',
  reusable: 'reusable',
  crimped: 'crimped',
  flared: 'flared tube',
  ferrule: 'ferrule on tube',
};
