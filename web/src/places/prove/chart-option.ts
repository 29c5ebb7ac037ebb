import type { EChartsCoreOption } from 'echarts/core'
import type { RoundScale } from '../../tapes/ticks'
import { word } from '../../words/word'

type Curve = readonly (readonly [ms: number, value: number])[]
/** Figures of the chart in the reader's units. */
export interface Charted {
  curves: { read: Curve; corrected: Curve; temperature: Curve }
  units: { bar: string; degrees: string }
  scales: { bar: RoundScale; degrees: RoundScale }
  hold: { fromMs: number; toMs: number }
  lastMs: number
  /** Below this the fall is more than allowed; null = no fall was named. */
  limit: number | null
  clockText(ms: number): string
  number(value: number, places: number): string
}
/** Fewer points than this are marked each. */
const FEW = 30

const color = (name: string): string =>
  getComputedStyle(document.documentElement).getPropertyValue(name).trim()
const textIn = (ink: string) => ({ color: ink, fontSize: 16, fontFamily: 'Barlow Condensed' })

function curve(data: Curve, ink: string, width: number, type: 'solid' | 'dotted', axis = 0) {
  return {
    type: 'line' as const,
    data: data as [number, number][],
    yAxisIndex: axis,
    showSymbol: data.length < FEW,
    symbolSize: 7,
    symbol: 'circle',
    silent: true,
    itemStyle: { color: ink },
    lineStyle: { color: ink, width, type },
  }
}
/** Where the hold begins and ends, and how low the pressure may fall. */
function marks({ hold, limit }: Charted, ink: string) {
  const text = textIn(ink)
  const label = (says: string, position?: string) => ({
    ...text,
    formatter: says,
    ...(position ? { position } : {}),
  })
  const allowed = {
    yAxis: limit,
    lineStyle: { color: color('--stop'), type: 'dashed' as const },
    label: label(word('prove-chart-allowed'), 'insideStartBottom'),
  }
  return {
    silent: true,
    symbol: 'none',
    lineStyle: { color: ink, width: 2, type: 'solid' },
    label: { ...text, position: 'insideEndTop' },
    data: [
      // On the side of the hold: at the other the scale of a test without a time to settle stands.
      { xAxis: hold.fromMs, label: label(word('prove-chart-hold'), 'insideEndBottom') },
      { xAxis: hold.toMs, label: label(word('prove-chart-ends')) },
      ...(limit === null ? [] : [allowed]),
    ],
  }
}
function valueAxis(name: string, { min, max, interval, places }: RoundScale, charted: Charted, ink: string) {
  const text = textIn(ink)
  return {
    type: 'value' as const,
    scale: true,
    name,
    nameTextStyle: text,
    min,
    max,
    interval,
    axisLine: { show: true, lineStyle: { color: ink } },
    axisLabel: { ...text, formatter: (v: number) => charted.number(v, places) },
  }
}

/** Thin: pressure as read; thick: pressure had the temperature stayed; dotted: the temperature. In the colours of the page. */
export function chartOption(charted: Charted): EChartsCoreOption {
  const ink = color('--ink')
  const { curves, units, scales, clockText, lastMs } = charted
  return {
    animation: false,
    grid: { left: 64, right: 56, top: 30, bottom: 30 },
    xAxis: {
      type: 'time',
      axisLabel: { ...textIn(ink), formatter: clockText, hideOverlap: true },
      axisLine: { lineStyle: { color: ink } },
      max: lastMs,
    },
    yAxis: [
      {
        ...valueAxis(units.bar, scales.bar, charted, ink),
        splitLine: { lineStyle: { color: color('--line') } },
      },
      { ...valueAxis(units.degrees, scales.degrees, charted, ink), splitLine: { show: false } },
    ],
    series: [
      { ...curve(curves.read, ink, 1.5, 'solid'), markLine: marks(charted, ink) },
      curve(curves.corrected, ink, 3, 'solid'),
      curve(curves.temperature, ink, 1.5, 'dotted', 1),
    ],
  }
}
