import { type Draft, type JobEvent, type JobState, KINDS, type Line, foldJob } from '@jugalis/core'
import { type World, idOf } from './ids.js'

export const HOUR_S = 3600
export const MIN_S = 60

export interface Told {
  who: string
  atS: number
  draft: Draft
}
/** The coldest hour (UTC) of the last night that is at least eight hours past: the morning's work after it has been done. */
export const nightBefore = (nowS: number, coldestH: number): number =>
  Math.floor((nowS - (coldestH + 8) * HOUR_S) / 86400) * 86400 + coldestH * HOUR_S

/** What people and a probe wrote, in the order in which it is told. */
export class Story {
  readonly told: Told[] = []
  /** The cold night, and when the job began. */
  readonly night: number
  readonly begin: number
  private readonly counts = new Map<string, number>()

  constructor(
    readonly nowS: number,
    readonly world: World,
  ) {
    this.night = nightBefore(nowS, world.coldestH)
    this.begin = this.night - world.beganH * HOUR_S
  }
  /** The same name gives the same id in this world. */
  id(name: string): string {
    return idOf(`${this.world.prefix}${name}`)
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
    const id = this.id(`event ${who} ${deviceSeq}`)
    const version = KINDS[kind]?.v ?? 1
    this.told.push({
      who,
      atS,
      draft: { id, kind, v: version, jointId, atDeviceS: atS, deviceSeq, after: [], data },
    })
  }
  /** The job by what was told so far, in order of time; entries after `untilS` are left out, epoch s. */
  state(untilS = Infinity): JobState {
    return foldJob(this.told.filter(({ atS }) => atS <= untilS).map((told) => asEvent(told, this.world)))
  }
  /** A line as it stands by what was told so far. */
  line(tag: string): Line {
    return this.state().lines.get(this.id(`line ${tag}`)) as Line
  }
  /** Joints of the saddles on its pipes, in order. */
  saddles(tag: string): { id: string; tag: string }[] {
    return this.line(tag).items.flatMap(({ alongMm, joints: [id], jointTags }) =>
      alongMm === undefined || id === null ? [] : [{ id, tag: jointTags[0] as string }],
    )
  }
  /** Joints of its pipes, in order. */
  joints(tag: string): { id: string; tag: string }[] {
    return this.line(tag)
      .items.filter((i) => i.type === 'piece')
      .flatMap((p) => [0, 1].map((e) => ({ id: p.joints[e] as string, tag: p.jointTags[e] as string })))
  }
}

/** What was told, as the server would give it back. */
export const asEvent = (told: Told, { jobId, prefix }: World): JobEvent => ({
  ...told.draft,
  jobId,
  deviceId: idOf(`${prefix}device ${told.who}`),
  actorId: idOf(told.who),
  occurredAtS: told.atS,
  clockErrorS: 0,
})
