import type { ClientPick, Remark } from '~/core/agree/clientWord'
import type { WallColors } from '~/core/agree/wallColors'
import type { Scene } from '~/core/scene/buildScene'
import type { ShownKind } from '~/messages'
import type {
  BesideWall,
  ClientLinkBody,
  DesignDocument,
  DrawnLine,
  PaintUse,
  PhotoMarks,
  Settings,
  Survey,
} from '~/model'

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
  readonly photo: {
    readonly id: string
    readonly width: number
    readonly height: number
    readonly marks: PhotoMarks
  } | null
}

/** What a client's page is of. */
export interface ClientPageView {
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

/** What was put into the page's form and is not kept yet: it comes back with the page. */
export interface Typed {
  readonly name: string
  /** The drawn line as the page's script wrote it. */
  readonly line: string
  readonly remarks: ReadonlyMap<string, TypedRemark>
  /** The choices as they were ticked. */
  readonly ticks: ReadonlyMap<string, ClientPick>
}

export interface TypedRemark {
  readonly text: string
  readonly x: string
  readonly y: string
  readonly option: string
}

export const NOTHING_TYPED: Typed = { name: '', line: '', remarks: new Map(), ticks: new Map() }

/** All that a client reads of one option, and all it is drawn from. */
export interface ShownOption {
  readonly name: string
  readonly title: string
  readonly scene: Scene
  readonly palette: WallColors
  readonly colors: readonly { readonly use: PaintUse; readonly name: string; readonly hex: string }[]
  /** The sum as it is written; null where it is not known, missing where the link shows none. */
  readonly price?: string | null
  readonly hours?: { readonly hours: string; readonly days: string }
}

/** What a page shows of every option, by wall and option. */
export type Shown = ReadonlyMap<string, ShownOption>

/** One part of what a page shows, with the text that its digest is of. */
export interface PagePart {
  readonly kind: ShownKind
  readonly wall: string | null
  readonly option: string | null
  readonly text: string
}

/** All the client's page is drawn from. */
export interface ClientView {
  readonly page: ClientPageView
  readonly shown: Shown
  /** The digest of each part that is shown, as it is posted with a signature. */
  readonly digests: string
  /** Where a photograph with an option on it is read. */
  readonly photoUrl: (wallId: string, optionId: string, photoId: string) => string
  /** What changed since whoever reads it loaded the page before. */
  readonly changed: readonly PagePart[]
  readonly said: { readonly text: string; readonly bad: boolean } | null
  readonly typed: Typed
  readonly font: string
}

/** A day as it is said on the page. */
export function dayText(time: number): string {
  return new Date(time).toISOString().slice(0, 10)
}
