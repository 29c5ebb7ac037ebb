import { type Field, methodOf } from '@jugalis/core'

/** What a job, a joint or a chart answers; the rest a method asks of the line itself. */
const ANSWERED: readonly string[] = [
  'material',
  'size',
  'school',
  'schedule',
  'socketDepthMm',
  'checkOffsetMm',
  'pressureService',
  'wallMm',
  'heatS',
  'coolS',
  'minTorqueNm',
  'ownTurns',
  'gapFromMm',
  'gapToMm',
]
/**
 * Fields of a method that are asked once a line: kind of nut, gasket, bolts … @param usual it is the line's usual way;
 * of any other the ends that meet say some by themselves.
 */
export const askedFields = (methodId: string, usual = true): readonly Field[] =>
  methodOf(methodId)?.fields.filter((f) => !ANSWERED.includes(f.key) && !f.byPart && (usual || !f.byEnds)) ??
  []
