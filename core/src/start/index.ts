/** How a job begins: templates of what is begun again and again, examples in its own school. */
export { TEMPLATES, TEMPLATE_LINES, type TemplateCarries, type TemplateId } from './templates.js'
export { type Begun, beginFrom } from './begin.js'
export { EXAMPLE_MM, entryExamples } from './examples.js'
