/** What goes out and comes in as a file: plans, logs, backups, bundles, stock, reports and calendars. */
export {
  checkedText,
  type Pasts,
  printBackup,
  readBackup,
  pictureSchema,
  SHELF_NAMES,
  type ShelfName,
  type Shelves,
} from '../formats/backup'
export {
  type Differing,
  differingIn,
  restorePreview,
  type ShelfChange,
  staysUnasked,
} from '../formats/restoring'
export { bayReport, bayReportSchema } from '../formats/bay-report'
export { pageLines, type PageWord } from '../formats/sheet-text/page-lines'
export {
  choicesOfText,
  textDraft,
  type JobChoices,
  jobFromText,
  placeInDraft,
  RACK_SHEET,
  VEHICLE_SHEET,
} from '../formats/sheet-text/job-from-text'
export { NOTHING_READ, readSheet, type SheetRead } from '../formats/sheet-text/read-sheet'
export {
  withAnswers,
  type Answers,
  type Question,
  type ReadingOf,
  type SheetReading,
} from '../formats/sheet-text/reading'
export {
  type Asks,
  gearAsks,
  gearWith,
  partFor,
  partWith,
  readingWords,
  vehicleAsks,
  vehicleWith,
} from '../formats/sheet-text/take-readings'
export { meaningsFor } from '../formats/sheet-text/said-by-hand'
export type { TextAmount } from '../reading/read'
export { calendarFile } from '../formats/calendar'
export { jsonSchemas } from '../formats/json-schemas'
export { eventText, logCsv, parseLogText, printLog, type ReadLog } from '../formats/log-file'
export { type Copy, compareCopies, type CopyComparison, type OtherStep } from '../formats/copies'
export { checkedBundle, isBundle, type JobBundle, printBundle, readBundle } from '../formats/job-bundle'
export { parsePartsText } from '../formats/parts-file'
export { parsePlanText, planFileName, printPlan, readPlan } from '../formats/plan-file'
export { reviewReport, reviewReportSchema, surveyReport, surveyReportSchema } from '../formats/report'
export { blank, headOf, tableCellOf, valueAt } from '../formats/stock-cells'
export { type Column, STOCK_COLUMNS } from '../formats/stock-columns'
export { copyOf } from '../formats/stock-copy'
export { type CsvPreview, readStockCsv, stockCsv } from '../formats/stock-csv'
export { parseStockText, stockChanges, type StockChanges, stockText } from '../formats/stock-file'
export {
  EMPTY_STOCK,
  STOCK_KINDS,
  STOCK_SCHEMAS,
  type StockItem,
  type StockKind,
  type StockLists,
} from '../formats/stock-kinds'
export { STOCK_FIELDS } from '../formats/stock-fields'
export { stockDifferences, intoStock, stockRackOf } from '../formats/stock-rack'
