/**
 * Asks for the stash while the app itself is still coming, where this browser keeps none yet (the mark of src/api/disk.ts). The app
 * takes the answers up when it gets there (src/api/ahead.ts).
 */
(function () {
  let kept;
  try {
    kept = localStorage.getItem('red-shelf.kept');
  } catch {
    kept = null;
  }
  if (kept !== null) return;
  const answers = new Map();
  for (const path of ['/api/supplies', '/api/wall', '/api/records']) {
    const answer = fetch(path);
    // Whoever takes it hears that nobody answered; until then nobody has to.
    answer.catch(() => undefined);
    answers.set(path, answer);
  }
  window.askedAhead = answers;
})();
