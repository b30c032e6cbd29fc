// Before the first paint, so that the night bench never flashes white.
(() => {
  var kept = null;
  try {
    kept = localStorage.getItem('nodo.theme');
  } catch (_blocked) {}
  var dark = matchMedia('(prefers-color-scheme: dark)').matches;
  document.documentElement.dataset.theme = kept || (dark ? 'night' : 'day');
})();
