/** Until what is looked at stands. */
const SETTLED_MS = 8000;

/** What a crew on a floor goes to, each fetched when it is gone to. */
const onTheFloor = {
  card: () => import('../stage/mix/card/BatchCard.svelte'),
  bays: () => import('../stage/mix/BaysStage.svelte'),
  mix: () => import('../stage/mix/MixStage.svelte'),
  planks: () => import('../stage/lay/PlanksStage.svelte'),
  stamps: () => import('../stage/lay/StampsStage.svelte'),
  plan: () => import('../stage/floor/PlanStage.svelte'),
  choices: () => import('../stage/choose/ChooseStage.svelte'),
  buildUp: () => import('../stage/build/BuildStage.svelte'),
  history: () => import('../stage/care/HistoryStage.svelte'),
  buy: () => import('../stage/buy/BuyStage.svelte'),
} as const;

/** Screens that are no part of the first load. */
export const screens = {
  ...onTheFloor,
  shelf: () => import('../stage/product/Shelf.svelte'),
  systems: () => import('../stage/system/Systems.svelte'),
  prices: () => import('../stage/buy/Prices.svelte'),
  practices: () => import('../stage/practice/Practices.svelte'),
  instruments: () => import('../stage/instrument/Instruments.svelte'),
} as const;

/**
 * Whoever stands on a floor may lose the signal: all of its screens are fetched while nobody waits for them, one after another.
 *
 * @returns gives it up
 */
export function fetchFloor(): () => void {
  let given = false;
  const fetched = async () => {
    for (const ahead of Object.values(onTheFloor)) {
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
