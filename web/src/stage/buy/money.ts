/** Hundredths of the shop's money as it is read; nothing where nobody noted a price. */
export const money = (cents: number): string => (cents === 0 ? '' : (cents / 100).toFixed(2));
