declare module 'psychrolib' {
  const lib: {
    SI: number
    SetUnitSystem(s: number): void
    GetTDewPointFromRelHum(t: number, rh: number): number
  }
  export default lib
}
