/**
 * What pages need at once: constants and days, without the schemas and the tables behind them.
 */

export { dayAfter, daysBetween, weekdayOf } from './shop/days.ts';
export { NEW_SHOP_CARD, newCustomerCard, newMachineCard, USUAL_TIME } from './shop/newCards.ts';
export {
  type DayOffer,
  offersFor,
  planShop,
  type ShopPlan,
  type Workshop,
} from './shop/promise.ts';
export { QUANTITIES, QUANTITY_IDS, type Quantity } from './shop/quantities.ts';
export { mayTakeIn } from './tickets/rights.ts';
