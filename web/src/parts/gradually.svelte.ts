/**
 * How many of a long list stand on the screen: the first at once, the others one after another, so that nobody who taps waits for all of
 * them. What was shown once stays.
 */
export function gradually(first: number, all: () => number): { readonly shown: number } {
  let shown = $state(first);
  $effect(() => {
    if (shown >= all()) {
      return;
    }
    const timer = setTimeout(() => (shown += 1));
    return () => clearTimeout(timer);
  });
  return {
    get shown() {
      return shown;
    },
  };
}
