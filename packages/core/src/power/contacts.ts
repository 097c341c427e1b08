/** Contact resistances Ω, editable defaults of the trade. */
export const contactResistance = {
  connector: 5e-3,
  boltedLug: 0.1e-3,
} as const;

/** Blade fuse with its holder: 0.1 V over the rating. */
export const fuseResistance = (rating: number): number => 0.1 / rating;

/** A crimp on a conductor of area m²: 1/A mΩ with A in mm². */
export const crimpResistance = (area: number): number => 1e-3 / (area * 1e6);
