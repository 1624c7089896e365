import type { BesideWall } from './beside'
import type { Length } from '~/length'
import type { Design } from './design'
import type { WallDocument } from './job'
import type { Material } from './material'
import type { Offer } from './shop'
import type { Settings } from './settings'
import type { Survey } from './survey'

/** What one wall page edits: the wall's document and the job's settings. */
export interface Workpiece {
  readonly wall: WallDocument
  readonly settings: Settings
  /** The next walls of the room, which its rails meet in the corners; left out for a wall by itself. */
  readonly beside?: BesideWall
}

/** A change a person, a handle on the drawing or a way out makes. Pure data; `applyEdit` carries it out. */
export type Edit =
  | { readonly type: 'patchSurvey'; readonly patch: Partial<Survey> }
  | { readonly type: 'patchDesign'; readonly patch: Partial<Design> }
  | { readonly type: 'setHeight'; readonly height: Length }
  | { readonly type: 'setGap'; readonly gap: Length }
  | { readonly type: 'patchSettings'; readonly patch: Partial<Settings> }
  | { readonly type: 'addMaterial'; readonly material: Material }
  | { readonly type: 'setOffer'; readonly offer: Offer }
  | { readonly type: 'removeOffer'; readonly id: string }
