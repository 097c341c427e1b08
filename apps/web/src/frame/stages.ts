import type { BuildFinding } from '@brookrain/core';

/** A stage of the work: its screen and where its findings come from. */
export interface Stage {
  readonly id: string;
  readonly name: string;
  readonly where: readonly string[];
}

/** The stages built so far, in the order people work. */
export const stageList: readonly Stage[] = [
  { id: 'brief', name: 'Brief', where: ['brief'] },
  { id: 'demand', name: 'Fuel need', where: ['demand'] },
  { id: 'injectors', name: 'Injectors', where: ['injectors'] },
  { id: 'circuit', name: 'Fuel circuit', where: ['circuit'] },
  { id: 'pump', name: 'Pump', where: ['pump'] },
  { id: 'wiring', name: 'Pump wiring', where: ['wiring'] },
  { id: 'margins', name: 'Margins', where: [] },
  { id: 'take-away', name: 'Take away', where: [] },
];

/** Pages of a build beside its stages. */
export const pageList: readonly Pick<Stage, 'id' | 'name'>[] = [
  { id: 'findings', name: 'Findings' },
  { id: 'operation', name: 'Operating map' },
  { id: 'layouts', name: 'Layouts' },
  { id: 'parts', name: 'Which parts' },
  { id: 'compare', name: 'Compare' },
  { id: 'history', name: 'History' },
];

/** Findings nobody has accepted as they are. */
export const openFindings = (findings: readonly BuildFinding[]): BuildFinding[] =>
  findings.filter((f) => f.accepted === undefined);

/** Screen of a finding: pump findings of a circuit belong to the pump. */
export function stageOf(finding: BuildFinding): string {
  if (finding.rule.startsWith('pump.') && finding.where.startsWith('circuit')) return 'pump';
  return finding.where.split(':')[0]!;
}

const counted = (count: number, one: string): string => `${count} ${one}${count === 1 ? '' : 's'}`;

/** State of a stage in words, worst first. */
export function stateInWords(findings: readonly BuildFinding[]): string {
  const open = openFindings(findings);
  const stops = open.filter((f) => f.severity === 'stop').length;
  const warnings = open.filter((f) => f.severity === 'warn').length;
  if (stops > 0) return counted(stops, 'stop');
  if (warnings > 0) return counted(warnings, 'warning');
  return 'ready';
}
