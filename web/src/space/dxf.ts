import type { LinesAsOne } from '@jugalis/core'
import { Colors, DxfWriter, LineTypes, point3d } from '@tarikjabiri/dxf'

/** Height of texts in a drawing of a building, mm. */
const TEXT_MM = 60

/** Lines where they lie as DXF, mm: pipes as lines in space, what stands in it by tag. */
export function spaceDxf(space: LinesAsOne): string {
  const file = new DxfWriter()
  file.addLayer('pipe', Colors.White, LineTypes.Continuous)
  file.addLayer('not-known', Colors.Cyan, LineTypes.Continuous)
  file.addLayer('tags', Colors.Green, LineTypes.Continuous)
  const at = (place: readonly [number, number, number]) => point3d(place[0], place[1], place[2])
  for (const leg of space.legs) {
    // A saddle sits on a pipe that is drawn anyhow.
    if (leg.insidePipe) continue
    const [from, to] = [space.nodes[leg.from], space.nodes[leg.to]]
    if (!from || !to) continue
    const points = [from.atMm, ...leg.viaMm, to.atMm]
    points.slice(1).forEach((place, i) =>
      file.addLine(at(points[i] as typeof place), at(place), {
        layerName: leg.known ? 'pipe' : 'not-known',
      }),
    )
  }
  for (const { tag, atMm } of space.nodes) file.addText(at(atMm), TEXT_MM, tag, { layerName: 'tags' })
  return file.stringify()
}
