export {
  inTimeOrder,
  needleLine,
  needlePlace,
  type OpenedNeedle,
  openedNeedle,
  registerOf,
} from './needleRegister.ts';
export { NEW_SHOP_CARD, newCustomerCard, newMachineCard, USUAL_TIME } from './newProfiles.ts';
export {
  type CustomerCard,
  customerCard,
  type DaysOff,
  MACHINE_FACTS,
  type MachineCard,
  type MachineFact,
  machineCard,
  type ServiceValue,
  type ShopCard,
  shopCard,
  type WorkingTime,
} from './profiles.ts';
export {
  type DayOffer,
  type OrderReason,
  offersFor,
  type Planned,
  planShop,
  type ShopPlan,
  type Workshop,
} from './promise.ts';
export { absenceOn, workingTimeOf } from './workingTime.ts';
