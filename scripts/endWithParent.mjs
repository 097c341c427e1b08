import { readFileSync } from 'node:fs';

const LOOK_MS = 500;

/** The process that started another one; undefined where the system does not say. */
function parentOf(pid) {
  try {
    // After the name in brackets, which may hold anything: the state, then the parent.
    const [, rest = ''] = readFileSync(`/proc/${pid}/stat`, 'utf8').split(/\) (?!.*\) )/s);
    return Number(rest.split(' ')[1]);
  } catch {
    return undefined;
  }
}

/**
 * Ends this process, as if it were told to stop, once the one that started it is gone, or the one
 * behind that: npm starts a shell, and the shell the program.
 */
export function endWithParent() {
  const parent = process.ppid;
  const behind = parentOf(parent);
  const look = setInterval(() => {
    if (process.ppid === parent && parentOf(parent) === behind) return;
    clearInterval(look);
    process.kill(process.pid, 'SIGTERM');
  }, LOOK_MS);
  look.unref();
}
