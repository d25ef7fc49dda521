/** Dialogs in the browser's history: Back closes the topmost, and none outlives the screen that it was opened on. */

interface Entry {
  dialog: string;
}

const isEntry = (state: unknown): state is Entry =>
  typeof state === 'object' && state !== null && 'dialog' in state;

/** What waits until a closed dialog's entry has been left: the browser goes back in its own time. */
let afterwards: (() => void)[] | null = null;

/** Whether the newest entry of the history is a dialog's, that stays there. */
export const isDialogOpen = (): boolean => afterwards === null && isEntry(history.state);

/** Does something to the history once no dialog's entry is being left: going back would undo it. */
function whenLeft(act: () => void): void {
  if (afterwards === null) {
    act();
  } else {
    afterwards.push(act);
  }
}

/** Follows a link. */
export function follow(href: string): void {
  whenLeft(() => (location.hash = href));
}

/** Leaves a dialog's entry; a link pressed meanwhile is followed after it. */
function leave(): void {
  afterwards = [];
  const hold = (event: MouseEvent) => {
    const link = event.target instanceof Element ? event.target.closest('a[href^="#"]') : null;
    if (link) {
      event.preventDefault();
      follow(link.getAttribute('href') ?? '');
    }
  };
  const done = () => {
    removeEventListener('click', hold, true);
    const acts = afterwards ?? [];
    afterwards = null;
    acts.forEach((act) => act());
  };
  addEventListener('click', hold, true);
  addEventListener('popstate', done, { once: true });
  history.back();
}

/**
 * Gives a dialog an entry of its own.
 *
 * @param close called when somebody goes back, or elsewhere
 * @returns what the dialog does when it is gone
 */
export function enterDialog(id: string, close: () => void): () => void {
  let gone = false;
  const left = () => {
    if (!isEntry(history.state) || history.state.dialog !== id) {
      close();
    }
  };
  whenLeft(() => {
    if (!gone) {
      history.pushState({ dialog: id } satisfies Entry, '');
      addEventListener('popstate', left);
    }
  });
  return () => {
    gone = true;
    removeEventListener('popstate', left);
    // closed by its own button: its entry goes with it
    if (isDialogOpen() && isEntry(history.state) && history.state.dialog === id) {
      leave();
    }
  };
}

/** A page that is loaded anew has no dialog: an entry of one that was open is left. */
export function leaveStale(): void {
  if (isDialogOpen()) {
    leave();
  }
}
