export * from './units/units.js'
export * as fmt from './units/format.js'
export {
  type As,
  KINDS_OF_QUANTITY,
  KIND_OF,
  type Kind as QuantityKind,
  type Reader,
  type System,
  cutTo,
  fromUnits,
  inUnits,
  systemOf,
  unitOf,
} from './units/quantity.js'
export {
  type Typed,
  looksLikeOther,
  unusualHere,
  parseFigure,
  parseLength,
  parseQuantity,
} from './units/parse.js'
export { USUAL } from './units/usual.js'
export { tagOrder } from './units/tag-order.js'
export * from './sources/source.js'
export { allSources, allTables, sourceOf, tablesOf } from './handbook/tables.js'
export { DEFAULT_LANGUAGE, LANGUAGES, type Language, localeOf } from './units/languages.js'
export { accented } from './words/pseudo.js'
export type { Wordings } from './sources/wording.js'
export type { Silence } from './joint/silence.js'
export {
  type AnyMsg,
  type Translation,
  addTranslation,
  addWords,
  answerSaid,
  isWorded,
  named,
  say,
} from './words/words.js'
export { METRIC_SERIES } from './sizes/diameters.js'
export { type TableFile, columnsOf, howSure } from './sources/table.js'
export { outsideDiameterMm, parseSize, suggestSize } from './sizes/size.js'
export { dewPointC } from './conditions/dew-point.js'
export { HUMID_ABOVE_PCT } from './conditions/humidity.js'
export { append, extent, greatest, median, smallest } from './units/extent.js'
export { longestGapS } from './prove/window.js'
export { type CuredUnder, curedUnder } from './prove/cured-under.js'
export {
  type History,
  type Reading,
  type Span,
  cleanReadings,
  historyOf,
  withForecast,
  spanAt,
} from './conditions/history.js'
export type * from './methods/method.js'
export type { CureMode } from './methods/cure/pace.js'
export { timeOf, valueAt } from './methods/cure/piecewise.js'
export type { School } from './methods/joinable.js'
export { LATE_TAP_S } from './methods/kit/inspection.js'
export { allMethods, joinable, methodOf, registerMethod } from './methods/registry.js'
export * from './joint/events.js'
export * from './joint/chain.js'
export { inOrder } from './joint/order.js'
export { readEvents, readToFold } from './joint/read.js'
export { foldJob } from './joint/fold.js'
export * from './joint/state.js'
export { type Table, isGauged, jointLog, readingSaid } from './joint/joint-log.js'
export { jsonSchemaOf } from './schema/shape.js'
export { saidOf, unsaid } from './joint/around.js'
export { ASKED_FACTS, NOT_KNOWN, askedField } from './methods/around.js'
export { type JointPlace, begunJoints, jointPlaces, jointSpec, lineHead, lineSeries } from './joint/lookup.js'
export { type PlaceHealth, conditionsAt, placeHealth, wallHistory } from './joint/climate.js'
export * from './joint/assess.js'
export * from './joint/look.js'
export { dayOf, epochInZone } from './units/zone.js'
export { entriesWithoutCycle, hotWorkPermit, lifeBeforeEndedS, mismatches, toolWrong } from './joint/tools.js'
export { carrierEdits, carrierOf, outerLine, putOf, twinFindings, twinJoint } from './cut/carrier.js'
export { type BarGroup, barGroups, offcutsAfter, pipeSaid, stockQuestion } from './cut/bars.js'
export type { Offcut, StockSet } from './joint/stock-set.js'
export { CLOSING_SPARE_MM, OPENERS, closingFinding } from './cut/closing.js'
export { arcMm, bendMarks, centreLine, offset, parseRun } from './cut/bends.js'
export * from './cut/cut-length.js'
export {
  type Entry as LineEntry,
  FITTINGS,
  MEASURE_WORDS,
  completions,
  entryText,
  doubtfulLength,
  parseEntry,
  useGroup,
} from './cut/entry.js'
export { type Edit, type Edited, type Shop, difference, itemData, settle } from './cut/settle.js'
export { type Cursor, END, type Placed, isMade, placeEntry, placeTexts, standing } from './cut/place.js'
export {
  type LineFault,
  changeTo,
  copyBelow,
  lineFaults,
  moveAfter,
  splitWith,
  takeOut,
} from './cut/rework.js'
export { type Touched, cutOutTouches, toolTouches } from './cut/touches.js'
export { copied, nextItemTag, renumbered } from './cut/tags.js'
export {
  type LibraryRow,
  MOST_TAKE_OFF_MM,
  TAKE_OFF_HEADER,
  type TakeOffFault,
  libraryOf,
  readTakeOffs,
} from './cut/library.js'
export {
  type Pipe,
  armMm,
  filledWeight,
  growthMm,
  hangerSpacingMm,
  litresPerMetre,
  pipeWeight,
  sagSpanMm,
} from './cut/laying/laying.js'
export { type Stretch, stretchesOf } from './cut/laying/stretches.js'
export { entriesOf } from './cut/group.js'
export {
  HEADINGS,
  MOST_ROWS,
  type ReadLine,
  type RowFault,
  SCHEDULE_FIELDS,
  type ScheduleAsk,
  type ScheduleField,
  type ScheduleMode,
  type ScheduleRead,
  matchColumns,
  readSchedule,
} from './cut/schedule.js'
export {
  blockEnd,
  branchSize,
  branches,
  fittingAt,
  hasBranch,
  inBranch,
  neighbours,
  outlet,
} from './joint/neighbours.js'
export { clearanceFindings, clearancesOf } from './cut/clearances.js'
export * from './cut/piece.js'
export { type Laid, type LaidJoint, type LaidPart, type Stem, layOut } from './cut/layout.js'
export { fillingOf, midnightOf } from './cut/tin-date.js'
export * from './prove/admit.js'
export * from './prove/answer.js'
export * from './prove/gates.js'
export * from './prove/ladder.js'
export * from './prove/after.js'
export * from './prove/certificate.js'
export * from './prove/energy.js'
export * from './prove/water-column.js'
export * from './prove/test-so-far.js'
export * from './prove/read-csv.js'
export { PART_KINDS, TAG_KINDS } from './joint/kinds-prove.js'
export { PHOTO } from './joint/kinds-make.js'
export * from './prove/rules.js'
export * from './prove/verdict-sentence.js'
export * from './prove/limits.js'
export * from './prove/section.js'
export { pipeRating } from './prove/rating.js'
export * from './prove/live.js'
export * from './prove/stages.js'
export * from './prove/over-pressure.js'
export * from './prove/steady.js'
export * from './prove/judge.js'
export type { TestReading, TestSeries } from './prove/series.js'
export { CALCULATIONS, type Answer, type Calculation, Refusal, usePlanner } from './calc/index.js'
export { planStock } from './cut/stock/plan.js'
export { solverFrom } from './cut/stock/highs.js'
export type { Bar, StockInput, StockPlan } from './cut/stock/model.js'
export {
  type Entry,
  type HandbookFigure,
  DEFAULT_AROUND,
  contextOf,
  figuresOf,
  specOf,
} from './handbook/figures.js'
export { type Hit, allEntries, searchHandbook } from './handbook/search.js'
export { allDifferences, differencesFor } from './handbook/schools.js'
export {
  ANY_METHOD,
  CHART_FIGURES,
  CHART_HEADER,
  CHART_TIMES,
  type ChartFault,
  type ChartRow,
  readChart,
} from './methods/charts.js'
export type { CureClass, CureRule } from './methods/cure/rule.js'
export {
  DEBURR_TURNS,
  HACKSAW_TEETH_PER_INCH,
  chamferMaxMm,
  cutterFeed,
  swageDepthMinMm,
} from './cut/tube-work.js'
export { charted, newestChart } from './joint/lookup.js'
export { lineSeriesChoices } from './methods/line-series.js'
export { wallMm } from './sizes/walls.js'
export { judgePeel, leakPathOf, seenIn } from './methods/solder/peel.js'
export { FORECAST_HEADER, type ForecastFault, readForecast } from './conditions/forecast.js'
export * from './plan/backward.js'
export { type Shift, shiftOf } from './plan/shift.js'
