export * from './database';
export * from './hold';
export * from './refused';
export * from './page';
export * from './register';
export * from './names';
export * from './log/log';
export * from './log/printEntries';
export * from './settings/settings';
export * from './work/works';
export * from './work/worksPage';
export * from './work/countedWorks';
export * from './capture/masters';
export * from './capture/captures';
export * from './running/jobs';
export * from './running/undo';
export * from './version';
export * from './running/numberFrom';
export * from './size/sizes';
export * from './size/sizesOfWorks';
export * from './size/offeredPixels';
export * from './prepare/printFiles';
export * from './prepare/recipes';
export * from './prepare/sheetFiles';
export * from './prepare/arrivals';
export * from './prepare/errands';
export * from './paper/formats';
export * from './paper/lots';
export * from './paper/papers';
export * from './paper/paperNotes';
export * from './paper/papersPage';
export * from './paper/profileUses';
export * from './paper/takePaper';
export * from './cut/sheetPlans';
export * from './cut/toPrint';
export * from './cut/bookSheet';
export * from './cut/undoSheet';
export * from './cut/printedSheets';
export * from './cut/pieceFates';
export * from './ink/printers';
export * from './ink/inkEvents';
export * from './ink/inkDemands';
export * from './ink/printedHere';
export * from './material/materials';
export * from './stock/stock';
export * from './stock/purchases';
export * from './proof/proofs';
export * from './proof/light';
export * from './proof/photographs';
export * from './proof/proofsPage';
export * from './proof/referenceMark';
export * from './edition/editions';
export * from './edition/checkLedger';
export * from './edition/editionsPage';
export * from './edition/spoiledSoFar';
export * from './consign/consignments';
export * from './price/channelTerms';
export * from './price/expenses';
export * from './price/priceLadders';
export * from './price/priceLists';
export * from './price/prices';
export * from './price/soldPastSteps';
export * from './finish/finishes';
export * from './order/orders';
export * from './order/takeOrder';
export * from './order/customers';
export * from './order/ordersPage';
export * from './order/lineSales';
export * from './order/orderedByMonth';
export * from './order/salesPage';
export * from './parcel/bookings';
export * from './parcel/sealing';
export * from './parcel/documents';
export * from './today/todayFacts';
export * from './search/findAll';
export * from './safekeeping/safekeeping';
export type {
  DocumentKind,
  EntryKind,
  InkEventKind,
  JobKind,
  Role,
  OrderEventKind,
  StockOf,
  VoidReason,
} from './schema';
