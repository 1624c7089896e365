import type { ClientPick, Remark } from '~/core/agree/clientWord'
import type { BesideWall, ClientLinkBody, DesignDocument, DrawnLine, Settings, Survey } from '~/model'

/** A wall as the client's page shows it. */
export interface ClientWallView {
  readonly id: string
  readonly name: string
  readonly survey: Survey
  readonly options: readonly {
    readonly id: string
    readonly name: string
    readonly design: DesignDocument
    readonly beside: BesideWall
  }[]
  readonly photo: { readonly id: string; readonly width: number; readonly height: number } | null
}

/** All the client's page is drawn from. */
export interface ClientView {
  readonly page: {
    readonly link: { readonly token: string; readonly body: ClientLinkBody }
    readonly job: string
    readonly client: string
    readonly settings: Settings
    readonly walls: readonly ClientWallView[]
    readonly picks: Readonly<Record<string, ClientPick>>
    readonly remarks: readonly Remark[]
    readonly signed: {
      readonly name: string
      readonly line: DrawnLine
      readonly fingerprint: string
      readonly signedAt: number
      readonly body: { readonly walls: readonly { readonly wallId: string; readonly price: number | null }[] }
    } | null
  }
  readonly said: { readonly text: string; readonly bad: boolean } | null
  /** What was typed and not kept, put back into its fields. */
  readonly typed: { readonly name: string; readonly remark: string; readonly wall: string }
  readonly font: string
}

/** A day as it is said on the page. */
export function dayText(time: number): string {
  return new Date(time).toISOString().slice(0, 10)
}
