declare module 'jstat' {
  const lib: {
    erf(x: number): number
    studentt: { inv(p: number, dof: number): number }
    models: { ols(y: number[], x: number[][]): { coef: number[]; t: { se: number[] } } }
  }
  export default lib
}
