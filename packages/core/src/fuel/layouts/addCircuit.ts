import { firstOf } from '../../numerics/index.ts';
import { quantity as q } from '../../quantities/index.ts';
import { type Catalogue, newestOf } from '../../catalogue/index.ts';
import type { Architecture, Build, Fuel, FuelCircuit } from '../../model/index.ts';
import { alcoholShare } from './alcoholShare.ts';
import type { LineChoice } from './circuitParts.ts';
import { feedsFor } from './feedsFor.ts';
import { laidOut } from './layOut.ts';
import { type LayOut, layOutCommand } from './layOutCommand.ts';
import { partChoices } from './partChoices.ts';
import { pickItem } from './pickItem.ts';
import { placesFor } from './placesFor.ts';

/** Air a second row takes over at first, share. */
const SECOND_SHARE = 0.4;

/**
 * The edit that adds a circuit for a second fuel with a staged row of its own: the eighth
 * architecture. The row takes `airShare` of the air; the others give it up in proportion.
 */
export function addCircuit(input: {
  document: Build;
  catalogue: Catalogue;
  fuel: Fuel;
  architecture: Architecture;
}): LayOut {
  const { document, catalogue, architecture } = input;
  const taken = new Set(document.fuelCircuits.map((c) => c.id));
  let id = 'second';
  for (let n = 3; taken.has(id); n++) id = `circuit-${n}`;
  const fuel = { ...input.fuel, id: `${id}-fuel` };
  const first = firstOf(document.fuelCircuits);
  const row = firstOf(document.injectorRows);
  const prefix = `${id}-`;
  const parts = partChoices({
    document: { ...document, fuels: [...document.fuels, fuel] },
    circuit: { ...first, fuelId: fuel.id },
    catalogue,
  });
  const alcohol = alcoholShare(fuel);
  const resistant = <Ref extends LineChoice>(choice: Ref): Ref => {
    const hoses = newestOf(catalogue, 'hose');
    const present = hoses.find((h) => h.id === choice.item.id);
    if (!present || present.ethanolLimit >= alcohol) return choice;
    const fit = pickItem(
      hoses,
      (h) => h.ethanolLimit >= alcohol && (h.service ?? 'fuel') === 'fuel',
      (h) => Math.abs(Math.log(h.bore / present.bore)),
    );
    return fit ? { ...choice, item: fit } : choice;
  };
  const laid = laidOut(
    {
      ...parts,
      id,
      name: `${fuel.name} circuit`,
      fuelId: fuel.id,
      rowId: `${id}-row`,
      tank: { ...parts.tank, name: `Tank for ${fuel.name}` },
      suction: resistant(parts.suction),
      pumpInlet: resistant(parts.pumpInlet),
      pumpOutlet: resistant(parts.pumpOutlet),
      feed: resistant(parts.feed),
      branch: resistant(parts.branch),
      rail: resistant(parts.rail),
      back: resistant(parts.back),
    },
    architecture,
    prefix,
  );
  // Its pump is told apart from the first circuit's by the fuel.
  const circuit: FuelCircuit = {
    ...laid,
    elements: laid.elements.map((element) =>
      element.kind === 'pump'
        ? { ...element, name: element.name.replace(/^Fuel pump$/, `${fuel.name} pump`) }
        : element,
    ),
  };
  return layOutCommand(document, {
    label: `Add a circuit for ${fuel.name}`,
    circuit,
    placements: placesFor(document, circuit, prefix),
    devices: feedsFor(document, circuit),
    fuels: [fuel],
    injectorRows: [
      ...document.injectorRows.map((r) => ({
        ...r,
        airShare: { ...r.airShare, value: r.airShare.value * (1 - SECOND_SHARE) },
      })),
      {
        ...row,
        id: `${id}-row`,
        name: `Second row, ${fuel.name}`,
        circuitId: id,
        airShare: q(100 * SECOND_SHARE, 'ratio', '%'),
        staging: { aboveDuty: q(60, 'ratio', '%'), blend: q(10, 'ratio', '%') },
        seating: null,
        measuredFlows: [],
      },
    ],
  });
}
