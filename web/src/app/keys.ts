/** The key, unless it belongs to a field, a dialog or the browser. */
export function plainKey(event: KeyboardEvent): string {
  const target = event.target;
  const typing =
    target instanceof HTMLElement && target.closest('input, select, textarea, dialog') !== null;
  return typing || event.ctrlKey || event.metaKey || event.altKey ? '' : event.key;
}
