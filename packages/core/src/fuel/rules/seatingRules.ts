import { newestOf, refOf } from '../../catalogue/index.ts';
import type { BuildCommand, BuildFinding } from '../../model/index.ts';
import { quantity } from '../../quantities/index.ts';
import type { Cure } from '../../results/index.ts';
import type { FuelChecked, FuelRule } from '../checked.ts';
import type { Seating } from '../model.ts';
import type { RowDesign } from '../running/design.ts';

/** A seal fits its bore within this, seats their injector within this, m. */
const SEAL_FIT = 1e-4;
const SEAT_FIT = 0.75e-3;
/** Room beside the next injector, m. */
const BESIDE = 2e-3;

interface SeatedRow extends RowDesign {
  readonly seating: Seating;
}

/** Every row whose seats were measured and whose injector says how it is seated. */
const seatedRows = (checked: FuelChecked): SeatedRow[] =>
  checked.fluids.flatMap(({ design }) =>
    design.rows.flatMap((row): SeatedRow[] => {
      const { seating } = row.row;
      return seating && row.injector.reach > 0 ? [{ ...row, seating }] : [];
    }),
  );

const setSeat = (
  { row }: RowDesign,
  field: keyof Seating,
  value: unknown,
  text: string,
): Cure<BuildCommand> => ({
  text,
  command: { name: 'set', path: ['injectorRows', row.id, 'seating', field], value },
});

/** What one check finds on one row. */
type Seen = Pick<BuildFinding, 'severity' | 'title' | 'because'> & {
  readonly numbers: BuildFinding['numbers'];
  readonly cures: () => readonly Cure<BuildCommand>[];
};

const seatingRule = (
  id: string,
  source: string,
  look: (checked: FuelChecked, row: SeatedRow) => Seen | undefined,
): FuelRule => ({
  id,
  source,
  check: (checked) =>
    seatedRows(checked).flatMap((row): BuildFinding[] => {
      const seen = look(checked, row);
      if (!seen) return [];
      return [
        {
          id: `${id}:${row.row.id}`,
          rule: id,
          where: { stage: 'injectors', row: row.row.id },
          ...seen,
        },
      ];
    }),
});

const length = (value: number) => ({ value, kind: 'length' }) as const;

/** Injectors that nothing keeps in the rail, or a rail that only clips hold. */
const retention = seatingRule(
  'injector.retention',
  'clips hold the injectors in the rail, bolts hold the rail on the engine: pressure pushes both apart',
  (_checked, row) => {
    const { retention: by } = row.seating;
    if (by === 'both' || by === 'bolted-rail') return undefined;
    return {
      severity: 'stop',
      title: by === 'none' ? 'Injectors are not retained' : 'Rail is not bolted down',
      because:
        by === 'none'
          ? `${row.row.name}: pressure pushes each injector out of its seat, and fuel sprays over the engine`
          : `${row.row.name}: clips hold the injectors in the rail; pressure lifts both off the engine`,
      numbers: {},
      cures: () => [
        setSeat(row, 'retention', 'both', 'Bolt the rail down and clip the injectors into it'),
      ],
    };
  },
);

/** Other injectors of the same flow that fit the seats, as cures. */
function fitting(checked: FuelChecked, row: SeatedRow): Cure<BuildCommand>[] {
  const { seating, injector } = row;
  const fits = newestOf(checked.catalogue, 'injector').filter(
    (each) =>
      Math.abs(each.topSeal - seating.railBore.value) <= SEAL_FIT &&
      Math.abs(each.bottomSeal - seating.portBore.value) <= SEAL_FIT &&
      Math.abs(each.reach - seating.seatDistance.value) <= SEAT_FIT &&
      Math.abs(each.ratedFlow / injector.ratedFlow - 1) <= 0.02 &&
      each.driver === injector.driver,
  );
  return fits.slice(0, 2).map((each) => ({
    text: `Fit ${each.designation}, which fits the seats`,
    command: { name: 'choose-injector', rowId: row.row.id, item: refOf(each) },
  }));
}

