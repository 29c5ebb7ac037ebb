import { nextTick } from 'vue'
import { device, html, newPage } from './browser'

const { usePrefs } = await import('../../src/stores/prefs')
beforeEach(() => {
  device.broken = false
  device.removeItem('jugalis-prefs')
  newPage()
})

it('what is chosen is there on the next page; what nobody chose is as it is at first', async () => {
  usePrefs().prefs.wet = true
  await nextTick()
  newPage()
  expect([usePrefs().prefs.wet, usePrefs().prefs.sound, usePrefs().prefs.hours]).toEqual([true, true, 24])
})
it('a store that cannot keep costs the memory of it, never the page', async () => {
  device.broken = true
  const { prefs } = usePrefs()
  prefs.wet = true
  await nextTick()
  expect(prefs.wet).toBe(true)
})
it('the way it is read: by the school, but for what this person chose, with their own decimal sign', () => {
  const store = usePrefs()
  store.prefs.decimal = ','
  store.prefs.own = { pressure: 'inch' }
  expect(store.readerFor('metric')).toEqual({
    units: 'metric',
    own: { pressure: 'inch' },
    decimal: ',',
    language: 'en',
  })
})
it('by the device the decimal sign is the device\u2019s', () => {
  expect(usePrefs().readerFor('inch').decimal).toBe((1.1).toLocaleString().includes(',') ? ',' : '.')
})
it('takes from the server what it keeps of a person, and nothing else', () => {
  const store = usePrefs()
  store.prefs.wet = true
  store.take({ hours: 12, wet: false, theme: 'night' } as never)
  expect([store.prefs.hours, store.prefs.wet, store.prefs.theme]).toEqual([12, true, 'device'])
  store.take(null)
  expect(Object.keys(store.personal()).sort()).toEqual(['decimal', 'hours', 'keys', 'language', 'own'])
})
it('day and night are turned over, and the page told', async () => {
  const store = usePrefs()
  expect([store.night, html.dataset.theme]).toEqual([false, 'day'])
  store.flipTheme()
  await nextTick()
  expect([store.night, html.dataset.theme]).toEqual([true, 'night'])
  store.flipTheme()
  await nextTick()
  expect(html.dataset.theme).toBe('day')
})
