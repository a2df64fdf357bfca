/* Sets the theme before anything is drawn, so that the cellar stays dark on a reload. */
(function () {
  var kept;
  try {
    kept = localStorage.getItem('ulterum-theme');
  } catch {
    kept = null;
  }
  var dark = window.matchMedia && window.matchMedia('(prefers-color-scheme: dark)').matches;
  document.documentElement.dataset.theme = kept || (dark ? 'cellar' : 'paper');
})();
