import { type Plain, list } from './plain.ts';

/** Usable volume m³ of a tank whose name tells it, else 60 L. */
function volumeFromName(name: unknown): number {
  const litres = /(\d+(?:[.,]\d+)?)\s*L\b/.exec(typeof name === 'string' ? name : '')?.[1];
  return litres ? Number(litres.replace(',', '.')) / 1e3 : 0.06;
}

const withPumpAndTank = (element: Plain): Plain => {
  if (element['kind'] === 'pump') return { ...element, control: null };
  if (element['kind'] !== 'tank') return element;
  return { ...element, usableVolume: { value: volumeFromName(element['name']), unit: 'L' } };
};

/** 3: tanks with a volume, pumps with a control, rows with staging, fuels with a season, a shelf. */
export function fuelSystem(document: Plain): Plain {
  return {
    ...document,
    version: 3,
    brief: {
      ...(document['brief'] as Plain),
      cruisePower: null,
      cruiseRoadSpeed: { value: 90 / 3.6, unit: 'km/h' },
    },
    fuels: list(document['fuels']).map((fuel) =>
      fuel['kind'] === 'petrol-ethanol' ? { ...fuel, ethanolLowest: null } : fuel,
    ),
    fuelCircuits: list(document['fuelCircuits']).map((circuit) => ({
      ...circuit,
      elements: list(circuit['elements']).map(withPumpAndTank),
    })),
    injectorRows: list(document['injectorRows']).map((row) => ({
      ...row,
      staging: null,
      ballast: null,
      measuredFlows: [],
    })),
    shelf: [],
  };
}
