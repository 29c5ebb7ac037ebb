/**
 * A lint rule: what a person reads stands in the book of words, so that it can be said in another language and no
 * sentence is glued from parts. Looks at texts and attributes of templates, and at strings that read like a sentence.
 */
const READ_ALOUD = new Set(['label', 'title', 'placeholder', 'aria-label', 'alt', 'says', 'aria-description'])
const WORD = /\p{L}{2,}/u
/** Two words, or one that begins like a sentence. */
const SENTENCE = /\p{L}{2,}[’']?\p{L}*[,;:]?\s+\p{L}+|^\s*\p{Lu}\p{Ll}+(?:[\s.,:;!?…]|$)|^\p{L}{2,}…$/u
/** A word in a text put together of parts. */
const PART = /(?:^|\s)\p{L}{2,}(?:[\s.,:;!?…]|$)/u
/** What a database reads. */
const SQL = /^\s*(?:(?:select|insert|update|create|delete|listen)\b|with \w+ as \()/
const KEY =
  /^(?:Enter|Esc|Escape|Tab|Space|Home|End|Delete|Backspace|Control|Shift|Alt|Meta|Page(?:Up|Down)|Arrow\w+)$/
/** Texts that no person reads, and names that are the same in every language: fonts, headers, ours, languages; a stand-in's kind. */
const NOT_READ =
  /^(?:Barlow|Helvetica|UTC|Content-|Accept|application\/)|^Jugalis$|^air pocket$|^(?:high|low) first$|^calendar $|^Wait$|^English$|^Español$|^ · Jugalis$|prefers-|min-width|max-width/

const CALLS_WITHOUT_WORDS =
  /^(?:emit|api|ask|fetch|inject|matchMedia|define\w+|querySelector\w*|closest|matches|getContext|createElement|addEventListener|removeEventListener|startsWith|endsWith|includes|indexOf|split|replace|replaceAll|test|setAttribute|append|as|on|set|attribute)$/
/** Attributes that no person reads, whatever stands in them. */
const ATTRIBUTE_OF_CODE =
  /^(?:class|style|id|value|d|viewBox|points|transform|font-family|autocomplete|accept|media|content|href|to|sandbox)$/
/** What is written on paper or in a drawing by these: one word is read as much as a sentence. */
const WRITES = /^(?:text|say|head|flag)$/
/** Members that are shown as they are. */
const SHOWN = /^(?:label|title|says|heading|formatter|placeholder)$/
const ONE_WORD = /^\p{Ll}{3,}$/u
const callee = (node) =>
  node.callee.type === 'MemberExpression' ? node.callee.property.name : node.callee.name

/** Is this string compared with, looked up, imported, thrown at programmers? */
function notRead(node) {
  for (let at = node, up = node.parent; up; at = up, up = up.parent) {
    if (
      /^(?:Import|Export(?:All|Named))/.test(up.type) ||
      (/^TS/.test(up.type) &&
        up.type !== 'TSAsExpression' &&
        up.type !== 'TSSatisfiesExpression' &&
        up.type !== 'TSNonNullExpression')
    )
      return true
    if (up.type === 'BinaryExpression' && /^[!=]==?$/.test(up.operator)) return true
    if (up.type === 'SwitchCase' && up.test === at) return true
    if ((up.type === 'Property' || up.type === 'MemberExpression') && (up.key === at || up.property === at))
      return true
    if (
      up.type === 'NewExpression' &&
      /^(?:\w*Error|Worker|URL|RegExp|Blob|DateTimeFormat)$/.test(callee(up) ?? '')
    )
      return true
    if (up.type === 'CallExpression' && up.callee !== at && CALLS_WITHOUT_WORDS.test(callee(up) ?? ''))
      return true
    if (up.type === 'TaggedTemplateExpression') return true
    if (/Function/.test(up.type) || up.type === 'VExpressionContainer') return false
  }
  return false
}
/** Does a single word, which might be an id anywhere else, stand where people read it? */
function shown(node) {
  for (let at = node, up = node.parent; up; at = up, up = up.parent) {
    if (up.type === 'ConditionalExpression' && up.test !== at) continue
    if (up.type === 'LogicalExpression') continue
    if (up.type === 'TemplateLiteral')
      return at !== node && up.quasis.some((q) => /\s/.test(q.value.cooked ?? '')) && !notRead(up)
    if (up.type === 'Property') return up.value === at && SHOWN.test(up.key.name ?? up.key.value ?? '')
    if (up.type === 'CallExpression')
      return up.callee.type === 'MemberExpression' && up.arguments[0] === at && WRITES.test(callee(up))
    return up.type === 'VExpressionContainer' && up.parent.type === 'VElement'
  }
  return false
}
const reads = (text, pattern) =>
  pattern.test(text) && !KEY.test(text) && !SQL.test(text) && !NOT_READ.test(text)

export const inTheBook = {
  meta: {
    type: 'problem',
    messages: { outside: 'a sentence outside the book of words: "{{text}}"' },
    schema: [],
  },
  create(context) {
    const say = (node, text) =>
      context.report({ node, messageId: 'outside', data: { text: text.trim().slice(0, 60) } })
    const strings = {
      Literal(node) {
        if (typeof node.value !== 'string') return
        const sentence = reads(node.value, SENTENCE) && !notRead(node)
        if (sentence || (reads(node.value, ONE_WORD) && shown(node))) say(node, node.value)
      },
      TemplateElement(node) {
        const text = node.value.cooked ?? ''
        if (SQL.test(node.parent.quasis[0].value.cooked ?? '')) return
        const alone = node.parent.expressions.length === 0
        if ((alone ? reads(text, SENTENCE) : /\s/.test(text) && reads(text, PART)) && !notRead(node.parent))
          say(node, text)
      },
    }
    const { defineTemplateBodyVisitor } = context.sourceCode.parserServices
    if (!defineTemplateBodyVisitor) return strings
    return defineTemplateBodyVisitor(
      {
        ...strings,
        VText(node) {
          const inside = node.parent.rawName
          if (reads(node.value, WORD) && !['code', 'b', 'kbd'].includes(inside)) say(node, node.value)
        },
        'VAttribute[directive=false]'(node) {
          const [name, value] = [node.key.rawName, node.value?.value ?? '']
          const aloud = READ_ALOUD.has(name) && WORD.test(value)
          if (aloud || (!ATTRIBUTE_OF_CODE.test(name) && reads(value, SENTENCE))) say(node, value)
        },
      },
      strings,
    )
  },
}
