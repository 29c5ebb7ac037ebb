declare module 'jstat' {
  const lib: {
    studentt: { inv(p: number, dof: number): number }
    models: { ols(y: number[], x: number[][]): { coef: number[]; t: { se: number[] } } }
  }
  export default lib
}
