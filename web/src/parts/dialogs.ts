/** Dialogs in the browser's history: Back closes the topmost, and none outlives the screen that it was opened on. */

interface Entry {
  dialog: string;
}

const isEntry = (state: unknown): state is Entry =>
  typeof state === 'object' && state !== null && 'dialog' in state;

/** Whether the newest entry of the history is a dialog's. */
export const isDialogOpen = (): boolean => isEntry(history.state);

/**
 * Gives a dialog an entry of its own.
 *
 * @param close called when somebody goes back, or elsewhere
 * @returns what the dialog does when it is gone
 */
export function enterDialog(id: string, close: () => void): () => void {
  history.pushState({ dialog: id } satisfies Entry, '');
  const left = () => {
    if (!isEntry(history.state) || history.state.dialog !== id) {
      close();
    }
  };
  addEventListener('popstate', left);
  return () => {
    removeEventListener('popstate', left);
    // closed by its own button: its entry goes with it
    if (isEntry(history.state) && history.state.dialog === id) {
      history.back();
    }
  };
}

/** A page that is loaded anew has no dialog: an entry of one that was open is left. */
export function leaveStale(): void {
  if (isDialogOpen()) {
    history.back();
  }
}
