/**
 * Lets the browser ask before the page is left or loaded anew, as long as something would be lost.
 *
 * @returns what ends it
 */
export function askBeforeLeaving(wouldLose: () => boolean): () => void {
  const ask = (event: BeforeUnloadEvent) => {
    if (wouldLose()) event.preventDefault();
  };
  window.addEventListener('beforeunload', ask);
  return () => {
    window.removeEventListener('beforeunload', ask);
  };
}
