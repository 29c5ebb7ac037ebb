import { BASE, here } from './base'
import { ref } from 'vue'
import { type RouteLocationNormalized, createRouter, createWebHistory } from 'vue-router'
import { closeTopSheet } from './frame/sheets'
import { keepText, readText } from './stored'
import { useJob } from './stores/job'
import { useSession } from './stores/session'
import { word } from './words/word'

export const PLACES = [
  { name: 'set-out', key: '1', says: 'app-set-out' },
  { name: 'cut', key: '2', says: 'app-cut' },
  { name: 'make', key: '3', says: 'app-make' },
  { name: 'wait', key: '4', says: 'app-wait' },
  { name: 'prove', key: '5', says: 'app-prove' },
  { name: 'hand-over', key: '6', says: 'app-hand-over' },
] as const

/** Places on the side: three loose tools below the rule. */
export const SIDE_PLACES = [
  { name: 'store', key: 's', says: 'app-store' },
  { name: 'handbook', key: 'h', says: 'app-handbook' },
  { name: 'practice', key: 'p', says: 'app-practice' },
] as const

/** The place that an address belongs to: a place may have more than one page. */
export const placeOf = (to: { name?: unknown; meta: Record<string, unknown> }): unknown =>
  to.meta.place ?? to.name

/** Was this navigation the browser's own Back or Forward? Heard before the router hears it. */
let popped = false
window.addEventListener('popstate', () => {
  popped = true
  // The way back to where it was is a step of its own, which no guard is asked about.
  setTimeout(() => (popped = false))
})

export const router = createRouter({
  history: createWebHistory(BASE),
  routes: [
    { path: '/', redirect: '/jobs' },
    { path: '/sign-in', name: 'sign-in', component: () => import('./places/sign-in/SignIn.vue') },
    {
      path: '/verify',
      name: 'check-file',
      meta: { open: true },
      component: () => import('./places/check-file/CheckFile.vue'),
    },
    {
      path: '/welcome/:token',
      name: 'welcome',
      meta: { open: true },
      component: () => import('./places/welcome/Welcome.vue'),
    },
    { path: '/jobs', name: 'jobs', component: () => import('./places/jobs/Jobs.vue') },
    { path: '/settings', name: 'settings', component: () => import('./places/settings/Settings.vue') },
    {
      path: '/job/:jobId',
      component: () => import('./frame/JobFrame.vue'),
      children: [
        { path: '', redirect: (to) => ({ name: 'wait', params: to.params }) },
        { path: 'set-out/:lineId?', name: 'set-out', component: () => import('./places/set-out/SetOut.vue') },
        {
          path: 'fittings',
          name: 'fittings',
          component: () => import('./places/set-out/Fittings.vue'),
          meta: { place: 'set-out' },
        },
        {
          path: 'supports',
          name: 'supports',
          component: () => import('./places/set-out/Supports.vue'),
          meta: { place: 'set-out' },
        },
        {
          path: 'import/:lineId',
          name: 'import',
          component: () => import('./places/set-out/Import.vue'),
          meta: { place: 'set-out' },
        },
        { path: 'cut/:itemId?', name: 'cut', component: () => import('./places/cut/Cut.vue') },
        {
          path: 'bars',
          name: 'bars',
          component: () => import('./places/cut/Bars.vue'),
          meta: { place: 'cut' },
        },
        {
          path: 'tube',
          name: 'tube',
          component: () => import('./places/cut/Tube.vue'),
          meta: { place: 'cut' },
        },
        { path: 'make/:jointId?', name: 'make', component: () => import('./places/make/Make.vue') },
        { path: 'wait/:sectionId?', name: 'wait', component: () => import('./places/wait/Wait.vue') },
        {
          path: 'shift',
          name: 'shift',
          component: () => import('./places/wait/Shift.vue'),
          meta: { place: 'wait' },
        },
        {
          path: 'plan',
          name: 'plan',
          component: () => import('./places/plan/Plan.vue'),
          meta: { place: 'wait' },
        },
        {
          path: 'site',
          name: 'site',
          component: () => import('./places/site/Site.vue'),
          meta: { place: 'wait' },
        },
        { path: 'prove/:sectionId?', name: 'prove', component: () => import('./places/prove/Prove.vue') },
        {
          path: 'upkeep',
          name: 'upkeep',
          component: () => import('./places/upkeep/Upkeep.vue'),
          meta: { place: 'hand-over' },
        },
        { path: 'store/:itemId?', name: 'store', component: () => import('./places/store/Store.vue') },
        { path: 'about', name: 'about', component: () => import('./places/about/About.vue') },
        { path: 'handbook', name: 'handbook', component: () => import('./places/handbook/Handbook.vue') },
        { path: 'practice', name: 'practice', component: () => import('./places/practice/Practice.vue') },
        { path: 'hand-over', name: 'hand-over', component: () => import('./places/hand-over/HandOver.vue') },
      ],
    },
    { path: '/:rest(.*)*', redirect: '/jobs' },
  ],
})

/** A part of the interface that does not load: a newer version took its place, or there is no signal. Tried once anew. */
const TRIED = 'jugalis-tried'
export const unloaded = ref('')
router.onError((_e, to) => {
  const before = readText(TRIED, 'visit')
  if (before !== to.fullPath && keepText(TRIED, to.fullPath, 'visit') && navigator.onLine)
    return window.location.assign(here(to.fullPath))
  unloaded.value = to.fullPath
})
router.afterEach((to) => {
  unloaded.value = ''
  if (readText(TRIED, 'visit') === to.fullPath) keepText(TRIED, null, 'visit')
})

/** Back closes the sheet that is open, before it leaves the page under it. */
router.beforeEach(() => {
  const back = popped
  popped = false
  return !(back && closeTopSheet())
})
/** Code of a page, on its way while it is asked who is signed in: over a slow line each costs a way there and back. */
function fetchCode({ matched }: RouteLocationNormalized): void {
  for (const { components } of matched)
    for (const load of Object.values(components ?? {}))
      // What does not load is told by the navigation itself.
      if (typeof load === 'function') void Promise.resolve((load as () => unknown)()).catch(() => undefined)
}
router.beforeEach(async (to) => {
  const session = useSession()
  const asked = session.ask()
  fetchCode(to)
  await asked
  if (!session.person && to.name !== 'sign-in' && to.meta.open !== true)
    return { name: 'sign-in', query: { to: to.fullPath } }
  if (typeof to.params.jobId === 'string') void useJob().open(to.params.jobId)
  return true
})
/** Places that no folding rule shows. */
const OTHER_PLACES: Readonly<Record<string, () => string>> = {
  settings: () => word('ui-settings'),
  jobs: () => word('ui-your-jobs'),
  about: () => word('about-this-job'),
  'check-file': () => word('files-check-title'),
}
router.afterEach((to) => {
  const place = [...PLACES, ...SIDE_PLACES].find((p) => p.name === placeOf(to))
  const what = OTHER_PLACES[String(to.name)]?.() ?? (place && word(place.says))
  document.title = what ? `${what} · Jugalis` : 'Jugalis'
})
