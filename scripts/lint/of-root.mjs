/**
 * A lint rule: an address of the server is made by `web/src/base`, which knows where the app lies on it. One that begins at
 * the root of the server is another program's, where a proxy gives the app a path of its own.
 */
export const ofRoot = {
  meta: {
    type: 'problem',
    messages: {
      root: 'an address at the root of the server: here(), apiAt() or wholeAddress() of web/src/base',
    },
    schema: [],
  },
  create(context) {
    const api = (node, text) => {
      if (/^\/api(\/|$)/.test(text)) context.report({ node, messageId: 'root' })
    }
    const visitor = {
      Literal: (node) => typeof node.value === 'string' && api(node, node.value),
      TemplateElement: (node) => api(node, node.value.raw),
      'MemberExpression[property.name="origin"]'(node) {
        if (/(^|\.)location$/.test(context.sourceCode.getText(node.object)))
          context.report({ node, messageId: 'root' })
      },
    }
    const { parserServices } = context.sourceCode
    // Templates of components are walked by their own parser.
    const inTemplate = {
      ...visitor,
      VLiteral: (node) => api(node, node.value),
    }
    return parserServices?.defineTemplateBodyVisitor
      ? parserServices.defineTemplateBodyVisitor(inTemplate, visitor)
      : visitor
  },
}
