// Before anything is painted, so that a dim room stays dim: the light that was chosen here, or else the device's.
(() => {
  const dim = matchMedia('(prefers-color-scheme: dark)');
  const light = () => {
    document.documentElement.dataset.theme = localStorage.getItem('theme') ?? (dim.matches ? 'lamp' : 'daylight');
  };
  light();
  dim.addEventListener('change', light);
})();
