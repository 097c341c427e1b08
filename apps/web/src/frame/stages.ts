import type { BareFinding } from '@brookrain/core';

/** A stage of the work, or a page beside it, and its screen. */
export interface Stage {
  readonly id: string;
  readonly name: string;
  /** plain key that goes there */
  readonly keys: string;
  /** what its state comes from: findings of the design where nothing is said */
  readonly judgedBy?: 'what is found at the vehicle' | 'nothing';
  /** said in place of a state while nothing stands against it */
  readonly holds?: string;
}

/** A phase of the work with its screens, in the order people work. */
export interface Phase {
  readonly id: string;
  readonly name: string;
  /** where something is decided; each has a state of its own */
  readonly stages: readonly Stage[];
  /** where something is looked up or tried out */
  readonly pages: readonly Stage[];
}

/** The phases built so far, in the order people work. */
export const phaseList: readonly Phase[] = [
  {
    id: 'plan',
    name: 'Plan',
    stages: [
      { id: 'brief', name: 'Brief', keys: '1' },
      { id: 'demand', name: 'Fuel need', keys: '2' },
    ],
    pages: [],
  },
  {
    id: 'fuel',
    name: 'Fuel',
    stages: [
      { id: 'injectors', name: 'Injectors', keys: '3' },
      { id: 'circuit', name: 'Fuel circuit', keys: '4' },
      { id: 'pump', name: 'Pump', keys: '5' },
    ],
    pages: [
      { id: 'layouts', name: 'Layouts', keys: '' },
      { id: 'parts', name: 'Part selection', keys: '' },
    ],
  },
  {
    id: 'vehicle',
    name: 'Vehicle',
    stages: [
      { id: 'map', name: 'Map', keys: '6' },
      { id: 'lines', name: 'Lines', keys: 'l' },
    ],
    pages: [
      { id: 'tank', name: 'Tank', keys: 't' },
      { id: 'buying', name: 'Buying', keys: 'b' },
    ],
  },
  {
    id: 'electrics',
    name: 'Electrics',
    stages: [
      { id: 'devices', name: 'Devices', keys: 'd' },
      { id: 'pins', name: 'Pins', keys: 'p' },
      { id: 'supply', name: 'Charging and loads', keys: 's' },
      { id: 'switching', name: 'Switching', keys: 'g' },
      { id: 'wiring', name: 'Pump wiring', keys: '7' },
      { id: 'wires', name: 'Wires', keys: 'e' },
      { id: 'panel', name: 'Panel', keys: 'n' },
      { id: 'schematic', name: 'Schematic', keys: 'c' },
    ],
    pages: [{ id: 'schools', name: 'Relays or power module', keys: '' }],
  },
  {
    id: 'harness-phase',
    name: 'Harness',
    stages: [
      { id: 'harness', name: 'Harness', keys: 'm' },
      { id: 'looms', name: 'Bought looms', keys: 'x' },
      { id: 'kept-connectors', name: 'Kept connectors', keys: 'k' },
    ],
    pages: [
      { id: 'find-a-place', name: 'Placement search', keys: '' },
      { id: 'connectors', name: 'Connectors and pass-throughs', keys: '' },
      { id: 'cut-list', name: 'Cut list', keys: '' },
      { id: 'lists', name: 'Harness lists', keys: '' },
      { id: 'formboard', name: 'Formboard', keys: '' },
      { id: 'threading', name: 'Threading order', keys: '' },
      { id: 'add-later', name: 'Late additions', keys: '' },
    ],
  },
  {
    id: 'prove',
    name: 'Prove',
    stages: [{ id: 'margins', name: 'Margins', keys: '8' }],
    pages: [
      { id: 'operation', name: 'Operating map', keys: 'o' },
      { id: 'compare', name: 'Compare', keys: 'v' },
    ],
  },
  {
    id: 'at-the-vehicle',
    name: 'At the vehicle',
    stages: [
      {
        id: 'downloads',
        name: 'Downloads',
        keys: '9',
        judgedBy: 'nothing',
        holds: 'sheet, lists, file',
      },
      {
        id: 'readings',
        name: 'Readings',
        keys: '0',
        judgedBy: 'what is found at the vehicle',
        holds: 'gauge, meter, λ',
      },
    ],
    pages: [
      { id: 'at', name: 'On the phone', keys: '' },
      { id: 'cards', name: 'Work cards', keys: 'w' },
    ],
  },
  {
    id: 'record',
    name: 'Record',
    stages: [],
    pages: [{ id: 'history', name: 'History', keys: 'h' }],
  },
];

