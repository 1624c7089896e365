import type { Length } from '~/length'
import type { Tool } from '~/model'
import type { OtherWay, SawSetting } from '../cutting/sawSetting'
import type { HandWork } from '../cutting/cutCards'

/** What the saw, the joints and the skin of sheets have to say. */
export type SawSays =
  /** Ends past the saw as it stands, the worst named, and how else they are cut. */
  | {
      readonly code: 'pastSaw'
      readonly stripId: string
      readonly setting: Omit<SawSetting, 'face'>
      readonly other: OtherWay
      readonly ends: number
    }
  | {
      readonly code: 'noTool'
      readonly stripId: string
      readonly work: HandWork['work']
      readonly pieces: number
    }
  | {
      readonly code: 'kerfOverPiece'
      readonly stripId: string
      readonly length: Length
      readonly kerf: Length
    }
  | { readonly code: 'jointGaveWay'; readonly stripId: string }
  | { readonly code: 'sheetMissing'; readonly of: 'strips' | 'backer'; readonly materialId: string | null }
  | {
      readonly code: 'widerThanSheet'
      readonly materialId: string
      readonly width: Length
      readonly sheet: Length
    }
  | { readonly code: 'backerNoRoom'; readonly from: Length; readonly to: Length }
  | {
      readonly code: 'boxBehindPanel'
      readonly thickness: Length
      readonly boxes: number
      /** How many of them hold more than one device: their extenders are as wide. */
      readonly wide: number
      readonly thingId: string
    }
  | { readonly code: 'seamShows'; readonly at: Length; readonly seams: number; readonly offStud: boolean }

export type SawWaySays =
  | { readonly code: 'haveTool'; readonly tool: Tool }
  | { readonly code: 'jointsByRule' }
  | { readonly code: 'joinAgain' }
  | { readonly code: 'buyStrips'; readonly materialId: string }
  | { readonly code: 'listSheets' }
  | { readonly code: 'noBacker' }
  | { readonly code: 'coverSeams'; readonly strips: number }
  | { readonly code: 'thinnerKerf'; readonly kerf: Length }
