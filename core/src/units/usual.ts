/**
 * Least and most of what is usual on this work, in the unit of its kind (mm, bar, °C, Nm). They judge nothing: a bare figure
 * that lies outside, and inside were it typed in the other system's unit, is asked about before it is kept. Common practice.
 */
export const USUAL = {
  /** Pressures that lines are rated for, worked and tested at. */
  linePressure: [0.5, 40],
  /** What may be lost over a hold. */
  fall: [0.0005, 1.5],
  /** Steps of a gauge, and what it may drift. */
  gaugeStep: [0.0001, 1.2],
  socket: [6, 200],
  takeOff: [8, 500],
  /** From the depth mark to the mark that is looked at afterwards. */
  checkOffset: [20, 150],
  kerf: [0.2, 9],
  offcut: [80, 12_500],
  /** A piece of pipe as it is measured; coils run longer, and bare millimetres do not go below. */
  piece: [45, 14_000],
  /** From a joint to what stands near it. */
  nearBy: [10, 4_000],
  /** What a joint gives, or leaves free. */
  movement: [0.5, 150],
  pipeC: [-20, 60],
  torqueNm: [1, 400],
  /** What is bought of what is used up: litres in a tin, kilograms on a reel, millimetres of wire or tape. */
  tinL: [0.1, 5],
  reelKg: [0.1, 5],
  reelMm: [500, 200_000],
} as const satisfies Readonly<Record<string, readonly [least: number, most: number]>>
