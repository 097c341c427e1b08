import { firstOf } from '@brookrain/core';
import type { CellProblem, SheetGrid } from '@brookrain/contract';

const MOST_ROWS = 60;

/** A pasted table as it was read; wrong cells are marked and say why. */
export function ProblemGrid({
  grid,
  problems,
}: {
  grid: SheetGrid;
  problems: readonly CellProblem[];
}) {
  const at = new Map(problems.map((p) => [`${p.row}/${p.column}`, p.message]));
  const [header = [], ...rows] = grid;
  if (header.length === 0) {
    return problems.length > 0 ? (
      <p role="alert" className="text-signal">
        {firstOf(problems).message}
      </p>
    ) : null;
  }
  const cell = (text: string, row: number, column: number) => {
    const message = at.get(`${row}/${column}`);
    const Tag = row === 0 ? 'th' : 'td';
    return (
      <Tag
        key={column}
        scope={row === 0 ? 'col' : undefined}
        title={message}
        className={`min-w-[52px] whitespace-nowrap border-[0.75px] border-hair px-1.5 py-0.5 text-right font-normal ${message ? 'outline outline-2 -outline-offset-1 outline-signal' : ''}`}
      >
        {text === '' && message ? <span className="text-signal">missing</span> : text}
      </Tag>
    );
  };
  return (
    <div>
      {problems.length > 0 && (
        <div role="alert">
          <ul aria-label="Mistakes" className="mb-2 text-[13px] text-signal">
            {problems.slice(0, 8).map((p) => (
              <li key={`${p.row}/${p.column}/${p.message}`}>
                {p.row === 0 ? 'Header' : `Row ${p.row}`}
                {header[p.column] ? `, ${header[p.column]}` : ''}: {p.message}
              </li>
            ))}
            {problems.length > 8 && <li>and {problems.length - 8} more</li>}
          </ul>
        </div>
      )}
      <div
        className="max-h-[190px] overflow-auto"
        tabIndex={0}
        role="region"
        aria-label="Table as read"
      >
        <table className="text-[13px]">
          <thead className="bg-panel">
            <tr>{header.map((text, column) => cell(text, 0, column))}</tr>
          </thead>
          <tbody>
            {rows.slice(0, MOST_ROWS).map((row, r) => (
              <tr key={r}>{row.map((text, column) => cell(text, r + 1, column))}</tr>
            ))}
          </tbody>
        </table>
      </div>
      {rows.length > MOST_ROWS && (
        <p className="text-[13px] text-second">and {rows.length - MOST_ROWS} more rows</p>
      )}
    </div>
  );
}
