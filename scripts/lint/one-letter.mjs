/**
 * A lint rule: a name of one letter is guessed at, so it stands only where its whole life is in sight: in a function of
 * one line, as an index, a coordinate, one of two alike (`a` and `b`), or a symbol of a formula whose source is named above
 * the function.
 */
const INDEX_OR_COORDINATE = /^[ijkxyXY_]$/
const PAIR = { a: 'b', b: 'a' }
/** What a comment says above a function that holds a formula as it is printed. */
const OF_A_SOURCE = /\bSources?: |\bFormula: /
const FUNCTIONS = /^(?:ArrowFunctionExpression|FunctionDeclaration|FunctionExpression)$/

/** Functions around a node, from the inside out. */
function* functionsAround(node) {
  for (let at = node; at; at = at.parent) if (FUNCTIONS.test(at.type)) yield at
}
/** Parameter names of a type or a declaration without a body are not lived with. */
const isTypeOnly = (def) => /^TS/.test(def.node.type) || def.type === 'Type'
const isOneLine = (node) => node.loc.start.line === node.loc.end.line

export const oneLetter = {
  meta: {
    type: 'problem',
    messages: { short: '"{{name}}" says nothing: name what it is' },
    schema: [],
  },
  create(context) {
    const { sourceCode } = context
    /** The statement or member that a function stands in bears its comment. */
    const comments = (fn) => {
      for (let at = fn; at && at.type !== 'Program'; at = at.parent) {
        const before = sourceCode.getCommentsBefore(at)
        if (before.length) return before.map((c) => c.value).join('\n')
        if (at !== fn && FUNCTIONS.test(at.type)) return ''
      }
      return ''
    }
    const mayBeShort = (variable, def) => {
      if (INDEX_OR_COORDINATE.test(variable.name) || isTypeOnly(def)) return true
      const { scope } = variable
      if (PAIR[variable.name] && scope.set.has(PAIR[variable.name])) return true
      const around = [...functionsAround(def.name)]
      const [nearest] = around
      if (nearest && isOneLine(nearest)) return true
      return around.some((fn) => OF_A_SOURCE.test(comments(fn)))
    }
    const look = (scope) => {
      for (const variable of scope.variables) {
        const [def] = variable.defs
        if (variable.name.length !== 1 || !def || def.type === 'ImportBinding') continue
        if (!mayBeShort(variable, def))
          context.report({ node: def.name, messageId: 'short', data: { name: variable.name } })
      }
      scope.childScopes.forEach(look)
    }
    return { 'Program:exit': () => look(sourceCode.scopeManager.scopes[0]) }
  },
}
