// In the head of every page, before anything is drawn: a hall that is dark is never lit up first. See kit/theme.ts.
(function () {
  var chosen = null;
  try {
    chosen = localStorage.getItem('gorvan.theme');
  } catch {
    // A browser that keeps nothing follows the device.
  }
  var isDark = chosen ? chosen === 'hall' : matchMedia('(prefers-color-scheme: dark)').matches;
  document.documentElement.dataset.theme = isDark ? 'hall' : 'day';
})();
