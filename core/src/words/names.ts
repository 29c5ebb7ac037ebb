/** Materials as the trade writes them. */
const MATERIAL_NAMES: Readonly<Record<string, string>> = {
  'pvc-u': 'PVC-U',
  pvc: 'PVC',
  cpvc: 'CPVC',
  abs: 'ABS',
  'pp-r': 'PP-R',
  'pp-r-layered': 'PP-R with a metal layer',
  pfa: 'PFA',
  'carbon-steel': 'carbon steel',
  pe: 'PE',
  pex: 'PEX',
  'epoxy-resin': 'epoxy resin',
  'vinyl-ester-resin': 'vinyl ester resin',
  'cored-resin': 'cored resin',
  K: 'type K',
  L: 'type L',
  M: 'type M',
  'GW 392': 'usual walls (GW 392)',
  'Table X': 'thin walls (table X)',
  'Table Y': 'thick walls (table Y)',
  'not-known': 'nobody can say',
}
/** The name of a material, or of a choice, as it is said: what is stored is never shown as it is. */
export const named = (id: string): string =>
  MATERIAL_NAMES[id] ?? (/^[a-z-]+$/.test(id) ? id.replace(/-/g, ' ') : id)
