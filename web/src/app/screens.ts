/** Until what is looked at stands. */
const SETTLED_MS = 8000;

/** Screens that are no part of the first load, each fetched when it is gone to. */
export const screens = {
  shelf: () => import('../stage/product/Shelf.svelte'),
  systems: () => import('../stage/system/Systems.svelte'),
  prices: () => import('../stage/buy/Prices.svelte'),
  practices: () => import('../stage/practice/Practices.svelte'),
  instruments: () => import('../stage/instrument/Instruments.svelte'),
  buy: () => import('../stage/buy/BuyStage.svelte'),
  plan: () => import('../stage/floor/PlanStage.svelte'),
  choices: () => import('../stage/choose/ChooseStage.svelte'),
  buildUp: () => import('../stage/build/BuildStage.svelte'),
  history: () => import('../stage/care/HistoryStage.svelte'),
  card: () => import('../stage/mix/card/BatchCard.svelte'),
  bays: () => import('../stage/mix/BaysStage.svelte'),
  mix: () => import('../stage/mix/MixStage.svelte'),
  planks: () => import('../stage/lay/PlanksStage.svelte'),
  stamps: () => import('../stage/lay/StampsStage.svelte'),
} as const;

/**
 * Whoever stands on a floor may lose the signal: all of its screens are fetched while nobody waits for them, one after another.
 *
 * @returns gives it up
 */
export function fetchFloor(): () => void {
  let given = false;
  const floor = [
    screens.card,
    screens.bays,
    screens.mix,
    screens.plan,
    screens.choices,
    screens.buildUp,
    screens.history,
    screens.buy,
  ];
  const fetched = async () => {
    for (const ahead of floor) {
      if (given) {
        return;
      }
      await ahead().catch(() => undefined);
    }
  };
  const timer = setTimeout(() => void fetched(), SETTLED_MS);
  return () => {
    given = true;
    clearTimeout(timer);
  };
}
