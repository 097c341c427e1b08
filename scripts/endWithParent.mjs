const LOOK_MS = 500;

/** Ends this process, as if it were told to stop, once the one that started it is gone. */
export function endWithParent() {
  const parent = process.ppid;
  const look = setInterval(() => {
    if (process.ppid === parent) return;
    clearInterval(look);
    process.kill(process.pid, 'SIGTERM');
  }, LOOK_MS);
  look.unref();
}
