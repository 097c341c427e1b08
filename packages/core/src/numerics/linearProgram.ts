/** One unknown of a program: what one of it costs, how many there may be, and where it counts. */
export interface ProgramColumn {
  readonly cost: number;
  readonly upper: number;
  /** row and coefficient */
  readonly entries: readonly (readonly [row: number, coefficient: number])[];
}

/** Least cost over columns from 0 to their upper limit, every row between its limits. */
export interface LinearProgram {
  readonly columns: readonly ProgramColumn[];
  readonly rows: readonly { readonly lower: number; readonly upper: number }[];
  /** whether only whole numbers are answers */
  readonly whole: boolean;
}

/**
 * What a solver answers: `stopped` has the best it found in its time, `unknown` found nothing in it,
 * `infeasible` proved that there is nothing.
 */
export type ProgramSolution =
  | { readonly status: 'infeasible' }
  | { readonly status: 'unknown' }
  | {
      readonly status: 'optimal' | 'stopped';
      readonly cost: number;
      /** of each column */
      readonly amounts: readonly number[];
      /** of each row what one more of it would cost; empty for whole numbers */
      readonly prices: readonly number[];
    };

/** Solves a program; where `seconds` are given it stops after them. */
export type ProgramSolver = (program: LinearProgram, seconds?: number) => ProgramSolution;

const term = (coefficient: number, column: number): string =>
  `${coefficient < 0 ? '-' : '+'} ${Math.abs(coefficient)} x${column}`;

/** Lines short enough for every reader of the format. */
const inLines = (terms: readonly string[]): string => {
  const lines: string[] = [];
  for (let i = 0; i < terms.length; i += 10) lines.push(terms.slice(i, i + 10).join(' '));
  return lines.join('\n  ');
};

/** A program as the plain text that solvers read: columns x0, x1 …, rows r0, r1 … */
export function programText({ columns, rows, whole }: LinearProgram): string {
  const inRow: string[][] = rows.map(() => []);
  columns.forEach(({ entries }, j) => {
    for (const [row, coefficient] of entries) inRow[row]?.push(term(coefficient, j));
  });
  const limits = rows.flatMap(({ lower, upper }, i) => {
    const terms = inRow[i] ?? [];
    // A row that no column is in still has to hold.
    const left = terms.length > 0 ? inLines(terms) : '0 x0';
    if (lower === upper) return [` r${i}: ${left} = ${lower}`];
    return [
      ...(Number.isFinite(lower) ? [` r${i}: ${left} >= ${lower}`] : []),
      ...(Number.isFinite(upper) ? [` u${i}: ${left} <= ${upper}`] : []),
    ];
  });
  return [
    'Minimize',
    ` cost: ${inLines(columns.map(({ cost }, j) => term(cost, j)))}`,
    'Subject To',
    ...limits,
    'Bounds',
    ...columns.map(({ upper }, j) => ` 0 <= x${j}${Number.isFinite(upper) ? ` <= ${upper}` : ''}`),
    ...(whole ? ['General', ` ${inLines(columns.map((_, j) => `x${j}`))}`] : []),
    'End',
    '',
  ].join('\n');
}

/** What a solver that reads text answers: columns by name; rows in order, their price where not whole. */
export interface TextSolution {
  readonly Status: string;
  readonly ObjectiveValue: number;
  readonly Columns: Readonly<Record<string, { readonly Index: number; readonly Primal?: number }>>;
  readonly Rows: readonly {
    readonly Index: number;
    readonly Name?: string;
    readonly Dual?: number;
  }[];
}

/** Rounding that a row may be off by. */
const SLACK = 1e-6;

/** Whether amounts keep every limit of a program. */
function holds({ columns, rows, whole }: LinearProgram, amounts: readonly (number | undefined)[]) {
  const sums = rows.map(() => 0);
  for (const [j, { upper, entries }] of columns.entries()) {
    const amount = amounts[j] ?? Number.NaN;
    const isWhole = !whole || Math.abs(amount - Math.round(amount)) <= SLACK;
    if (!(amount >= -SLACK && amount <= upper + SLACK) || !isWhole) return false;
    for (const [row, coefficient] of entries) sums[row]! += coefficient * amount;
  }
  return rows.every(({ lower, upper }, i) => {
    const total = sums[i] ?? 0;
    const slack = SLACK * Math.max(1, Math.abs(total));
    return total >= lower - slack && total <= upper + slack;
  });
}

/** A solver of programs made of one that reads text. Throws what it throws. */
export const solverByText =
  (solve: (text: string, options: { time_limit?: number }) => TextSolution): ProgramSolver =>
  (program, seconds) => {
    const { Status, ObjectiveValue, Columns, Rows } = solve(
      programText(program),
      seconds === undefined ? {} : { time_limit: seconds },
    );
    const amounts = program.columns.map((_, j) => Columns[`x${j}`]?.Primal);
    const known = amounts.every((amount) => amount !== undefined);
    const isStopped = Status === 'Time limit reached';
    // What was stopped before its first answer tells amounts that mean nothing.
    if (isStopped && (!known || !holds(program, amounts))) return { status: 'unknown' };
    if (!known || (Status !== 'Optimal' && !isStopped)) return { status: 'infeasible' };
    const prices = new Map<string, number>();
    for (const { Name, Dual } of Rows) {
      const row = (Name ?? '').slice(1);
      prices.set(row, (prices.get(row) ?? 0) + (Dual ?? 0));
    }
    return {
      status: Status === 'Optimal' ? 'optimal' : 'stopped',
      cost: ObjectiveValue,
      amounts: amounts.map((amount) => amount ?? 0),
      prices: program.whole ? [] : program.rows.map((_, i) => prices.get(String(i)) ?? 0),
    };
  };
