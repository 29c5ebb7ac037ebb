import { LineChart } from 'echarts/charts'
import { GridComponent, MarkLineComponent } from 'echarts/components'
import { init, use } from 'echarts/core'
import { SVGRenderer } from 'echarts/renderers'

use([LineChart, GridComponent, MarkLineComponent, SVGRenderer])
/** Draws curves in a box: as much of the library as curves need. */
export const curvesIn = (box: HTMLElement) => init(box, undefined, { renderer: 'svg' })