/** All that is against the build, over every stage. */
export const findingsPage: Stage = { id: 'findings', name: 'Findings', keys: 'f' };

/** The stages in the order people work. */
export const stageList: readonly Stage[] = phaseList.flatMap((phase) => phase.stages);

/** Every screen of a build. */
export const screenList: readonly Stage[] = [
  ...phaseList.flatMap((phase) => [...phase.stages, ...phase.pages]),
  findingsPage,
];

/** The phase that a screen belongs to; none for what is about all of them. */
export const phaseOf = (screenId: string): Phase | undefined =>
  phaseList.find(({ stages, pages }) => [...stages, ...pages].some((s) => s.id === screenId));

/** Findings nobody has accepted as they are. */
export const openFindings = (findings: readonly BareFinding[]): BareFinding[] =>
  findings.filter((f) => f.accepted === undefined);

/** The findings that a stage answers for: margins stand for all of them. */
export const findingsOf = (stageId: string, findings: readonly BareFinding[]): BareFinding[] =>
  stageId === 'margins' ? [...findings] : findings.filter((f) => f.where.stage === stageId);

const counted = (count: number, one: string): string => `${count} ${one}${count === 1 ? '' : 's'}`;

/** Counts of what stands against something in words: the worst only. */
export function countsInWords(stops: number, warnings: number): string {
  if (stops > 0) return counted(stops, 'stop');
  return warnings > 0 ? counted(warnings, 'warning') : 'ready';
}

/** State of a stage in words, worst first. */
export function stateInWords(findings: readonly BareFinding[]): string {
  const open = openFindings(findings);
  const stops = open.filter((f) => f.severity === 'stop').length;
  const warnings = open.filter((f) => f.severity === 'warn').length;
  return countsInWords(stops, warnings);
}

/** State of a stage, with whether something stands against it. */
export interface StageState {
  readonly words: string;
  readonly bad: boolean;
}

/**
 * What is said beside a stage, and how much was found at the vehicle that is not as planned; papers
 * and readings have nothing to be ready for.
 */
export function stateOfStage(
  { id, judgedBy, holds = '' }: Stage,
  findings: readonly BareFinding[],
  foundAtVehicle: number,
): StageState {
  if (judgedBy === 'what is found at the vehicle' && foundAtVehicle > 0)
    return { words: countsInWords(foundAtVehicle, 0), bad: true };
  if (judgedBy) return { words: holds, bad: false };
  return stateOfFindings(findingsOf(id, findings));
}

/** The worst of a phase's stages; nothing for one that has nothing to be ready for. */
export function stateOfPhase(
  { stages }: Phase,
  findings: readonly BareFinding[],
  foundAtVehicle: number,
): StageState | undefined {
  const vehicle = stages.find((s) => s.judgedBy === 'what is found at the vehicle');
  if (vehicle && foundAtVehicle > 0) return stateOfStage(vehicle, findings, foundAtVehicle);
  const judged = stages.filter((s) => !s.judgedBy);
  if (judged.length === 0) return undefined;
  return stateOfFindings([...new Set(judged.flatMap((s) => findingsOf(s.id, findings)))]);
}

const stateOfFindings = (own: readonly BareFinding[]): StageState => ({
  words: stateInWords(own),
  bad: openFindings(own).some((f) => f.severity !== 'note'),
});
