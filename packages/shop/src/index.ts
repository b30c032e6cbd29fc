export {
  BILL_KINDS,
  type BillContent,
  type BillKind,
  billContent,
  billContentOf,
  closingWordsOf,
  type IssuedBill,
  issuedBill,
  jointContent,
  labelsOn,
  type MachineContent,
  standingBill,
} from './bills.ts';
export {
  inTimeOrder,
  needleKey,
  needleLine,
  type OpenedNeedle,
  openedNeedle,
  registerOf,
} from './needleRegister.ts';
export {
  NEW_SHOP_PROFILE,
  newCustomerProfile,
  newMachineProfile,
  USUAL_TIME,
} from './newProfiles.ts';
export { pricesLike } from './priceList.ts';
export {
  type CustomerProfile,
  customerProfile,
  type DaysOff,
  MACHINE_FACTS,
  type MachineFact,
  type MachineProfile,
  machineProfile,
  type PriceLine,
  type ServiceValue,
  type ShopProfile,
  shopProfile,
  TAG_PAPERS,
  type TagPaper,
  type WorkingTime,
} from './profiles.ts';
export {
  type BenchShift,
  type DayOffer,
  type OrderReason,
  offersFor,
  orderOf,
  type Planned,
  planShop,
  type ShopPlan,
  type WaitsFor,
  type Workshop,
} from './promise.ts';
export { saleOf } from './sale.ts';
export {
  countOf,
  isGoodSample,
  looseIn,
  minutesSewn,
  otherThreadShows,
  SAMPLE_CHECKS,
  type SampleCheck,
  SHOWS,
  sampleAnswers,
} from './sample/sampleAnswers.ts';
export { hookSettings, type TicketSettings, ticketSettings } from './stitch/fromTicket.ts';
export {
  meetingTargets,
  needleAngle,
  READING_QUANTITY,
  STITCH_QUANTITIES,
  type StitchMachine,
  type StitchQuantity,
  stitchMachine,
} from './stitch/machine.ts';
export {
  questionOf,
  readAt,
  rightSettings,
  SETTING_NAMES,
  type SettingName,
  SLIDERS,
  type SliderName,
  type StitchQuestion,
  type StitchSettings,
  sameSettings,
  stitchSettings,
  withAdjustment,
  withinSliders,
} from './stitch/settings.ts';
export {
  type MachineTension,
  pullsOf,
  type TensionBaseline,
  type WorkedSetting,
  withWorked,
  workedWith,
} from './tension/machineTension.ts';
export {
  MOST_PATH_POINTS,
  MOST_POINT_NAME,
  type PathKind,
  type PathPoint,
  pointNearest,
  pullsAlong,
  type ThreadPath,
  withGuideAfter,
  withMoved,
} from './tension/threadPath.ts';
export {
  asTries,
  lookedAt,
  mayTurnScrew,
  type SewnTry,
  screwNow,
  triesInForce,
} from './tension/tries.ts';
export { UNKNOWN_TENSION } from './tension/unknownTension.ts';
export { absenceOn, workingTimeOf } from './workingTime.ts';
