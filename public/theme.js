// Before anything is painted, so that a dim room stays dim.
document.documentElement.dataset.theme = localStorage.getItem('theme') ?? 'daylight';
