/** Lists that stood on the screen whole since the page was loaded. */
const whole: Record<string, boolean> = {};

/**
 * How many of a long list stand on the screen: the first at once, the others one after another, so that nobody who taps waits for all of
 * them. What was shown once stays, and a list that was whole once is whole at once from then on: whoever comes back to it finds the place
 * where he was.
 *
 * @param list its name; `all` how many there are, fewer than the first until that is known
 */
export function gradually(
  list: string,
  first: number,
  all: () => number,
): { readonly shown: number } {
  let shown = $state(whole[list] ? Infinity : first);
  $effect(() => {
    const count = all();
    if (count < first) {
      return;
    }
    if (shown >= count) {
      whole[list] = true;
      shown = Infinity;
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
