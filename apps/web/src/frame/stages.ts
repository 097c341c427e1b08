import type { ToldFinding } from '@brookrain/core';

/** A stage of the work and its screen. */
export interface Stage {
  readonly id: string;
  readonly name: string;
}

/** The stages built so far, in the order people work. */
export const stageList: readonly Stage[] = [
  { id: 'brief', name: 'Brief' },
  { id: 'demand', name: 'Fuel need' },
  { id: 'injectors', name: 'Injectors' },
  { id: 'circuit', name: 'Fuel circuit' },
  { id: 'pump', name: 'Pump' },
  { id: 'wiring', name: 'Pump wiring' },
  { id: 'margins', name: 'Margins' },
  { id: 'take-away', name: 'Take away' },
];

/** Pages of a build beside its stages. */
export const pageList: readonly Stage[] = [
  { id: 'findings', name: 'Findings' },
  { id: 'operation', name: 'Operating map' },
  { id: 'layouts', name: 'Layouts' },
  { id: 'parts', name: 'Which parts' },
  { id: 'compare', name: 'Compare' },
  { id: 'history', name: 'History' },
];

/** Findings nobody has accepted as they are. */
export const openFindings = (findings: readonly ToldFinding[]): ToldFinding[] =>
  findings.filter((f) => f.accepted === undefined);

const counted = (count: number, one: string): string => `${count} ${one}${count === 1 ? '' : 's'}`;

/** State of a stage in words, worst first. */
export function stateInWords(findings: readonly ToldFinding[]): string {
  const open = openFindings(findings);
  const stops = open.filter((f) => f.severity === 'stop').length;
  const warnings = open.filter((f) => f.severity === 'warn').length;
  if (stops > 0) return counted(stops, 'stop');
  if (warnings > 0) return counted(warnings, 'warning');
  return 'ready';
}
