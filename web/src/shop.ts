import { type JobState, type Shop, shopFor } from '@jugalis/core'

/** What an edit must know of a job, with ids made by this browser. */
export const shopNow = (state: JobState): Shop => shopFor(state, () => crypto.randomUUID())
