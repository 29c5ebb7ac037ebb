/**
 * A sentence as an ICU message. Its parameters are those of the message it words; quantities name how they are read
 * (`{depthMm, number, length}`) and are printed in the units of who reads. Figures that the sentence names by itself
 * stand beside it, in core's units, so that a translation can't change them.
 */
export type Wording = string | { readonly says: string; readonly figures: Readonly<Record<string, number>> }
/** Wordings by code. A code is worded once. */
export type Wordings = Readonly<Record<string, Wording>>

/** Every code that has words. Each file of words adds its own by declaration, so that a code without words does not compile. */
// eslint-disable-next-line @typescript-eslint/no-empty-object-type
export interface WordBook {}
export type Code = keyof WordBook & string
/** The codes a list of wordings adds. */
export type CodesOf<W> = { readonly [K in keyof W]: true }

type FigureNamed<C> = C extends `figure-${infer K}` ? K : never
/** Figures of a joint that have a name: `depthMm` is worded by `figure-depthMm`. */
export type FigureKey = FigureNamed<Code>
