/** Room to absolute temperature. */
const ZERO_C = 273.15

/** Error function (Abramowitz and Stegun 1964, 7.1.26; off by less than 1.5e-7). @example erf(0) // 0 */
export function erf(x: number): number {
  const small = 1 / (1 + 0.3275911 * Math.abs(x))
  const series =
    ((((1.061405429 * small - 1.453152027) * small + 1.421413741) * small - 0.284496736) * small +
      0.254829592) *
    small
  return Math.sign(x) * (1 - series * Math.exp(-x * x))
}

/**
 * Temperature inside a thick body whose face is suddenly held at another one, °C (Carslaw and Jaeger 1959, 2.4).
 * @param fromC all through, before. @param faceC held at the face. @param diffusivity m²/s. @param depthM below the face.
 * @param afterS since. @example semiInfiniteC(20, 260, 1e-7, 0, 5) // 260
 */
export const semiInfiniteC = (
  fromC: number,
  faceC: number,
  diffusivity: number,
  depthM: number,
  afterS: number,
): number =>
  afterS <= 0 ? fromC : faceC + (fromC - faceC) * erf(depthM / (2 * Math.sqrt(diffusivity * afterS)))

/**
 * How deep a body is at least so hot, m: the same the other way round, found by halving.
 * @param hotC between `fromC` and `faceC`. @example hotDepthM(20, 260, 150, 1e-7, 0) // 0
 */
export function hotDepthM(
  fromC: number,
  faceC: number,
  hotC: number,
  diffusivity: number,
  afterS: number,
): number {
  if (afterS <= 0 || faceC <= hotC) return 0
  let [near, far] = [0, 10 * Math.sqrt(diffusivity * afterS)]
  for (let i = 0; i < 40; i++) {
    const middle = (near + far) / 2
    if (semiInfiniteC(fromC, faceC, diffusivity, middle, afterS) >= hotC) near = middle
    else far = middle
  }
  return near
}

/**
 * Temperature of a body that is equally warm all through, °C (lumped capacity; Incropera, chapter 5).
 * @param fromC at first. @param aroundC of what it lies in. @param timeS its time constant m·c / (h·A). @param afterS since.
 * @example lumpedC(20, 120, 10, 0) // 20
 */
export const lumpedC = (fromC: number, aroundC: number, timeS: number, afterS: number): number =>
  aroundC + (fromC - aroundC) * Math.exp(-afterS / timeS)

/** Gas constant, J/(mol K) (CODATA). */
const GAS = 8.314462618
/**
 * How much faster a process runs at one temperature than at another (Arrhenius 1889).
 * @param energyKJ activation energy, kJ/mol. @example arrhenius(50, 20, 20) // 1
 */
export const arrhenius = (energyKJ: number, atC: number, referenceC: number): number =>
  Math.exp(((energyKJ * 1000) / GAS) * (1 / (referenceC + ZERO_C) - 1 / (atC + ZERO_C)))

/**
 * How much longer a polymer takes to give way than at its glass transition: 10^(−17.44 Δ / (51.6 + Δ)) (Williams, Landel
 * and Ferry 1955, their constants for all polymers).
 * @param aboveC how far above the glass transition, °C, 0 to about 100. @example wlf(0) // 1
 */
export const wlf = (aboveC: number): number =>
  10 ** ((-17.44 * Math.max(0, aboveC)) / (51.6 + Math.max(0, aboveC)))
