// Runs before the first paint so that the chosen theme does not flash.
(function () {
  try {
    var kept = localStorage.getItem('brookrain.theme');
    var dark = kept ? kept === 'dark' : matchMedia('(prefers-color-scheme: dark)').matches;
    document.documentElement.dataset.theme = dark ? 'dark' : 'light';
  } catch {
    document.documentElement.dataset.theme = 'light';
  }
})();
