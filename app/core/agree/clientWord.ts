import {
  changedParts,
  type ChangedPart,
  type ClientAct,
  type ClientLinkBody,
  type DesignDocument,
  inForce,
  type PaintUse,
  PAINT_USES,
  type Settings,
  type SignedWall,
  withDesign,
  type WallDocument,
} from '~/model'

/** What a client said of one wall by the last word each: the option, the colors by what they are for. */
export interface ClientPick {
  readonly option: string | null
  readonly colors: Partial<Readonly<Record<PaintUse, string>>>
}

/** The last word of a client on a wall. The only option that is shown needs no word. */
export function pickOf(acts: readonly ClientAct[], { walls }: ClientLinkBody, wallId: string): ClientPick {
  const offered = walls.find((each) => each.wallId === wallId)?.options ?? []
  const picked = acts.findLast((act) => act.kind === 'picked' && act.wall === wallId)
  const colors = Object.fromEntries(
    acts.flatMap((act) => (act.kind === 'color' && act.wall === wallId ? [[act.use, act.paint]] : [])),
  )
  const option =
    picked?.kind === 'picked' ? picked.option : offered.length === 1 ? (offered[0] ?? null) : null
  return { option, colors }
}

/** A design in the colors a client picked; a color the job has no more is left as it is. */
export function inPickedColors(
  design: DesignDocument,
  { colors }: Pick<ClientPick, 'colors'>,
  { paints }: Pick<Settings, 'paints'>,
): DesignDocument {
  const { paint } = inForce(design)
  const known = PAINT_USES.flatMap((use) => {
    const id = colors[use]
    return id !== undefined && paints.some((each) => each.id === id) ? [[use, id] as const] : []
  })
  return known.length === 0
    ? design
    : withDesign(design, { paint: { ...paint, ...Object.fromEntries(known) } })
}

/** A remark with what was answered to it. */
export interface Remark {
  readonly id: string
  readonly wall: string
  readonly option: string | null
  readonly at: { readonly x: number; readonly y: number } | null
  readonly text: string
  readonly doneAt: number
  readonly answer: string | null
}

/** The remarks of a link, oldest first. */
export function remarksOf(acts: readonly ClientAct[]): Remark[] {
  const answers = new Map(acts.flatMap((act) => (act.kind === 'answered' ? [[act.remark, act.text]] : [])))
  return acts.flatMap((act) =>
    act.kind === 'remark'
      ? [
          {
            id: act.id,
            wall: act.wall,
            option: act.option,
            at: act.at,
            text: act.text,
            doneAt: act.doneAt,
            answer: answers.get(act.id) ?? null,
          },
        ]
      : [],
  )
}

/** How a wall differs now from what was signed: another option, and what of its documents and of the job's settings. */
export interface SignedDifference {
  readonly option: string | null
  readonly parts: readonly ChangedPart[]
}

/** Compares what was signed with the chosen design as it is now; null where nothing differs. */
export function differsFromSigned(
  signed: Pick<SignedWall, 'optionId' | 'survey' | 'design'>,
  signedSettings: Settings,
  now: {
    readonly option: { readonly id: string; readonly name: string }
    readonly wall: WallDocument
    readonly settings: Settings
  },
): SignedDifference | null {
  const parts = [
    ...changedParts('design', signed.design, now.wall.design),
    ...changedParts('survey', signed.survey, now.wall.survey),
    // how and when it is done is the crew's own
    ...changedParts('settings', signedSettings, { ...now.settings, work: signedSettings.work }),
  ]
  const option = signed.optionId === now.option.id ? null : now.option.name
  return option === null && parts.length === 0 ? null : { option, parts }
}

/** What JSON keys are sorted by, so that the same thing always has the same text, and so the same fingerprint. */
export function canonicalText(value: unknown): string {
  return JSON.stringify(value, (_key, each: unknown) =>
    each !== null && typeof each === 'object' && !Array.isArray(each)
      ? Object.fromEntries(Object.entries(each).sort(([a], [b]) => (a < b ? -1 : a > b ? 1 : 0)))
      : each,
  )
}
