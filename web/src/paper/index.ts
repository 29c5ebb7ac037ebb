/** All that is put on paper or into files, in one piece that is loaded when first asked for and then kept. */
import { paperFonts } from './fonts'
import { letters } from './sheet'

letters.read = paperFonts
export { certificatePaper } from './certificate'
export { certificateWords } from './certificate-words'
export { cutList, cutRows } from './cut-list'
export { type HangTag, hangTags } from './hang-tags'
export { isometricPaper } from './isometric'
export { SHEETS, sheetOf } from './sheet'
export { type Label, labelSheets } from './labels'
export { markStrips, markStripsSvg, stripsOf } from './mark-strips'
export { type ToBuy, shoppingList } from './shopping'
export { cutCsv, cutWorkbook } from './tables'
