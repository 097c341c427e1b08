import { Link } from 'react-router';

/** Mark and name; leads to the builds. */
export function Brand() {
  return (
    <Link to="/" className="flex shrink-0 items-center gap-2" aria-label="Brookrain, all builds">
      <svg width="20" height="20" viewBox="0 0 32 32" aria-hidden="true">
        <path d="M3 22c5-5 9 4 13 0s8-5 13 0" fill="none" stroke="var(--moss)" strokeWidth="3.4" />
        <path d="M9 5v9M16 2v12M23 5v9" stroke="var(--ink)" strokeWidth="2.6" />
      </svg>
      <span className="text-second max-[600px]:hidden">Brookrain</span>
    </Link>
  );
}
