import { type PDFDocument, PDFHexString, PDFName, PDFOperator, type PDFPage, type PDFRef } from 'pdf-lib'

/** What a piece of paper is to somebody who has it read aloud (ISO 32000-1, 14.8.4, from memory). */
export type Role = 'Document' | 'H1' | 'H2' | 'H3' | 'P' | 'Table' | 'TR' | 'TH' | 'TD' | 'Figure'
/** Roles that only hold others. */
const HOLDERS: ReadonlySet<Role> = new Set(['Document', 'Table', 'TR'])

interface Node {
  role: Role
  /** What a figure shows, in words. */
  alt: string | null
  kids: (Node | { page: PDFPage; mcid: number })[]
}
/** The operators' names as the file has them; the library's own type for them is closed. */
type Op = Parameters<typeof PDFOperator.of>[0]
const op = (name: string, ...args: string[]): PDFOperator => PDFOperator.of(name as Op, args)

/** The tree of what a document says, beside how it looks: for reading aloud, reflow and copying. */
export class Tags {
  private readonly root: Node = { role: 'Document', alt: null, kids: [] }
  private readonly open: Node[] = [this.root]
  /** Nodes by page and number of their marked content. */
  private readonly marked = new Map<PDFPage, Node[]>()
  /** A figure's drawing is one piece of content, whatever it is drawn with. */
  private drawing = false

  private get here(): Node {
    return this.open.at(-1) ?? this.root
  }
  private add(role: Role, alt: string | null = null): Node {
    const node: Node = { role, alt, kids: [] }
    this.here.kids.push(node)
    return node
  }
  /** What is written in `work` belongs to one element. */
  within(role: Role, work: () => void): void {
    this.open.push(this.add(role))
    try {
      work()
    } finally {
      this.open.pop()
    }
  }
  private begin(page: PDFPage, node: Node): void {
    const nodes = this.marked.get(page) ?? []
    this.marked.set(page, nodes)
    page.pushOperators(op('BDC', `/${node.role}`, `<</MCID ${nodes.length}>>`))
    node.kids.push({ page, mcid: nodes.length })
    nodes.push(node)
  }
  /** A figure on one page: its lines and letters are read as its words. */
  figure(page: PDFPage, alt: string, work: () => void): void {
    this.begin(page, this.add('Figure', alt))
    this.drawing = true
    try {
      work()
    } finally {
      this.drawing = false
      page.pushOperators(op('EMC'))
    }
  }
  /** A text: of the element that is open, or an element of its own where that one only holds others. */
  text(page: PDFPage, work: () => void): void {
    if (this.drawing) return work()
    const { role } = this.here
    this.begin(page, HOLDERS.has(role) ? this.add(role === 'TR' ? 'TD' : 'P') : this.here)
    work()
    page.pushOperators(op('EMC'))
  }
  /** What is only for the eye: rules, boxes, the foot of a page. */
  artifact(page: PDFPage, work: () => void): void {
    if (this.drawing) return work()
    page.pushOperators(op('BMC', '/Artifact'))
    work()
    page.pushOperators(op('EMC'))
  }
  /** Writes the tree into the document. */
  write(doc: PDFDocument): void {
    const { context, catalog } = doc
    const rootRef = context.nextRef()
    const refs = new Map<Node, PDFRef>()
    const put = (node: Node, parent: PDFRef, scope = 'Row'): PDFRef => {
      const ref = context.nextRef()
      // A row of headings only is the head of its columns.
      const heads = node.role === 'TR' && node.kids.every((k) => 'role' in k && k.role === 'TH')
      refs.set(node, ref)
      const kids = node.kids.map((k) =>
        'role' in k
          ? put(k, ref, heads ? 'Column' : 'Row')
          : context.obj({ Type: 'MCR', Pg: k.page.ref, MCID: k.mcid }),
      )
      context.assign(
        ref,
        context.obj({
          Type: 'StructElem',
          S: node.role,
          P: parent,
          K: kids,
          ...(node.alt === null ? {} : { Alt: PDFHexString.fromText(node.alt) }),
          ...(node.role === 'TH' ? { A: context.obj({ O: 'Table', Scope: scope }) } : {}),
        }),
      )
      return ref
    }
    const top = put(this.root, rootRef)
    const nums = doc.getPages().flatMap((page, i) => {
      page.node.set(PDFName.of('StructParents'), context.obj(i))
      page.node.set(PDFName.of('Tabs'), PDFName.of('S'))
      return [context.obj(i), context.obj((this.marked.get(page) ?? []).map((n) => refs.get(n) as PDFRef))]
    })
    context.assign(
      rootRef,
      context.obj({
        Type: 'StructTreeRoot',
        K: top,
        ParentTree: context.obj({ Nums: nums }),
        ParentTreeNextKey: doc.getPageCount(),
      }),
    )
    catalog.set(PDFName.of('StructTreeRoot'), rootRef)
    catalog.set(PDFName.of('MarkInfo'), context.obj({ Marked: true }))
  }
}
