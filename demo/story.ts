import { type Draft, type JobEvent, KINDS, type Line, foldJob } from '@jugalis/core'
import { JOB, idOf } from './ids.js'

export const HOUR_S = 3600
export const MIN_S = 60

export interface Told {
  who: string
  atS: number
  draft: Draft
}
/** 02:00 (UTC) of the last night that is at least eight hours past: the morning's work after it has been done. */
export const nightBefore = (nowS: number): number =>
  Math.floor((nowS - 10 * HOUR_S) / 86400) * 86400 + 2 * HOUR_S

/** What people and a probe wrote, in the order in which it is told. */
export class Story {
  readonly told: Told[] = []
  /** The cold night, and when the job began. */
  readonly night: number
  readonly begin: number
  readonly placeId = idOf('place plant room B')
  readonly tinId = idOf('tin')
  private readonly counts = new Map<string, number>()

  constructor(readonly nowS: number) {
    this.night = nightBefore(nowS)
    this.begin = this.night - 75 * HOUR_S
  }
  tell(
    who: string,
    atS: number,
    kind: string,
    data: Record<string, unknown>,
    jointId: string | null = null,
  ): void {
    const deviceSeq = (this.counts.get(who) ?? 0) + 1
    this.counts.set(who, deviceSeq)
    const id = idOf(`event ${who} ${deviceSeq}`)
    const version = KINDS[kind]?.v ?? 1
    this.told.push({
      who,
      atS,
      draft: { id, kind, v: version, jointId, atDeviceS: atS, deviceSeq, after: [], data },
    })
  }
  /** A line as it stands by what was told so far. */
  line(tag: string): Line {
    return foldJob(this.told.map(asEvent)).lines.get(idOf(`line ${tag}`)) as Line
  }
  /** Its joints, in order. */
  joints(tag: string): { id: string; tag: string }[] {
    return this.line(tag)
      .items.filter((i) => i.type === 'piece')
      .flatMap((p) => [0, 1].map((e) => ({ id: p.joints[e] as string, tag: p.jointTags[e] as string })))
  }
}

const asEvent = (told: Told): JobEvent => ({
  ...told.draft,
  jobId: JOB,
  deviceId: idOf(`device ${told.who}`),
  actorId: idOf(told.who),
  occurredAtS: told.atS,
  clockErrorS: 0,
})