const mm = (metres: number) => quantity(Math.round(metres * 1e5) / 100, 'length', 'mm');

/** Seals that are not for the bores they sit in. */
const seals = seatingRule(
  'injector.seal',
  'an O-ring seals in the bore it is made for; 14 mm and 11 mm rails look alike',
  (checked, row) => {
    const { seating, injector } = row;
    const wrong = (
      [
        ['railBore', 'rail', injector.topSeal],
        ['portBore', 'port', injector.bottomSeal],
      ] as const
    ).find(([field, , seal]) => Math.abs(seating[field].value - seal) > SEAL_FIT);
    if (!wrong) return undefined;
    const [field, where, seal] = wrong;
    return {
      severity: 'stop',
      title: 'Seal does not fit its bore',
      because: `${row.row.name}: the bore in the ${where} is {bore}; the seal of ${injector.designation} is for {seal}`,
      numbers: { bore: length(seating[field].value), seal: length(seal) },
      cures: () => [
        ...fitting(checked, row),
        setSeat(row, field, mm(seal), `Fit an adapter that makes the ${where} fit the seal`),
      ],
    };
  },
);

/** Seats that are further apart than the injector reaches, or nearer. */
const seats = seatingRule(
  'injector.seats',
  'both seals seat in their bores when the rail is bolted down, and nothing is crushed',
  (checked, row) => {
    const { seating, injector } = row;
    const gap = seating.seatDistance.value - injector.reach;
    if (Math.abs(gap) <= SEAT_FIT) return undefined;
    return {
      severity: 'stop',
      title: gap > 0 ? 'Injector is too short for its seats' : 'Injector is too long for its seats',
      because: `${row.row.name}: the seats are {apart} apart; ${injector.designation} reaches {reach}`,
      numbers: { apart: length(seating.seatDistance.value), reach: length(injector.reach) },
      cures: () => [
        ...fitting(checked, row),
        setSeat(
          row,
          'seatDistance',
          mm(injector.reach),
          gap > 0
            ? 'Make the posts of the rail shorter by the difference'
            : 'Put spacers under the posts of the rail',
        ),
      ],
    };
  },
);

/** Injectors that stand in one another's way. */
const spacing = seatingRule(
  'injector.spacing',
  'injectors of a second row clear the first with their connectors on',
  (_checked, row) => {
    const { bossSpacing } = row.seating;
    const room = bossSpacing && bossSpacing.value - row.injector.barrel;
    if (bossSpacing === null || room === null || room >= BESIDE) return undefined;
    const least = Math.ceil((row.injector.barrel + BESIDE) * 1e3) / 1e3;
    return {
      severity: 'stop',
      title: 'Injectors are too close together',
      because: `${row.row.name}: {apart} between centres; each is {thick} thick with its connector`,
      numbers: { apart: length(bossSpacing.value), thick: length(row.injector.barrel) },
      cures: () => [
        setSeat(
          row,
          'bossSpacing',
          mm(least),
          `Weld the bosses ${Math.round(least * 1e3)} mm apart`,
        ),
      ],
    };
  },
);

/** Plugs of the harness that do not fit the injectors. */
const plugs = seatingRule(
  'injector.plug',
  'the connectors of the harness fit the injectors, or adapters are ordered',
  (_checked, row) => {
    const { seating, injector } = row;
    if (seating.plug === injector.plug) return undefined;
    return {
      severity: 'warn',
      title: 'Harness connectors do not fit the injectors',
      because: `${row.row.name}: the harness has ${seating.plug} connectors; ${injector.designation} takes ${injector.plug}`,
      numbers: {},
      cures: () => [
        setSeat(row, 'plug', injector.plug, `Fit ${injector.plug} connectors to the harness`),
      ],
    };
  },
);

/** Checks of how injectors sit between rail and port. */
export const seatingRules: readonly FuelRule[] = [retention, seals, seats, spacing, plugs];
