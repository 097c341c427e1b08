import { readFileSync } from 'node:fs';

/** Clock ticks a second in which the kernel counts processor time. */
const TICKS = 100;

/** Processor time that the main thread of a process has used, s; only where the kernel tells it. */
export function mainThreadSeconds(pid: number): number {
  const stat = readFileSync(`/proc/${pid}/task/${pid}/stat`, 'utf8');
  // The name, which may hold blanks, stands in brackets.
  const fields = stat.slice(stat.lastIndexOf(')') + 2).split(' ');
  return (Number(fields[11]) + Number(fields[12])) / TICKS;
}
