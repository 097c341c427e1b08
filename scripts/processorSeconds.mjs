// Processor time of this process and of all that it has started and that has ended, in seconds.
import { readFileSync } from 'node:fs';

/** Clock ticks a second in which the kernel counts. */
const TICKS = 100;

/** Undefined where the kernel does not tell it. */
export function processorSeconds() {
  try {
    const stat = readFileSync('/proc/self/stat', 'utf8');
    // The name, which may hold blanks, stands in brackets; behind it own and children's times.
    const fields = stat.slice(stat.lastIndexOf(')') + 2).split(' ');
    return fields.slice(11, 15).reduce((sum, ticks) => sum + Number(ticks), 0) / TICKS;
  } catch {
    return undefined;
  }
}
