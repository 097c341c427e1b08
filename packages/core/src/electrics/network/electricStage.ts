import type { Catalogue } from '../../catalogue/index.ts';
import type { Result, Sourced } from '../../results/index.ts';
import type { Netlist } from '../netlist/netlist.ts';
import { type WiresInHarness, withWiresInHarness } from '../netlist/wiresInHarness.ts';
import type { SizedWire } from '../power/sizeWires.ts';
import {
  type CaseVoltages,
  type LoadVoltage,
  caseVoltages,
  loadVoltages,
  solvableNetwork,
} from './caseVoltages.ts';
import type { ElectricCase } from './electricCases.ts';
import type { SizedFuse } from './fuseChoices.ts';
import { type BusChain, busChains } from './busChains.ts';
import { busFigures, terminatorsOf } from './busFigures.ts';
import { groundFigures } from './sensorErrors.ts';
import { pinFigures } from '../pins/pinFigures.ts';
import type { ContactCurrents } from './ratedCurrents.ts';
import { networkFigures } from './networkFigures.ts';
import type { Protection } from './protection.ts';
import { type SizedPumpFeed, pumpSupply } from './pumpSupply.ts';
import { type SizedRun, sizeNetwork } from './sizeNetwork.ts';
import type { WiringBuild } from './wiringBuild.ts';

/** Everything electric of a build: derived, sized, solved. Plain data. */
export interface ElectricDesign {
  readonly netlist: Netlist;
  readonly runs: readonly SizedRun[];
  readonly wires: readonly SizedWire[];
  readonly fuses: readonly SizedFuse[];
  /** what the contact of each relay carries at most */
  readonly contacts: Readonly<Record<string, ContactCurrents>>;
  readonly protections: Readonly<Record<string, Protection>>;
  readonly feeds: readonly SizedPumpFeed[];
  readonly cases: Readonly<Record<ElectricCase, CaseVoltages>>;
  readonly voltages: readonly LoadVoltage[];
  readonly buses: readonly BusChain[];
  readonly results: readonly Result[];
}

/** Netlist, wires, fuses and circuit of a build. Throws NotFound where an item or a place is not there. */
export function electricStage(input: {
  readonly document: WiringBuild;
  readonly catalogue: Catalogue;
  readonly netlist: Netlist;
  /** lengths of wires that are led through the harness, by wire */
  readonly led?: Readonly<Record<string, Sourced<number>>>;
  /** what it says of wires beside */
  readonly inHarness?: WiresInHarness;
}): ElectricDesign {
  const { document, catalogue, led } = input;
  const netlist = input.inHarness
    ? withWiresInHarness(input.netlist, input.inHarness)
    : input.netlist;
  const network = sizeNetwork({ document, catalogue, netlist, ...(led ? { led } : {}) });
  const solvable = solvableNetwork(network, document);
  const cases = caseVoltages(solvable);
  const feeds = pumpSupply({ network, solvable, document, catalogue });
  const voltages = loadVoltages(network, cases, document.switched);
  const terminators = terminatorsOf(document.devices, catalogue);
  const buses = busChains({
    netlist: network.netlist,
    lengthOf: (wire) => network.lengths.of(wire).value,
    ohmOf: (partId) => terminators.get(partId)?.resistanceAt25,
    known: document.buses,
  });
  return {
    netlist: network.netlist,
    runs: network.runs,
    wires: network.wires,
    fuses: [...network.fuses.values()],
    contacts: Object.fromEntries(network.contacts),
    protections: Object.fromEntries(network.protections),
    feeds,
    cases,
    voltages,
    buses,
    results: [
      ...networkFigures(network, voltages),
      ...feeds.flatMap(({ results }) => results),
      ...groundFigures({ network, devices: document.devices, catalogue, cases }),
      ...busFigures(buses, terminators),
      ...pinFigures({ document, netlist: network.netlist, catalogue }),
    ],
  };
}
