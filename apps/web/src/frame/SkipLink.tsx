/** The first stop of the tab key: past header and order of work to the screen itself. */
export function SkipLink() {
  return (
    <a
      href="#screen"
      className="sr-only focus:not-sr-only focus:fixed focus:top-1 focus:left-1 focus:z-50 focus:border focus:border-ink focus:bg-paper focus:px-3 focus:py-2"
      onClick={(event) => {
        event.preventDefault();
        document.querySelector('main')?.focus();
      }}
    >
      To the screen
    </a>
  );
}
