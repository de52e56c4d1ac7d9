// A page that the browser kept and shows again, after Back, may belong to somebody who has left or locked the screen:
// it is asked for anew, and until the house has answered nothing of it is shown.
addEventListener('pageshow', (event) => {
  if (!event.persisted) return;
  document.documentElement.hidden = true;
  location.replace(location.href);
});
