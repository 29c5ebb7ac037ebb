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
export type { Silence } from './log/silence.js'
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
export { longestGapS } from './prove/verdict/window.js'
export { type CuredUnder, curedUnder } from './prove/test-plan/cured-under.js'
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
export * from './log/events.js'
export * from './log/chain.js'
export * from './log/who-may.js'
export * from './log/roles.js'
export * from './log/proposals.js'
export { wantsLook } from './joint/look-over.js'
export { inOrder } from './log/order.js'
export { readEvents, readToFold } from './log/read.js'
export * from './log/job-file.js'
export { foldJob, standingEvents } from './log/fold.js'
export * from './log/fold-on.js'
export { unpackEntries } from './log/entry-columns.js'
export { PACK_VERSION, type Packed, type ReadingColumn, packLog } from './log/packed.js'
export * from './log/state.js'
export * from './joint/joint-log.js'
export * from './joint/making.js'
export * from './joint/qualified.js'
export { jsonSchemaOf } from './schema/shape.js'
export { saidOf, unsaid } from './joint/around.js'
export { ASKED_FACTS, NOT_KNOWN, askedField } from './methods/around.js'
export { type JointPlace, begunJoints, charted, jointPlaces, jointSpec, newestChart } from './joint/lookup.js'
export * from './joint/history.js'
export { type Way, matingOf } from './joint/way.js'
export { type PlaceHealth, conditionsAt, lastTakenS, placeHealth, wallHistory } from './joint/climate.js'
export * from './joint/assess.js'
export * from './joint/look.js'
export * from './practice/index.js'
export { dayOf, epochInZone } from './units/zone.js'
export { entriesWithoutCycle, hotWorkPermit, lifeBeforeEndedS, mismatches, toolWrong } from './joint/tools.js'
export { carrierEdits, carrierOf, outerLine, putOf, twinFindings, twinJoint } from './line/carrier.js'
export { type BarGroup, barGroups, offcutsAfter, pipeSaid, stockQuestion } from './cut/bars.js'
export type { Offcut, StockSet } from './log/stock-set.js'
export { CLOSING_SPARE_MM, OPENERS, closingFinding } from './cut/closing.js'
export { arcMm, bendMarks, centreLine, offset, parseRun } from './line/bends.js'
export * from './line/cut-length.js'
export {
  type Entry as LineEntry,
  LONGEST_MM as LONGEST_PIECE_MM,
  MEASURE_NAMES,
  MEASURE_WORDS,
  entryText,
  doubtfulLength,
  parseEntry,
  useGroup,
} from './line/entry.js'
export { type Edit, type Edited, type Shop, difference, itemData, settle, shopFor } from './line/settle.js'
export type { EntryReader } from './line/fitting-entry.js'
export { CURE_TABLES } from './methods/cure/rule.js'
export { NO_LINES } from './parts/met.js'
export { ENDS_OF, OWN_PARTS, type OwnPart, sentPartsFault, type OwnTakeOff } from './parts/own-part.js'
export { FORMS, type Form, type OwnForm, type OwnShape, SIGN_REACH } from './log/own-form.js'
export {
  OWN_HEADER,
  ownPartFault,
  ownPartsCsv,
  partsToType,
  readOwnParts,
  shapesSaid,
  shapesText,
  takeOffsBrought,
} from './line/own-parts.js'
export { type Cursor, END, type Placed, placeEntry, placeTexts, standing } from './line/place.js'
export { isMade, sizesHere } from './line/size-entry.js'
export { changeTo, copyBelow, moveAfter, retyped, splitWith, takeOut } from './line/rework.js'
export { type LineInSpace, lineInSpace } from './line/space/in-job.js'
export * from './line/space/lines-as-one.js'
export { type Extreme, highPoints, lowPoints } from './line/space/water-and-air.js'
export {
  type CloseTarget,
  type ClosingWay,
  type ClosingWith,
  closeFrom,
  closeTargets,
  closingWays,
  type TurningWay,
  turningWays,
} from './line/space/closing-ways.js'
export { type Alignment, alignmentOf } from './line/space/alignment.js'
export { MARKS_APART, roundMm } from './methods/kit/marks-meet.js'
export { type FallFault, fallFaults } from './line/space/fall-rule.js'
export { withSpace } from './line/space/edits.js'
export { fallText, levelText, standsText } from './line/space/said.js'
export { type Coordinate, axisSums, coordinatesOf } from './line/space/coordinates.js'
export { type ClosingOutcome, closingOutcome } from './cut/closing-outcome.js'
export type { ClosingError, Suspect } from './line/space/closing.js'
export type { SpaceNode } from './line/space/walked.js'
export { type DrawnJoint, type LineDrawn, drawLine, drawLines } from './line/space/drawing/drawing.js'
export { drawMoved } from './line/space/drawing/moved.js'
export type { Writing } from './line/space/drawing/marks.js'
export { VIEWS, type View, type ViewName } from './line/space/drawing/view.js'
export { type Vector, lengthOf as vectorLength } from './space/vector.js'
export { HEADINGS as DIRECTIONS } from './space/heading.js'
export { type LineChange, lineChange } from './line/change.js'
export { type LineFault, lineFaults } from './line/faults.js'
export { faultsOf } from './line/space/line-faults.js'
export { type Touched, cutOutTouches } from './line/touches.js'
export { copied, nextItemTag, renumbered, shortTag } from './line/tags.js'
export {
  type LibraryRow,
  MOST_TAKE_OFF_MM,
  TAKE_OFF_HEADER,
  type TakeOffFault,
  libraryOf,
  readTakeOffs,
} from './line/library.js'
export {
  type Pipe,
  armMm,
  filledWeight,
  growthMm,
  hangerSpacingMm,
  litresPerMetre,
  pipeWeight,
  sagSpanMm,
} from './line/laying/laying.js'
export { type Stretch, stretchesOf } from './line/laying/stretches.js'
export { type Growth, type GrowthLeg, type HoldForce, growthOf } from './line/growth/growth.js'
export type { Held } from './log/held.js'
export { type TooNear, tooNear } from './line/room/room.js'
export { completions } from './line/completions.js'
export { type Sign, ownSigns, symbolOf } from './line/space/drawing/symbols.js'
export { withHeld, withoutHeld } from './line/held.js'
export { entriesOf } from './line/group.js'
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
} from './line/schedule.js'
export {
  type EndAt,
  blockEnd,
  branches,
  endMet,
  fittingAt,
  inBranch,
  neighbours,
  rootOf,
} from './parts/neighbours.js'
export {
  type End,
  branchEnds,
  branchSize,
  endOf,
  endSize,
  hasBranch,
  outlet,
  partOf,
  pipeOf,
  usualOf,
} from './parts/ends.js'
export { elbowAngle, partNamed, partNames } from './parts/vocabulary.js'
export { type Mating, mate } from './parts/mating.js'
export { clearanceFindings, clearancesOf } from './line/clearances.js'
export * from './line/piece.js'
export { type Tap, tapsOf } from './line/taps.js'
export { type Laid, type LaidJoint, type LaidPart, type Stem, layOut } from './line/layout.js'
export { fillingOf, midnightOf } from './joint/tin-date.js'
export * from './prove/test-run/admit.js'
export * from './prove/test-plan/answer.js'
export * from './prove/test-plan/gates.js'
export * from './prove/test-plan/ladder.js'
export * from './prove/test-run/after.js'
export * from './prove/certificate/certificate.js'
export * from './prove/test-plan/energy.js'
export * from './prove/test-plan/water-column.js'
export * from './prove/test-run/test-so-far.js'
export * from './prove/test-run/read-csv.js'
export { PART_KINDS, TAG_KINDS } from './log/kinds-prove.js'
export * from './upkeep/index.js'
export { daysAfter } from './joint/standing.js'
export * from './joint/all-facts.js'
export { PHOTO } from './log/kinds-make.js'
export * from './prove/test-plan/rules.js'
export * from './prove/certificate/verdict-sentence.js'
export * from './prove/test-plan/limits.js'
export * from './prove/test-plan/section.js'
export * from './prove/test-plan/section-plan.js'
export { type HeightFrom, heightsOf } from './prove/test-plan/heights.js'
export { pipeRating } from './prove/test-plan/rating.js'
export * from './prove/test-plan/live.js'
export * from './prove/test-plan/stages.js'
export * from './prove/test-plan/over-pressure.js'
export * from './prove/verdict/steady.js'
export * from './prove/verdict/judge.js'
export type { TestReading, TestSeries } from './prove/verdict/series.js'
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
} from './line/tube-work.js'
export { lineSeriesChoices } from './methods/line-series.js'
export { wallMm } from './sizes/walls.js'
export { judgePeel, leakPathOf, seenIn } from './methods/solder/peel.js'
export { FORECAST_HEADER, type ForecastFault, readForecast } from './conditions/forecast.js'
export * from './log/copy-job.js'
export * from './plan/index.js'
export * from './store/index.js'
export * from './start/index.js'
