/**
 * The page behind an open dialog stands still. The dialog says so itself: a rule of the style sheet that asks whether one is open somewhere has
 * the browser go through the whole page at every change in it.
 */
let open = 0;

/** Returns what lets the page go again. */
export function holdPage(): () => void {
  const root = document.documentElement;
  // Where a bar takes room at its side, that room is kept.
  if (open === 0) root.dataset['held'] = window.innerWidth > root.clientWidth ? 'beside-bar' : 'whole';
  open += 1;
  return () => {
    open -= 1;
    if (open === 0) delete root.dataset['held'];
  };
}
