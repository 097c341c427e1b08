/** A caution that is shown in full at the step it belongs to. */
export interface Caution {
  readonly id: string;
  readonly when: string;
  readonly text: string;
}

export type CautionPlace =
  'brief' | 'injectors' | 'circuit' | 'tank' | 'map' | 'lines' | 'wiring' | 'downloads';

const all = {
  tankHotWork: {
    id: 'tank-hot-work',
    when: 'Welding, brazing, grinding or drilling on or near any tank or line that has held fuel',
    text: 'Do not, unless it has been emptied, cleaned, purged and tested gas-free by someone competent to do so. An "empty" tank is the dangerous one. Use a specialist or a new tank.',
  },
  vapour: {
    id: 'vapour-ignition',
    when: 'Any open fuel, priming with loose joints',
    text: 'Vapour sinks and travels. Ventilate, no sparks; extinguisher (class B; for alcohols resistant foam, powder or CO₂) and battery isolator within reach.',
  },
  pressure: {
    id: 'stored-pressure',
    when: 'Opening any fuel joint',
    text: 'Relieve pressure first; the rail stays pressurised after key-off. Eye protection, rag, catch container.',
  },
  prime: {
    id: 'first-prime',
    when: 'First pump run',
    text: 'Prime for two or three seconds at a time, walk the whole line, wipe under every joint with dry paper (gloves, goggles) before the next prime. Stop at the first weep.',
  },
  injectors: {
    id: 'injector-retention',
    when: 'Rails and injectors',
    text: 'Each injector must be held by a clip, or the rail must be positively bolted so that it cannot lift; two independent means is better. A lifted injector sprays fuel at full pressure.',
  },
  hose: {
    id: 'hose-rating',
    when: 'Choosing hose',
    text: 'Only hose rated for the fuel, the pressure and the temperature. Low-pressure carburettor hose is not for injection. Braid outside says nothing about the liner.',
  },
  methanol: {
    id: 'methanol',
    when: 'Methanol and high blends',
    text: 'Toxic by skin and breath, burns with a nearly invisible flame, attacks bare aluminium, magnesium, zinc and some elastomers: use rated parts, flush after use.',
  },
  tipOver: {
    id: 'tip-over',
    when: 'Two- and three-wheelers, off-road',
    text: 'Keep the tip-over sensor or inertia switch in the fuel-pump circuit. Defeating it with a resistor leaves the pump running on a crashed vehicle.',
  },
  cutOff: {
    id: 'pump-cutoff',
    when: 'Every ECU-run pump',
    text: 'The pump must stop when the engine stops turning, whatever the key says (a prime of at most 3 s and a hold-to-run test excepted). Add an inertia switch where the vehicle is used on roads.',
  },
  battery: {
    id: 'battery-short',
    when: 'Any work at the battery, starter, alternator',
    text: 'Earthed cable (normally the negative) off first, on last. Fuse the positive as near the battery as it can be, within 180 mm of cable. Remove rings.',
  },
  batteryCabin: {
    id: 'battery-cabin',
    when: 'Battery inside the cabin',
    text: 'Sealed type or sealed, vented box; strapped for crash loads; both cables protected through bulkheads.',
  },
  hotExhaust: {
    id: 'hot-exhaust',
    when: 'Routes near exhaust, turbo',
    text: 'Shield, sleeve or move. State the surface temperature used and the clearance.',
  },
  movingParts: {
    id: 'moving-parts',
    when: 'Fans, belts, prop shafts, steering, suspension',
    text: 'Electric fans start on their own with the key on, some with it off. Clearance is checked over the whole travel.',
  },
  fumes: {
    id: 'fumes',
    when: 'Fuel lines in the cabin',
    text: 'Avoid; if there is no other way, unjointed hardline in a sealed tube. Any smell of fuel inside: stop.',
  },
  hydraulic: {
    id: 'hydraulic-hose',
    when: 'Power steering and similar',
    text: 'Fuel or oil hose is never used for power-steering pressure: those circuits reach 10 MPa and more.',
  },
  jack: { id: 'jack', when: 'Under the vehicle', text: 'Stands on solid ground.' },
} satisfies Record<string, Caution>;

/** What every printed sheet and the first screen state. */
export const generalNotice =
  'Local codes, the fuel and component makers’ data and licensed practice come first; road use, competition scrutineering and emissions law are yours to satisfy. Figures are design estimates to be verified by measurement.';

/** Facts of a build that decide which cautions apply. */
export interface CautionFacts {
  readonly mostlyAlcohol: boolean;
  readonly tipOver: boolean;
  readonly batteryInCabin: boolean;
}

/** Cautions of a place, most serious first. */
export function cautionsAt(place: CautionPlace, facts: CautionFacts): Caution[] {
  const alcohol = facts.mostlyAlcohol ? [all.methanol] : [];
  const tipOver = facts.tipOver ? [all.tipOver] : [];
  const cabin = facts.batteryInCabin ? [all.batteryCabin] : [];
  switch (place) {
    case 'brief':
      return alcohol;
    case 'injectors':
      return [all.injectors, all.pressure];
    case 'circuit':
      return [all.tankHotWork, all.hose, ...alcohol];
    case 'tank':
      return [all.tankHotWork, all.vapour, ...alcohol];
    case 'map':
      return [all.tankHotWork, all.hotExhaust, all.movingParts, all.fumes, all.hydraulic, all.jack];
    case 'lines':
      return [all.hose, all.pressure, all.vapour, all.tankHotWork, ...alcohol];
    case 'wiring':
      return [all.cutOff, all.battery, ...cabin, ...tipOver];
    case 'downloads':
      return [
        all.tankHotWork,
        all.vapour,
        all.pressure,
        all.prime,
        all.hose,
        all.injectors,
        all.cutOff,
        all.battery,
        ...cabin,
        ...tipOver,
        ...alcohol,
        all.jack,
      ];
  }
}
