/** All that is put on paper or into files, in one piece that is loaded when first asked for and then kept. */
export { certificatePaper } from './certificate'
export { cutList, cutRows } from './cut-list'
export { type HangTag, hangTags } from './hang-tags'
export { type Label, labelSheets } from './labels'
export { markStrips, markStripsSvg, stripsOf } from './mark-strips'
export { cutCsv, cutWorkbook } from './tables'
